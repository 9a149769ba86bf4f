import type { Dose, DoseCaps } from '../shapes/dose';
import type { Facts } from '../shapes/facts';
import type { HouseRules, Ladder, LevelRules, MeasuredFactId, Rung } from '../shapes/ladder';
import type { Readings } from './needs';

/** A dose no longer and no more at once than what caps it. */
export const cappedDose = (dose: Dose, { holdS = Infinity, reps = Infinity }: DoseCaps = {}): Dose =>
  dose.kind === 'holds'
    ? { ...dose, holdS: Math.min(dose.holdS, holdS) }
    : dose.kind === 'intervals'
      ? dose
      : { ...dose, reps: Math.min(dose.reps, reps) };

/**
 * What a level starts with: half of what was counted or held where a test tells, within the house limits; more rounds
 * with the classes; a side apart by whether the rung was shown.
 */
export function startingDose(
  { doseFrom, pattern }: Pick<Ladder, 'doseFrom' | 'pattern'>,
  rung: Rung,
  { house }: Pick<LevelRules, 'house'>,
  readings: Readings,
  facts: Pick<Facts, 'sessionsLogged' | 'shown'>,
  caps: DoseCaps,
): Dose {
  const read = (fact: MeasuredFactId | undefined) => (fact === undefined ? undefined : readings.get(fact)?.reading);
  const { reps, holds } = house;
  if (rung.dose === 'holds') {
    const held = rung.stance === 'two-foot' ? read(doseFrom?.held) : undefined;
    const half = held?.state === 'fresh' ? Math.floor(holds.share * (held.measured ?? 0)) : holds.leastS;
    return cappedDose({ kind: 'holds', holdS: clamp(half, holds.leastS, holds.mostS), sets: holds.times }, caps);
  }
  const rising = rung.rising;
  const count = read(rising === 'with-hands' ? doseFrom?.withHands : doseFrom?.free);
  const counted = count?.measured ?? 0;
  const half = Math.floor(reps.share * counted);
  const first = facts.sessionsLogged < house.firstClasses;
  const start = ((): number => {
    if (rung.startsWith) return rung.startsWith.reps;
    if (rising) return first ? reps.rising.first : clamp(half, reps.rising.first, reps.most);
    if (doseFrom) return count?.measured == null ? reps.uncounted : clamp(half, reps.least, reps.most);
    if (!rung.aSide) return reps.uncounted;
    const shown = facts.shown.some((s) => s.pattern === pattern && s.rung >= rung.rung);
    const side = shown ? reps.uncounted : reps.uncountedASide;
    if (rung.ownTest === undefined) return side;
    return clamp(Math.floor(reps.share * (read(rung.ownTest)?.measured ?? 0)), reps.least, side);
  })();
  const sets = rung.startsWith?.rounds ?? (rising ? reps.rising.rounds : roundsAfter(facts.sessionsLogged, house));
  return cappedDose({ kind: 'reps', reps: start, sets }, caps);
}

/** More rounds with the classes behind them. */
export const roundsAfter = (classes: number, { rounds }: Pick<HouseRules, 'rounds'>): number =>
  rounds.findLast((r) => r.fromClasses <= classes)?.rounds ?? 1;

/** Half of a dose, at least one. */
export function halved(dose: Dose): Dose {
  const half = (n: number): number => Math.max(1, Math.floor(n / 2));
  switch (dose.kind) {
    case 'reps':
      return { ...dose, reps: half(dose.reps) };
    case 'holds':
      return { ...dose, holdS: half(dose.holdS) };
    case 'half-minute':
      return { ...dose, reps: half(dose.reps) };
    case 'intervals':
      return { ...dose, rounds: half(dose.rounds) };
  }
}

function clamp(value: number, least: number, most: number): number {
  return Math.min(most, Math.max(least, value));
}
