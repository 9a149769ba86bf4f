import type { Dose } from '../shapes/dose';
import type { Ladder, LevelRules, MeasuredFactId, Rung } from '../shapes/ladder';
import type { Readings } from './needs';

/** What a level starts with: half of what was counted or held where a test tells, within the house limits. */
export function startingDose(
  { doseFrom }: Pick<Ladder, 'doseFrom'>,
  rung: Rung,
  rules: LevelRules,
  readings: Readings,
  holdCapS: number,
): Dose {
  const { reps, holds } = rules.house;
  const read = (fact: MeasuredFactId | undefined) => (fact === undefined ? undefined : readings.get(fact)?.reading);
  if (rung.dose === 'holds') {
    const held = read(doseFrom?.held);
    const half = held?.state === 'fresh' ? Math.floor(holds.share * (held.measured ?? 0)) : holds.leastS;
    return { kind: 'holds', holdS: Math.min(holdCapS, clamp(half, holds.leastS, holds.mostS)), sets: holds.times };
  }
  const counted = read(rung.support?.is === '2' ? doseFrom?.withHands : doseFrom?.free)?.measured ?? 0;
  const uncounted = rung.aSide ? reps.uncountedASide : reps.uncounted;
  const start = counted > 0 ? clamp(Math.floor(reps.share * counted), reps.least, reps.most) : uncounted;
  return { kind: 'reps', reps: start, sets: 1 };
}

function clamp(value: number, least: number, most: number): number {
  return Math.min(most, Math.max(least, value));
}
