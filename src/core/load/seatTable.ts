import { usualLimits, type Squat } from './setUp';
import { windowOf } from './search';
import { solveAlone } from './squat';
import type { Reason } from './standing';

/**
 * The model is free of scale: lengths by k and masses by q give the same angles, and the same ratios of effort. So one body
 * stands for all; what counts is the seat over the height, how far the ankle bends, and the weight over that of the body.
 */
const body = { heightM: 1.7, massKg: 70 } as const;

/** How the arms are: stretched forward, or with a weight held to the chest. */
export type HoverArms = 'forward' | 'chest';

export interface Hover {
  readonly seatCm: number;
  readonly heightCm: number;
  readonly ankleDeg: number;
  readonly arms: HoverArms;
  /** Weight carried over body mass; 0 where the arms are forward. */
  readonly loadShare: number;
}

export interface HoverFit {
  /** Why nobody of this body hovers there; empty where they can. */
  readonly reasons: readonly Reason[];
  /** N·m per kg of a body of the table, to be told as ratios only; `null` where no posture was found. */
  readonly knee: number | null;
  readonly hip: number | null;
  /** Degrees of shin that are feasible. */
  readonly roomDeg: number;
}

/** Always to the harder side, so that a coarse table never promises more than a fine one. */
const steps = { seatShare: 0.001, ankleDeg: 0.5, loadShare: 0.005 } as const;
const tiny = 1e-9;
const down = (value: number, step: number): number => Math.floor(value / step + tiny) * step;
const up = (value: number, step: number): number => Math.ceil(value / step - tiny) * step;

const fits = new Map<string, HoverFit>();
const edges = new Map<string, readonly [back: number, forward: number] | null>();
/** As far as any ankle bends: what the ankle allows is taken off afterwards. */
const supplest = 60;

/** Whether and how somebody hovers over a seat, as people do it: the trunk leans as the shins do. */
export function hoverFit(hover: Hover): HoverFit {
  const seatShare = down(hover.seatCm / hover.heightCm, steps.seatShare);
  const ankleDeg = Math.min(supplest, down(hover.ankleDeg, steps.ankleDeg));
  const loadShare = up(hover.loadShare, steps.loadShare);
  const shape = `${seatShare.toFixed(3)} ${hover.arms} ${loadShare.toFixed(3)}`;
  const key = `${shape} ${ankleDeg.toFixed(1)}`;
  const known = fits.get(key);
  if (known) return known;
  const one = squatOf(seatShare, ankleDeg, hover.arms, loadShare);
  const solved = solveAlone(one);
  const [back, forward] = edgesOf(shape, { ...one, limits: { ...one.limits, dfLimitDeg: supplest } }) ?? [0, 0];
  const fit = {
    reasons: solved.reasons,
    knee: 'posture' in solved ? solved.momentNmPerKg.knee : null,
    hip: 'posture' in solved ? solved.momentNmPerKg.hip : null,
    // The shins go no further than the ankle; how far back they go does not hang on it.
    roomDeg: Math.max(0, Math.min(forward, ankleDeg) - back),
  };
  fits.set(key, fit);
  return fit;
}

function edgesOf(shape: string, one: Squat): readonly [number, number] | null {
  const known = edges.get(shape);
  if (known !== undefined) return known;
  const window = windowOf(one);
  const found = 'roomDeg' in window ? ([window.kneesBack.shankDeg, window.kneesForward.shankDeg] as const) : null;
  edges.set(shape, found);
  return found;
}

function squatOf(seatShare: number, ankleDeg: number, arms: HoverArms, loadShare: number): Squat {
  return {
    ...body,
    arms: arms === 'chest' ? 'crossed' : 'forward',
    loadKg: loadShare * body.massKg,
    ...{ loadAt: 'hands', support: null, toeFraction: 0.5, copRef: 'mtp', heelLiftM: 0 },
    limits: { ...usualLimits, dfLimitDeg: ankleDeg },
    hipHeightM: (seatShare + 0.05) * body.heightM,
    ...{ rule: 'parallel', trunkPerShank: 1 },
  };
}

