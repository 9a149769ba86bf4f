import { degrees } from '../body/figure';
import { usualLimits, type Squat } from './setUp';
import type { HoverArms } from '../shapes/ladder';
import { windowOf } from './search';
import { asPeopleDo } from './compare';
import { overShanks, solveAlone } from './squat';
import { standingOn, type Reason } from './standing';

/**
 * The model is free of scale: lengths by k and masses by q give the same angles, and the same ratios of effort. So one body
 * stands for all; what counts is the seat over the height, how far the ankle bends, and the weight over that of the body.
 */
const body = { heightM: 1.7, massKg: 70 } as const;

export interface Hover {
  readonly seatCm: number;
  readonly heightCm: number;
  readonly ankleDeg: number;
  readonly arms: HoverArms;
  /** Weight carried over body mass; 0 where the arms are forward. */
  readonly loadShare: number;
  /** Of a firm wedge under both heels; 0 for none. */
  readonly heelLiftCm: number;
  /** How hard both hands pull on something fixed in front, percent of body weight; 0 where they do not. */
  readonly pullPct: number;
}

export interface HoverFit {
  /** Why nobody of this body hovers there; empty where they can. */
  readonly reasons: readonly Reason[];
  /** N·m per kg of a body of the table, to be told as ratios only; `null` where no posture was found. */
  readonly knee: number | null;
  readonly hip: number | null;
  /** How far the ankle bends in it, degrees. */
  readonly ankleDeg: number | null;
  /** No suppler ankle would change it. */
  readonly free: boolean;
}

/** Always to the harder side, so that a coarse table never promises more than a fine one. */
const steps = { seatShare: 0.001, ankleDeg: 0.5, loadShare: 0.005, liftShare: 0.0005 } as const;
const tiny = 1e-9;
const down = (value: number, step: number): number => Math.floor(value / step + tiny) * step;
const up = (value: number, step: number): number => Math.ceil(value / step - tiny) * step;

/** A share of the body mass as the table has it. */
export const loadStep = (loadShare: number): number => up(loadShare, steps.loadShare);

const fits = new Map<string, HoverFit>();
const edges = new Map<string, readonly [back: number, forward: number] | null>();
/** Further than ankles bend: what this one allows is taken off afterwards. */
const supplest = 60;

/** Whether and how somebody hovers over a seat, as people do it: the trunk leans as the shins do. */
export function hoverFit(hover: Hover): HoverFit {
  const { shape, ankleDeg, squat } = rounded(hover);
  // An ankle that bends further than the posture asks takes nothing away from it.
  const ample = fitOf(shape, supplest, squat);
  return ample.ankleDeg !== null && ample.ankleDeg <= ankleDeg ? ample : fitOf(shape, ankleDeg, squat);
}

function fitOf(shape: string, ankleDeg: number, squat: (ankleDeg: number) => Squat): HoverFit {
  const key = `${shape} ${ankleDeg.toFixed(1)}`;
  const known = fits.get(key);
  if (known) return known;
  const solved = solveAlone(squat(ankleDeg));
  const free = ankleDeg === supplest;
  const fit =
    'posture' in solved
      ? {
          ...{ reasons: solved.reasons, ankleDeg: solved.posture.dorsiflexionDeg },
          ...{ knee: solved.momentNmPerKg.knee, hip: solved.momentNmPerKg.hip, free },
        }
      : { reasons: solved.reasons, ankleDeg: null, knee: null, hip: null, free };
  fits.set(key, fit);
  return fit;
}

/** How far the shins may swing in a hover over a seat, degrees. */
export function hoverRoomDeg(hover: Hover): number {
  const { shape, ankleDeg, squat } = rounded(hover);
  const one = squat(supplest);
  const known = edges.get(shape);
  const found = known === undefined ? edgesOf(one) : known;
  edges.set(shape, found);
  if (!found) return 0;
  const [back, forward] = found;
  // The shins go no further than the ankle; how far back they go does not hang on it.
  const pitchDeg = degrees(standingOn(one, one.heelLiftM).pitch);
  return Math.max(0, Math.min(forward, ankleDeg + pitchDeg) - back);
}

