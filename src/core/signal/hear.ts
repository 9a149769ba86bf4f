import { deviceKindOf, type DeviceNews } from '../shapes/device';
import { arrive, offsetMs, type DeviceClock } from './deviceClock';
import {
  hearSeat,
  hearStep,
  passSeat,
  quietSeat,
  quietSteps,
  standDueMs,
  type SeatSwitch,
  type Seen,
  type StepCounter,
} from './edges';

/** A device as a page hears it. */
export interface Ear {
  readonly clock: DeviceClock | null;
  /** Places already heard of this boot; sent or passed on again they are nothing new. */
  readonly known: ReadonlySet<number>;
  readonly seat: SeatSwitch;
  readonly steps: StepCounter;
  /** When anything of it last arrived, on the axis of the page. */
  readonly heardMs: number;
}

export const newEar: Ear = {
  clock: null,
  known: new Set(),
  seat: quietSeat,
  steps: quietSteps,
  heardMs: -Infinity,
};

/** A repetition on the axis of the page, and what makes it the same when it is told again. */
export interface DeviceRep {
  readonly tMs: number;
  readonly boot: string;
  readonly n: number;
}

export interface Listened {
  readonly ear: Ear;
  readonly reps: readonly DeviceRep[];
  /** The device was switched on anew: what it saw meanwhile nobody knows. */
  readonly anew: boolean;
}

/** Without a word for so long it is silent, and counting by hand is what is left. */
export const silentAfterMs = 2000;
/** A later word may still take back what time alone would tell: what is on its way is waited for so long. */
const onTheWayMs = 60;
/** As many places are remembered; a device sends again what was not answered, which is seconds old at most. */
const mostKnown = 2000;

/** Takes what arrived. @param arrivedMs on the axis of the page */
export function listen(ear: Ear, news: DeviceNews, arrivedMs: number): Listened {
  const { device, boot, sentMs, ageMs, events } = news;
  const again = ear.clock?.boot === boot && events.length > 0 && events.every((e) => ear.known.has(e.n));
  if (again) return { ear: { ...ear, heardMs: Math.max(ear.heardMs, arrivedMs - ageMs) }, reps: [], anew: false };
  const { clock, anew } = arrive(ear.clock, boot, sentMs, arrivedMs - ageMs);
  const from: Ear = anew ? { ...newEar, clock } : { ...ear, clock };
  const fresh = events.filter((e) => !from.known.has(e.n)).toSorted((a, b) => a.ms - b.ms || a.n - b.n);
  const known = new Set([...[...from.known].slice(-mostKnown), ...fresh.map((e) => e.n)]);
  let { seat, steps } = from;
  const seen: Seen[] = [];
  for (const event of fresh) {
    const heard = deviceKindOf(device) === 'seat' ? hearSeat(seat, event) : null;
    const stepped = heard ? null : hearStep(steps, event);
    seat = heard?.state ?? seat;
    steps = stepped?.state ?? steps;
    seen.push(...(heard?.seen ?? stepped?.seen ?? []));
  }
  return {
    ear: { clock, known, seat, steps, heardMs: Math.max(ear.heardMs, arrivedMs - ageMs) },
    reps: onAxis(clock, seen),
    anew,
  };
}

/** Time passes on the page without a word. */
export function pass(ear: Ear, nowMs: number): Listened {
  if (!ear.clock) return { ear, reps: [], anew: false };
  const { state, seen } = passSeat(ear.seat, nowMs - onTheWayMs - offsetMs(ear.clock));
  return { ear: { ...ear, seat: state }, reps: onAxis(ear.clock, seen), anew: false };
}

/** When `pass` would tell of a repetition, on the axis of the page; `null` where none is on its way. */
export function dueMs({ clock, seat }: Ear): number | null {
  const due = standDueMs(seat);
  return clock === null || due === null ? null : due + offsetMs(clock) + onTheWayMs;
}

export const isSilent = (ear: Ear, nowMs: number): boolean => nowMs - ear.heardMs > silentAfterMs;

const onAxis = (clock: DeviceClock, seen: readonly Seen[]): DeviceRep[] =>
  seen.map(({ ms, n }) => ({ tMs: ms + offsetMs(clock), boot: clock.boot, n }));
