import type { DayPerson, DayTest } from '../../shapes/day';

/** Between two leg tests of somebody over 85. Common practice, no published source. */
const overAgeRestS = 180;

/** Seconds that somebody rests from the end of one test to the start of the next. */
export function restS(before: DayTest, next: DayTest, { over85 }: Pick<DayPerson, 'over85'>): number {
  const { restAfterS } = before;
  return Math.max(
    before.legs && next.legs ? Math.max(next.restBeforeS, over85 ? overAgeRestS : 0) : 0,
    next.restAlways ? next.restBeforeS : 0,
    restAfterS ? restAfterS[kindOf(next)] : 0,
  );
}

function kindOf({ group }: DayTest): 'seated' | 'timed' | 'balance' {
  return group === 0 ? 'seated' : group <= 2 ? 'balance' : 'timed';
}
