import type { DayDrop, DayResult, DaySets, DayTest } from '../../shapes/day';
import type { PersonId } from '../../shapes/person';
import type { DayState } from './dayState';
import { forToday } from './offer';

/** Somebody who is here today, as the board sees them. */
export interface DayGuest {
  readonly id: PersonId;
  readonly withCare: boolean;
  readonly over85: boolean;
  /** Watched by one pair of eyes alone. */
  readonly alone: boolean;
  /** Why a test may not start, by test; left out where it may. */
  readonly closed: Readonly<Record<string, string>>;
}

export type SatState = 'done' | 'stopped' | 'declined' | 'paper' | 'later' | 'left' | 'closed' | 'open';

/** One test of somebody’s sitting. */
export interface Sat {
  readonly test: string;
  readonly state: SatState;
  readonly values: readonly number[];
  /** Why it was not measured; empty where nothing is to be said. */
  readonly why: string;
  readonly stopReason: DayResult['stopReason'];
  readonly endedWallMs: number | null;
}

/** What is planned for everybody, by what was dropped since. */
export function testsInForce(state: DayState, drops: readonly DayDrop[]): string[] {
  const gone = drops.flatMap(({ id, does }) => (state.dropped.has(id) && does.kind === 'test' ? [does.test] : []));
  return (state.plan?.tests ?? []).filter((t) => !gone.includes(t));
}

/** Tests with what a try less takes. */
export function shortened(
  tests: readonly DayTest[],
  dropped: ReadonlySet<string>,
  drops: readonly DayDrop[],
): DayTest[] {
  const less = (id: string): number =>
    drops.reduce(
      (sum, d) => sum + (dropped.has(d.id) && d.does.kind === 'try' && d.does.test === id ? d.does.share : 0),
      0,
    );
  return tests.map((t) => ({ ...t, takesS: t.takesS * (1 - less(t.id)) }));
}

/** How many tries of a test there are today, where it is fewer than usual: the last said of it. */
export const triesToday = (
  test: string,
  { dropped }: Pick<DayState, 'dropped'>,
  drops: readonly DayDrop[],
): string | null =>
  drops
    .flatMap(({ id, does }) => (dropped.has(id) && does.kind === 'try' && does.test === test ? [does.say] : []))
    .at(-1) ?? null;

/**
 * What somebody does today and what became of it: done, stopped or declined and why, on paper, put off, or still open.
 * What was done beyond the plan stands with it.
 */
export function sittingOf(
  guest: DayGuest,
  state: DayState,
  results: readonly DayResult[],
  tests: readonly DayTest[],
  sets: DaySets,
): Sat[] {
  const own = results.filter((r) => r.personId === guest.id);
  const everybody = testsInForce(state, sets.drops);
  const further = state.dropped.has('further') ? [] : (state.also.get(guest.id) ?? []);
  const ids = [...(state.walkIns.has(guest.id) ? sets.walkIn : everybody), ...further];
  // What was done today counts among the leg tests of the day.
  const today = forToday(guest, [...new Set([...ids, ...own.map((r) => r.test)])], tests, sets, own);
  return today.map((test): Sat => {
    const result = bestOf(own.filter((r) => r.test === test));
    if (result) {
      const { personId: _, ...rest } = result;
      return rest;
    }
    const [stateOf, why] = unmeasured(test);
    return { test, state: stateOf, values: [], why, stopReason: null, endedWallMs: null };
  });

  function unmeasured(test: string): [SatState, string] {
    if (state.paper.get(guest.id)?.includes(test)) return ['paper', 'on paper'];
    if (state.later.get(guest.id)?.includes(test)) return ['later', 'on the next class day'];
    const left = state.left.get(guest.id);
    if (left !== undefined) return ['left', left];
    const why = guest.closed[test];
    return why === undefined ? ['open', ''] : ['closed', why];
  }
}

const weight = { done: 0, declined: 1, stopped: 2 };
const bestOf = (of: readonly DayResult[]): DayResult | undefined =>
  [...of].sort((a, b) => weight[a.state] - weight[b.state] || b.endedWallMs - a.endedWallMs)[0];
