import type { DeviceEvent, DeviceKind } from '../../core/shapes/device';
import { seeded } from '../events';

/** How a made-up person stands up, or steps, and how badly their device hears it. */
export interface Manner {
  readonly what: string;
  /** When they begin, s after the start. */
  readonly fromS: number;
  /** Seconds of a repetition at the start and what each one adds to it. */
  readonly everyS: number;
  readonly slowerS: number;
  /** One in so many edges bounces, or is told twice; 0 for never. */
  readonly bounces: number;
  readonly doubles: number;
  /** For so long from a moment on the device says nothing, s: a dead battery, a hand over it. */
  readonly silent: { readonly fromS: number; readonly toS: number } | null;
}

const plain = { fromS: 0.6, everyS: 2.4, slowerS: 0, bounces: 0, doubles: 0, silent: null };

export const manners = {
  steady: { ...plain, what: 'one pace to the end' },
  'slow-starter': { ...plain, fromS: 3.5, everyS: 3.4, slowerS: -0.08, what: 'begins late and gets into it' },
  fades: { ...plain, everyS: 1.8, slowerS: 0.14, what: 'begins too fast and slows' },
  restless: { ...plain, bounces: 2, doubles: 3, what: 'the contact bounces and tells things twice' },
  'drops-out': { ...plain, silent: { fromS: 11, toS: 17 }, what: 'the device says nothing for six seconds' },
} as const satisfies Readonly<Record<string, Manner>>;

export type MannerName = keyof typeof manners;
export const mannerNames = Object.keys(manners) as MannerName[];

export interface Played {
  /** On the device’s own clock, in order; `alive` each half second. */
  readonly events: readonly DeviceEvent[];
  /** When each repetition that the device could tell was done, by the rule of the device, ms. */
  readonly repsMs: readonly number[];
}

const aliveEveryMs = 500;

/**
 * What the device of a made-up person says, all of it from a seed.
 * @param lastMs how long it plays, on the device’s own clock
 */
export function play(kind: DeviceKind, manner: Manner, seed: number, lastMs: number): Played {
  const chance = seeded(seed);
  const said: Omit<DeviceEvent, 'n'>[] = [];
  const repsMs: number[] = [];
  const oneIn = (n: number) => n > 0 && chance() < 1 / n;
  const isSilent = (ms: number) =>
    manner.silent !== null && ms >= manner.silent.fromS * 1000 && ms < manner.silent.toS * 1000;
  const say = (ms: number, of: DeviceEvent['kind']) => {
    if (!isSilent(ms)) said.push({ ms: Math.round(ms), kind: of });
  };
  const edge = (ms: number, on: boolean) => {
    const [to, back] = on ? (['down', 'up'] as const) : (['up', 'down'] as const);
    say(ms, to);
    if (oneIn(manner.bounces)) {
      say(ms + 15 + 20 * chance(), back);
      say(ms + 45 + 20 * chance(), to);
    }
    if (oneIn(manner.doubles)) say(ms + 70, to);
  };
  for (let ms = 0; ms <= lastMs; ms += aliveEveryMs) say(ms, 'alive');
  if (kind === 'seat') edge(0, true);
  let everyS = manner.everyS;
  for (let at = manner.fromS * 1000; ; everyS = Math.max(0.9, everyS + manner.slowerS)) {
    const takesMs = everyS * 1000 * (0.92 + 0.16 * chance());
    // A third of it off the seat, as they stand up full and sit again.
    const downMs = at + Math.max(500, takesMs * 0.45);
    if (downMs > lastMs) break;
    if (kind === 'seat') {
      edge(at, false);
      edge(downMs, true);
      if (!isSilent(at) && !isSilent(downMs)) repsMs.push(Math.round(at) + 400);
    } else {
      say(at, 'step');
      if (oneIn(manner.doubles)) say(at + 120, 'step');
      if (!isSilent(at)) repsMs.push(Math.round(at));
    }
    at += kind === 'seat' ? takesMs : takesMs / 2;
  }
  const events = said.toSorted((a, b) => a.ms - b.ms).map((event, n) => ({ n, ...event }));
  return { events, repsMs };
}
