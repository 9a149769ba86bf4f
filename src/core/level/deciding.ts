import type { MeasuredFact } from '../shapes/ladder';
import type { LevelsAnswer } from './answer';

/** A test that alone keeps somebody’s next rung closed, as it was never taken or is too old. */
export interface Deciding {
  readonly test: string;
  /** Such as `L5`. */
  readonly rung: string;
}

/**
 * Tests that would decide the next rung of a ladder: all that keeps it closed is one test that nothing is known of. A rung
 * that something else closes too is opened by no test.
 * @param answer what the rules allow today
 */
export function decidingTests({ levels, closed }: LevelsAnswer, facts: readonly MeasuredFact[]): Deciding[] {
  const open = levels.map(({ pattern, rung, blockers }) => ({ pattern, rung, blockers }));
  const none = closed.map(({ pattern, blockers }) => ({ pattern, rung: 0, blockers }));
  return [...open, ...none].flatMap(({ pattern, rung, blockers }) => {
    const next = blockers.filter((b) => b.rung === rung + 1);
    const tests = next.map((b) => (b.measured === null ? facts.find((f) => f.id === b.fact)?.test : undefined));
    const [test] = tests;
    return test !== undefined && tests.every((t) => t === test) ? [{ test, rung: `${pattern}${rung + 1}` }] : [];
  });
}
