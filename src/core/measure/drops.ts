import type { AttemptEvent } from '../shapes/attempt';
import type { Protocol } from '../shapes/protocol';
import { liveEvents } from './live';
import { allMarks } from './marks';

/** How far two figures fell from the first reading to the lowest after it, mmHg; below 0 where they rose. */
export interface Drops {
  readonly upper: number;
  /** `null` where the lower figure was not taken each time. */
  readonly lower: number | null;
  /** Either fell as far as the protocol says. */
  readonly past: boolean;
}

/** @returns `null` for a test without such a limit, and before the second reading */
export function dropsIn({ dropLimits, capture }: Protocol, events: readonly AttemptEvent[]): Drops | null {
  if (!dropLimits || capture.kind !== 'staged') return null;
  const said = new Map(allMarks(liveEvents(events)).flatMap((m) => (m.kind === 'stage' ? [[m.id, m] as const] : [])));
  const readings = capture.stages.flatMap(({ id }) => said.get(id) ?? []);
  const upper = fallOf(readings.map((r) => r.answer));
  const lower = fallOf(readings.map((r) => r.second));
  if (upper === null) return null;
  return { upper, lower, past: upper >= dropLimits.upper || (lower !== null && lower >= dropLimits.lower) };
}

function fallOf(figures: readonly (number | undefined)[]): number | null {
  const [first, ...later] = figures.flatMap((f) => f ?? []);
  if (first === undefined || later.length === 0 || later.length + 1 < figures.length) return null;
  return first - Math.min(...later);
}
