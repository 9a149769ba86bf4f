import { lengthsOf, standingHip } from '../body/segments';
import { lastHolding } from '../math/root';
import type { Squat } from './setUp';
import { overShanks, solveAlone, type SquatAnswer } from './squat';
import { unsolved, type Reason, type Solved, type Unsolved } from './standing';

/** One end of the room there is between shins and toes. */
interface Edge {
  readonly shankDeg: number;
  readonly trunkDeg: number;
  /** N·m per kg of the person. */
  readonly knee: number;
  readonly hip: number;
  readonly lumbarTotal: number;
}

export type WindowAnswer =
  | {
      readonly status: 'ok';
      readonly reasons: readonly [];
      /** Degrees of shin that are feasible. */
      readonly roomDeg: number;
      readonly kneesBack: Edge;
      readonly kneesForward: Edge;
    }
  | Unsolved;

/** To a thousand-millionth of a degree. */
const halvings = 29;
const fromDeg = -15;
const toDeg = 60;
const stepDeg = 0.5;

/**
 * How much room a set-up leaves: the longest run of shin angles, each with its trunk solved, that are feasible. Looked for
 * in half degrees, both ends refined.
 */
export function windowOf(one: Squat): WindowAnswer {
  const { fits, solved } = overShanks(one);
  let best: readonly [from: number, to: number] | null = null;
  let from: number | null = null;
  for (let n = 0; n <= (toDeg - fromDeg) / stepDeg + 1; n++) {
    const deg = fromDeg + n * stepDeg;
    const ok = deg <= toDeg && fits(deg);
    if (ok) from ??= deg;
    if (!ok && from !== null) {
      const run = [from, deg - stepDeg] as const;
      if (!best || run[1] - run[0] > best[1] - best[0]) best = run;
      from = null;
    }
  }
  if (!best) return whyNone(one);
  const back = best[0] === fromDeg ? fromDeg : lastHolding(fits, best[0], best[0] - stepDeg, halvings);
  const forward = best[1] === toDeg ? toDeg : lastHolding(fits, best[1], best[1] + stepDeg, halvings);
  return {
    ...{ status: 'ok', reasons: [], roomDeg: forward - back },
    ...{ kneesBack: edgeAt(solved(back)), kneesForward: edgeAt(solved(forward)) },
  };
}

/** What the set-up itself says, where no shin is feasible. */
function whyNone(one: Squat): Unsolved {
  const own = solveAlone(one);
  if (!('posture' in own)) return own;
  return own.reasons.length > 0 ? unsolved(...own.reasons) : unsolved('shank_angle_unreachable');
}

function edgeAt(solved: Solved | Unsolved): Edge {
  if (!('posture' in solved)) throw new RangeError('edgeAt: this shin was feasible a moment ago');
  const { knee, hip, lumbarTotal } = solved.momentNmPerKg;
  return { shankDeg: solved.posture.shankDeg, trunkDeg: solved.posture.trunkDeg, knee, hip, lumbarTotal };
}

/** A set-up without its height, which is looked for. N·m per kg. */
export interface SeatLimits {
  readonly kneeLimit: number;
  readonly hipLimit: number | null;
}

export type LowestSeatAnswer =
  | {
      readonly status: 'ok';
      readonly reasons: readonly [];
      readonly lowestSeatM: number;
      /** What forbids a lower one; empty where the search ended before anything did. */
      readonly binding: readonly Reason[];
      readonly at: SquatAnswer;
    }
  | Unsolved;

/** The lowest seat on which a posture is feasible with no more than so much effort, from standing height down. */
export function lowestSeat(one: Squat, { kneeLimit, hipLimit }: SeatLimits): LowestSeatAnswer {
  const lengths = lengthsOf(one.heightM);
  const at = (seatM: number): Squat => ({ ...one, hipHeightM: seatM + lengths.hipAboveSeat });
  const fails = (seatM: number): readonly Reason[] => {
    const solved = solveAlone(at(seatM));
    if (!('posture' in solved) || solved.status !== 'ok') return solved.reasons;
    const { knee, hip } = solved.momentNmPerKg;
    return [
      ...(knee > kneeLimit + tiny ? (['knee_moment'] as const) : []),
      ...(hipLimit !== null && hip > hipLimit + tiny ? (['hip_moment'] as const) : []),
    ];
  };
  const passes = (seatM: number) => fails(seatM).length === 0;
  const stepM = 0.0025 * one.heightM;
  const topM = standingHip(lengths) - (0.05 + 0.002) * one.heightM;
  let good: number | null = null;
  for (let n = 0; topM - n * stepM >= 0.05 * one.heightM; n++) {
    const seatM = topM - n * stepM;
    if (passes(seatM)) good = seatM;
    else if (good !== null) {
      const low = lastHolding(passes, good, seatM, 60);
      return { status: 'ok', reasons: [], lowestSeatM: low, binding: fails(seatM), at: alone(at(low)) };
    }
  }
  if (good !== null) return { status: 'ok', reasons: [], lowestSeatM: good, binding: [], at: alone(at(good)) };
  const [first = 'hip_too_high'] = fails(topM);
  return unsolved(first);
}

const tiny = 1e-12;

/** A posture that was looked for; what a support does is asked of one that is given. */
function alone(one: Squat): SquatAnswer {
  const solved = solveAlone(one);
  return 'posture' in solved ? { ...solved, supportEffect: null } : solved;
}

export type SupportNeededAnswer =
  | { readonly status: 'ok'; readonly reasons: readonly []; readonly supportPct: number; readonly at: SquatAnswer }
  | Unsolved;

/** How much the hands must push, in percent of body weight, for a joint to need no more than so many N·m per kg. */
export function supportNeeded(one: Squat, limit: number, joint: 'knee' | 'hip'): SupportNeededAnswer {
  const { support } = one;
  if (!support) throw new RangeError('supportNeeded: nothing is held on to');
  const at = (fyPct: number): Squat => ({ ...one, support: { ...support, fyPct } });
  const passes = (fyPct: number) => {
    const solved: Solved | Unsolved = solveAlone(at(fyPct));
    return 'posture' in solved && solved.status === 'ok' && solved.momentNmPerKg[joint] <= limit + tiny;
  };
  for (let pct = 0; pct <= 60; pct++)
    if (passes(pct)) {
      const supportPct = pct === 0 ? 0 : lastHolding(passes, pct, pct - 1, 60);
      return { status: 'ok', reasons: [], supportPct, at: alone(at(supportPct)) };
    }
  return unsolved('support_cannot_meet_limit');
}
