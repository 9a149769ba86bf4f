import { median } from '../../math/median';
import type { DayNote, DayResult, DayTest } from '../../shapes/day';
import { dayState } from './dayState';

/** As many calls of a test say how long it takes here. */
const enough = 5;
/** A call that took less was a slip, one that took more an interruption. */
const [leastS, mostS] = [15, 900];

/**
 * Seconds a person that each test takes in this hall, from call to result, by the median; what several tests of one call
 * took is shared out as the table has them. Tests with fewer than five calls stay as the table says.
 */
export function hallSeconds(
  days: readonly { readonly notes: readonly DayNote[]; readonly results: readonly DayResult[] }[],
  tests: readonly DayTest[],
): ReadonlyMap<string, number> {
  const seen = new Map<string, number[]>();
  for (const { notes, results } of days)
    for (const { people, tests: ids, wallMs } of dayState(notes).calls) {
      const of = results.filter((r) => people.includes(r.personId) && ids.includes(r.test) && r.endedWallMs >= wallMs);
      const took = (Math.max(...of.map((r) => r.endedWallMs)) - wallMs) / 1000;
      const whole = new Set(of.map((r) => `${r.personId} ${r.test}`)).size === people.length * ids.length;
      if (!whole || of.some((r) => r.state !== 'done') || took < leastS || took > mostS) continue;
      const own = tests.filter((t) => ids.includes(t.id));
      const all = own.reduce((sum, t) => sum + t.takesS, 0);
      for (const t of own) seen.set(t.id, [...(seen.get(t.id) ?? []), ((took / people.length) * t.takesS) / all]);
    }
  return new Map(
    [...seen].flatMap(([id, s]) =>
      s.length >= enough ? [[id, Math.round(median([...s].sort((a, b) => a - b)))] as const] : [],
    ),
  );
}

/** Tests with the seconds they take here. */
export const inThisHall = (tests: readonly DayTest[], seconds: ReadonlyMap<string, number>): DayTest[] =>
  tests.map((t) => ({ ...t, takesS: seconds.get(t.id) ?? t.takesS }));