const roomy = new Map<string, boolean>();

/** Has the table begin anew, which changes no answer: for measuring what it is worth. */
export function forgetTable(): void {
  for (const book of [fits, edges, roomy]) book.clear();
}

/** Whether the shins may swing so far: as `hoverRoomDeg` says, mostly by two looks instead of some hundred. */
export function leavesRoom(hover: Hover, leastDeg: number): boolean {
  const { shape, ankleDeg, squat } = rounded(hover);
  const key = `${shape} ${ankleDeg.toFixed(1)} ${leastDeg}`;
  const known = roomy.get(key);
  if (known !== undefined) return known;
  const one = squat(supplest);
  const { fits } = overShanks(one);
  const limitDeg = Math.min(supplest, ankleDeg + degrees(standingOn(one, one.heelLiftM).pitch));
  const forward = [0, 1, 2, 4, 8, 12, 16, 20].map((lessDeg) => limitDeg - lessDeg).find(fits);
  const enough = forward !== undefined && fits(forward - leastDeg);
  // Where two looks do not show it, all of them may.
  const found = enough || hoverRoomDeg(hover) >= leastDeg - tiny;
  roomy.set(key, found);
  return found;
}

/** A question as the table has it, on the harder side of every step. */
function rounded(hover: Hover): {
  readonly shape: string;
  readonly ankleDeg: number;
  readonly squat: (limitDeg: number) => Squat;
} {
  const seatShare = down(hover.seatCm / hover.heightCm, steps.seatShare);
  const ankleDeg = Math.min(supplest, down(hover.ankleDeg, steps.ankleDeg));
  const loadShare = loadStep(hover.loadShare);
  const liftShare = down(hover.heelLiftCm / hover.heightCm, steps.liftShare);
  const { arms, pullPct } = hover;
  return {
    shape: `${seatShare.toFixed(3)} ${arms} ${loadShare.toFixed(3)} ${liftShare.toFixed(4)} ${pullPct}`,
    ankleDeg,
    squat: (limitDeg) => ({
      ...body,
      arms: arms === 'chest' ? 'crossed' : 'forward',
      loadKg: loadShare * body.massKg,
      ...{ loadAt: 'hands', toeFraction: 0.5, copRef: 'mtp', heelLiftM: liftShare * body.heightM },
      support: pullPct > 0 ? { ...railAt, fxPct: pullPct, fyPct: 0, hands: 2 } : null,
      limits: { ...usualLimits, dfLimitDeg: limitDeg },
      hipHeightM: (seatShare + 0.05) * body.heightM,
      ...asPeopleDo,
    }),
  };
}

/** Just under the height of the elbows, as far in front of the toes as the feet are long. */
const railAt = { xFromToeM: 0.15 * body.heightM, handHeightM: 0.55 * body.heightM } as const;

function edgesOf(one: Squat): readonly [number, number] | null {
  const window = windowOf(one);
  return 'roomDeg' in window ? [window.kneesBack.shankDeg, window.kneesForward.shankDeg] : null;
}

/**
 * How far the ankle bends by a knee-to-wall test: asin((0.114 H + d - 0.045) / (0.246 H)), with 0.045 m from the front of
 * the knee to its axis assumed. @param distanceCm toe to wall @returns degrees
 */
export function ankleFromWall(heightCm: number, distanceCm: number): number {
  const h = heightCm / 100;
  const sine = (0.114 * h + distanceCm / 100 - 0.045) / (0.246 * h);
  return (Math.asin(Math.min(1, Math.max(-1, sine))) * 180) / Math.PI;
}

/** The same the other way: how far from the wall an ankle of so many degrees shows, cm. */
export function wallFromAnkle(heightCm: number, ankleDeg: number): number {
  const h = heightCm / 100;
  return 100 * (0.246 * h * Math.sin((ankleDeg * Math.PI) / 180) - 0.114 * h + 0.045);
}
