import type { DeviceEvent } from '../shapes/device';

/** A contact bounces: an edge that does not hold so long was none. */
export const holdsMs = 80;
/** A stand is off the seat for so long, after so long on it. */
export const offForMs = 400;
export const onForMs = 250;
/** Nobody stands up twice within this. */
export const betweenStandsMs = 700;
/** Nobody lifts one knee twice within this. */
export const betweenStepsMs = 300;

/** A repetition a device saw, on the device’s own clock. */
export interface Seen {
  readonly ms: number;
  /** Of the event that told it. */
  readonly n: number;
}

interface Edge {
  readonly on: boolean;
  readonly ms: number;
  readonly n: number;
}

/** A seat switch, as far as it has been heard. */
export interface SeatSwitch {
  /** The state that holds, and since when; `null` before the first that held. */
  readonly held: Edge | null;
  /** An edge too young to be believed. */
  readonly young: Edge | null;
  /** Off the seat after long enough on it: a stand once it lasts. */
  readonly rising: Edge | null;
  readonly lastStandMs: number;
}

export const quietSeat: SeatSwitch = { held: null, young: null, rising: null, lastStandMs: -Infinity };

/** What was heard, and what it told. */
export interface Heard<S> {
  readonly state: S;
  readonly seen: readonly Seen[];
}

/**
 * An edge of a seat switch. Edges that do not hold `holdsMs` are bounces and change nothing.
 * @param event `up` is the person rising, `down` sitting; in the order of the device’s clock
 */
export function hearSeat(seat: SeatSwitch, event: DeviceEvent): Heard<SeatSwitch> {
  const { state, seen } = passSeat(seat, event.ms);
  if (event.kind !== 'up' && event.kind !== 'down') return { state, seen };
  const on = event.kind === 'down';
  const { young, held } = state;
  // Said twice, such as by a double trigger, it is the first; back to what held before, the edge between was a bounce.
  if (young ? young.on === on : held?.on === on) return { state, seen };
  if (young && held?.on === on) return { state: { ...state, young: null }, seen };
  return { state: { ...state, young: { on, ms: event.ms, n: event.n } }, seen };
}

/** Time passes without an edge: a young edge comes to hold, and one who rose has stood. */
export function passSeat(seat: SeatSwitch, nowMs: number): Heard<SeatSwitch> {
  const { young, held } = seat;
  const believed = young && nowMs >= young.ms + holdsMs ? settle({ ...seat, young: null }, young, held) : seat;
  const { rising } = believed;
  const standMs = (rising?.ms ?? Infinity) + offForMs;
  // Whoever seems to sit again before it was a stand is waited for: the edge may hold.
  const sitting = believed.young?.on === true && believed.young.ms < standMs;
  if (!rising || nowMs < standMs || sitting) return { state: believed, seen: [] };
  const tooSoon = standMs < believed.lastStandMs + betweenStandsMs;
  const lastStandMs = tooSoon ? believed.lastStandMs : standMs;
  return { state: { ...believed, rising: null, lastStandMs }, seen: tooSoon ? [] : [{ ms: standMs, n: rising.n }] };
}

/** An edge that held. One who sat long enough and is off the seat now is on the way up; whoever sits again is not. */
function settle(seat: SeatSwitch, edge: Edge, before: Edge | null): SeatSwitch {
  // What was never heard to be sat on was, if it is left now; for how long nobody knows.
  const satLong = before === null || (before.on && edge.ms - before.ms >= onForMs);
  return { ...seat, held: edge, rising: !edge.on && satLong ? edge : null };
}

/** When `passSeat` would tell of a stand if nothing more were heard; `null` where it would not. */
export function standDueMs({ young, rising }: SeatSwitch): number | null {
  if (young) return young.on ? null : young.ms + offForMs;
  return rising ? rising.ms + offForMs : null;
}

export interface StepCounter {
  readonly lastStepMs: number;
}

export const quietSteps: StepCounter = { lastStepMs: -Infinity };

/** A step; two so close are one. */
export function hearStep(steps: StepCounter, { kind, ms, n }: DeviceEvent): Heard<StepCounter> {
  if (kind !== 'step' || ms < steps.lastStepMs + betweenStepsMs) return { state: steps, seen: [] };
  return { state: { lastStepMs: ms }, seen: [{ ms, n }] };
}