/** What a seat to hover over is chosen by. Lengths in whole cm. */
export interface SeatQuestion extends Omit<Hover, 'seatCm'> {
  /** The lowest seat they rose from. */
  readonly shownCm: number;
  /** Seats that can be made, lowest first. */
  readonly kitCm: readonly number[];
  /** At most so high. */
  readonly capCm: number;
  readonly roomLeastDeg: number;
}

/** Common practice, no published source. */
const lowestUnderShownCm = 3;
export const mostEffortPct = 110;

export type SeatWhyNot = 'far-under-shown' | 'over-cap' | 'no-posture' | 'knee' | 'hip' | 'room';

export interface SeatRow {
  readonly cm: number;
  readonly fit: HoverFit;
  /** Effort over that of the seat shown, per cent; `null` where either has no posture. */
  readonly kneePct: number | null;
  readonly hipPct: number | null;
  readonly whyNot: SeatWhyNot | null;
}

export interface SeatChoice {
  readonly rows: readonly SeatRow[];
  /** The lowest that does; `null` where none of the kit does. */
  readonly chosenCm: number | null;
  /** Whether the seat shown has a posture to be compared with. */
  readonly compared: boolean;
}

/**
 * The lowest seat of the kit that this body can hover over with about the effort of the seat shown. A stiffer ankle is never
 * given a lower one than a suppler: where the comparison alone would, the suppler one’s counts.
 */
export function chooseSeat(question: SeatQuestion): SeatChoice {
  const choice = choiceFor(question, question.ankleDeg);
  let chosenCm = choice.chosenCm;
  for (let deg = down(question.ankleDeg, steps.ankleDeg) + steps.ankleDeg; deg <= ampleAnkle; deg += steps.ankleDeg) {
    const suppler = choiceFor(question, deg).chosenCm;
    if (chosenCm !== null && suppler !== null && suppler > chosenCm) chosenCm = suppler;
  }
  return { ...choice, chosenCm };
}

/** Past this an ankle takes nothing away from a hover. */
const ampleAnkle = 45;

function choiceFor(question: SeatQuestion, ankleDeg: number): SeatChoice {
  const { shownCm, kitCm } = question;
  const fitAt = (seatCm: number) => hoverFit({ ...question, ankleDeg, seatCm });
  const shown = fitAt(shownCm);
  const compared = shown.reasons.length === 0 && shown.knee !== null;
  const rows = kitCm.map((cm): SeatRow => {
    const fit = fitAt(cm);
    const over = (now: number | null, then: number | null) =>
      compared && now !== null && then !== null && then > 0 ? (100 * now) / then : null;
    const [kneePct, hipPct] = [over(fit.knee, shown.knee), over(fit.hip, shown.hip)];
    return { cm, fit, kneePct, hipPct, whyNot: whyNot(question, cm, fit, kneePct, hipPct) };
  });
  return { rows, chosenCm: rows.find((row) => row.whyNot === null)?.cm ?? null, compared };
}

function whyNot(
  { shownCm, capCm, roomLeastDeg }: SeatQuestion,
  cm: number,
  fit: HoverFit,
  kneePct: number | null,
  hipPct: number | null,
): SeatWhyNot | null {
  if (cm < shownCm - lowestUnderShownCm) return 'far-under-shown';
  if (cm > capCm) return 'over-cap';
  if (fit.reasons.length > 0) return 'no-posture';
  if (kneePct !== null && kneePct > mostEffortPct + tiny) return 'knee';
  if (hipPct !== null && hipPct > mostEffortPct + tiny) return 'hip';
  return fit.roomDeg < roomLeastDeg - tiny ? 'room' : null;
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

/** Assumed of an ankle that nobody tested; common practice, no published source. */
export const untestedAnkleDeg = 28;
