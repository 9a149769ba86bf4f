import type { Dose } from '../shapes/dose';
import type { LevelRules, Rung } from '../shapes/ladder';
import type { Readings } from './needs';

/** What a level starts with: half of what was counted or held, within the house limits. */
export function startingDose(rung: Rung, rules: LevelRules, readings: Readings, holdCapS: number): Dose {
  const { reps, holds } = rules.house;
  if (rung.dose === 'holds') {
    const held = readings.get('thighHoldS')?.reading;
    const half = held?.state === 'fresh' ? Math.floor(holds.share * (held.measured ?? 0)) : holds.leastS;
    return { kind: 'holds', holdS: Math.min(holdCapS, clamp(half, holds.leastS, holds.mostS)), sets: holds.times };
  }
  const counted = readings.get(rung.support?.is === '2' ? 'standsWithHands' : 'cleanStands')?.reading.measured ?? 0;
  const start = counted > 0 ? clamp(Math.floor(reps.share * counted), reps.least, reps.most) : reps.uncounted;
  return { kind: 'reps', reps: start, sets: 1 };
}

function clamp(value: number, least: number, most: number): number {
  return Math.min(most, Math.max(least, value));
}
