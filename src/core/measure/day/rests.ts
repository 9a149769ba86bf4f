import type { DayPerson, DayTest } from '../../shapes/day';

/** Two leg tests, where the person is over 85. Common practice, no published source, as are all rests of a day. */
const overAgeRestS = 180;
/** After the two-minute step: walked and watched for four minutes, five to anything timed, ten to balance. */
const afterStep = { seatedS: 240, timedS: 300, balanceS: 600 } as const;
const step = 'step-2min';
/** A chair stand before what asks the same of the thighs. */
const afterStands: Readonly<Record<string, number>> = { 'thigh-hold': 300, 'bridge-one-leg': 300 };

/** Seconds that somebody rests from the end of one test to the start of the next. */
export function restS(before: DayTest, next: DayTest, { over85 }: Pick<DayPerson, 'over85'>): number {
  const afterLegs = before.legs && next.legs ? Math.max(next.restBeforeS, over85 ? overAgeRestS : 0) : 0;
  return Math.max(
    afterLegs,
    // Nobody begins it out of breath.
    next.id === step ? next.restBeforeS : 0,
    before.id === 'chair-stand-30s' ? (afterStands[next.id] ?? 0) : 0,
    before.id === step ? restAfterStepS(next) : 0,
  );
}

function restAfterStepS({ group, legs }: DayTest): number {
  if (group === 1 || group === 2) return afterStep.balanceS;
  return legs || group >= 3 ? afterStep.timedS : afterStep.seatedS;
}
