import { standingHip, lengthsOf } from '../body/segments';
import type { StyleSetUp } from '../shapes/style';
import { effortPct } from './compare';
import { usualLimits, type Split, type Squat, type SquatRule } from './setUp';
import { solveSplit } from './split';
import { solveAlone } from './squat';

/** More, less or about the same as the first; under a tenth either way nobody can tell (common practice, no source). */
export type StyleEffort = 'less' | 'about-the-same' | 'more';

/** What a style costs one body beside another style; ratios of the same person only. */
export interface StyleCost {
  /** What had to give for a posture: the shins or the lean are held there instead; `null` where it is as taught. */
  readonly nearest: string | null;
  readonly knee: StyleEffort | null;
  readonly hip: StyleEffort | null;
  readonly back: StyleEffort | null;
  /** Of the ankle. */
  readonly room: StyleEffort;
}

export interface StyledBody {
  readonly heightCm: number;
  /** How far the stiffer ankle bends, degrees. */
  readonly ankleDeg: number;
  /** Seat or touched height of the squat, cm. */
  readonly seatCm: number;
}

/** Ratios do not hang on it. */
const massKg = 70;
/** A lunge half-way down, of the height of the body, and what the front leg carries; common practice, no source. */
const lunge = { stepShare: 0.357, hipShare: 0.369, frontShare: 0.7 };
/** Degrees of the ankle under which room is about the same. */
const roomStepDeg = 3;

interface Found {
  readonly nearest: string | null;
  readonly knee: number;
  readonly hip: number;
  readonly back: number;
  readonly roomDeg: number;
}

/**
 * What a style costs beside another at the same height of the hips, the same step and the same share.
 * @returns `null` where either has no posture for this body
 */
export function styleCost(style: StyleSetUp, beside: StyleSetUp, body: StyledBody): StyleCost | null {
  const [first, second] = [postureOf(beside, body), postureOf(style, body)];
  if (!first || !second) return null;
  const room = second.roomDeg - first.roomDeg;
  return {
    nearest: second.nearest,
    knee: effort(second.knee, first.knee),
    hip: effort(second.hip, first.hip),
    back: effort(second.back, first.back),
    room: Math.abs(room) < roomStepDeg ? 'about-the-same' : room < 0 ? 'less' : 'more',
  };
}

function effort(now: number, then: number): StyleEffort | null {
  const pct = effortPct(Math.abs(now), Math.abs(then));
  if (pct === null) return null;
  const ratio = Math.log(pct / 100);
  return Math.abs(ratio) <= Math.log(1.1) ? 'about-the-same' : ratio < 0 ? 'less' : 'more';
}

function postureOf(style: StyleSetUp, body: StyledBody): Found | null {
  return style.of === 'lunge' ? lungeOf(style.trunkDeg, body) : squatOf(style, body);
}

/** As taught, else the nearest to it: a degree of the shins, or a tenth of the lean, at a time to either side. */
function squatOf(style: Extract<StyleSetUp, { of: 'squat' }>, body: StyledBody): Found | null {
  const byShank = 'shankDeg' in style;
  const start = byShank ? style.shankDeg : style.trunkPerShank;
  const step = byShank ? 1 : 0.1;
  for (let n = 0; n <= 25; n++)
    for (const to of n === 0 ? [start] : [start + n * step, start - n * step]) {
      if (to < 0) continue;
      const rule: SquatRule = byShank ? { rule: 'shank', shankDeg: to } : { rule: 'parallel', trunkPerShank: to };
      const found = solveAlone(squatSetUp(style.arms, body, rule));
      if (!('posture' in found) || found.status !== 'ok') continue;
      const { posture, momentNmPerKg } = found;
      const roomDeg = body.ankleDeg - posture.dorsiflexionDeg;
      const words = byShank ? `shins at ${to} degrees` : `the trunk leans ${to.toFixed(1)} times as far as the shins`;
      return {
        nearest: n === 0 ? null : words,
        ...{ knee: momentNmPerKg.knee, hip: momentNmPerKg.hip, back: momentNmPerKg.lumbarTotal, roomDeg },
      };
    }
  return null;
}

const carried = { massKg, loadKg: 0, loadAt: 'hands', support: null, copRef: 'mtp', toeFraction: 0.5 } as const;

function squatSetUp(arms: 'forward' | 'crossed', { heightCm, ankleDeg, seatCm }: StyledBody, rule: SquatRule): Squat {
  const heightM = heightCm / 100;
  const hipHeightM = Math.min(seatCm / 100 + 0.05 * heightM, standingHip(lengthsOf(heightM)) - 0.01);
  const limits = { ...usualLimits, dfLimitDeg: ankleDeg };
  return { ...carried, heightM, arms, limits, hipHeightM, heelLiftM: 0, ...rule };
}

function lungeOf(trunkDeg: number, { heightCm, ankleDeg }: StyledBody): Found | null {
  const heightM = heightCm / 100;
  for (let n = 0; n <= 20; n++)
    for (const to of n === 0 ? [trunkDeg] : [trunkDeg + n, trunkDeg - n]) {
      const one: Split = {
        ...{ ...carried, heightM, arms: 'crossed', limits: { ...usualLimits, dfLimitDeg: ankleDeg } },
        ...{
          hipHeightM: lunge.hipShare * heightM,
          stepM: lunge.stepShare * heightM,
          rearFootDeg: 60,
          bracePct: 'auto',
        },
        ...{ rule: 'share_by_shank', trunkDeg: to, frontShare: lunge.frontShare },
      };
      const found = solveSplit(one);
      if (!('front' in found) || found.status !== 'ok') continue;
      const { front, lumbarTotalNmPerKg } = found;
      return {
        nearest: n === 0 ? null : `the trunk at ${to} degrees`,
        ...{ knee: front.momentNmPerKg.knee, hip: front.momentNmPerKg.hip, back: lumbarTotalNmPerKg },
        roomDeg: ankleDeg - front.dorsiflexionDeg,
      };
    }
  return null;
}
