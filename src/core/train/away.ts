import type { Level } from '../level/answer';
import { levelAt } from '../level/assign';
import { printLevelCode } from '../level/code';
import { isOpen, isOver } from '../level/standing';
import { askedOf, back1, supportWords } from '../level/support';
import { addDays, daysBetween } from '../math/days';
import type { Dose } from '../shapes/dose';
import type { Facts, IsoDate, Pattern } from '../shapes/facts';
import type { Ladder, LevelRules, Rung } from '../shapes/ladder';
import type { PersonId } from '../shapes/person';
import { oneDialBack } from './dials';
import { halfDose } from './doseSteps';
import { isLine, presentIn, standing } from './log';
import { variantOf, type HeldClass } from './past';
import { lowerDose } from './variant';

/**
 * From so many whole weeks without a class on: one dial back with half the dose (`back`, as the house says); held as in the
 * first sessions where the feet stand apart or on one leg; the first dose; a rung down with more support. Common practice, no
 * published source.
 */
export const awayFrom = { held: 8, firstDose: 16, rungDown: 26 } as const;

/** Who did it in one of so many sessions one step easier, as they had been away, is not put back again for a pattern alone. */
const easedOnce = 2;

/**
 * Whole weeks in which somebody did not do a pattern, of what counts as away: as long as they were in no class, or longer
 * where classes went by without it. A pattern that comes seldom costs one step, not one each time; one that was never done
 * since its level was decided costs none before half a year.
 * @param classes oldest first, over more than half a year
 * @param missedWeeks without any class
 * @param decidedOn when the level in force was decided
 * @param unplannedOn the newest class of which nobody knows what was done: it may have been this
 */
export function weeksWithout(
  classes: readonly HeldClass[],
  personId: PersonId,
  pattern: Pattern,
  { missedWeeks, testedOn: today }: Pick<Facts, 'missedWeeks' | 'testedOn'>,
  decidedOn: IsoDate,
  unplannedOn: IsoDate | null = null,
): number {
  const weeksSince = (day: IsoDate) => Math.floor(daysBetween(day, today) / 7);
  const done = classes.flatMap((one) => {
    const variant = presentIn(one.people, one.lines).includes(personId) ? variantOf(one, personId, pattern) : null;
    const left = standing(one.lines)
      .filter(isLine('not-done'))
      .some((l) => l.personId === personId && l.content.pattern === pattern);
    return variant && !left ? [{ day: one.day, variant }] : [];
  });
  const last = done.at(-1);
  const days = [last?.day ?? decidedOn, ...(unplannedOn === null ? [] : [unplannedOn])];
  const without = Math.min(...days.map(weeksSince));
  if (!last) return Math.max(missedWeeks, without >= awayFrom.rungDown ? without : 0);
  const eased = done.slice(-easedOnce).some((d) => d.variant.folded === 'away');
  return Math.max(missedWeeks, eased && without < awayFrom.held ? 0 : without);
}

/**
 * What somebody trains on after weeks without a class: less than what is in force, and never more than the rules give.
 * @param facts with the weeks missed, of which this rule alone makes something: what the rules gave for them is not asked again
 */
export function afterAway(rules: LevelRules, facts: Facts, ladder: Ladder, level: Level, ceiling: Level): Level {
  const weeks = facts.missedWeeks;
  const now = { ...facts, missedWeeks: 0 };
  const base =
    weeks >= awayFrom.rungDown ? rungDown(rules, now, ladder, level) : oneDialBack(rules, now, ladder, level);
  const on = ladder.rungs.find((r) => r.rung === base.rung);
  const apart = on?.stance === 'split' || on?.stance === 'one-leg';
  const held = on && (weeks >= awayFrom.rungDown || (weeks >= awayFrom.held && apart)) ? moreSupport(on, base) : base;
  const back = redosed(held, doseAfter(rules, now, weeks, held));
  return isOver(back, ceiling) ? redosed(ceiling, lowerDose(ceiling.dose, back.dose)) : back;
}

const redosed = (level: Level, dose: Dose): Level => ({
  ...level,
  dose,
  code: printLevelCode({ ...level, heightCm: level.targetCm, dose }),
});

/** Half of it, as in the first sessions on a rung, or as in the very first classes. */
function doseAfter(rules: LevelRules, facts: Facts, weeks: number, { pattern, rung, dose }: Level): Dose {
  const first = (more: Partial<Facts>): Dose => {
    const shown = facts.shown.filter((s) => s.pattern !== pattern || s.rung < rung);
    const at = levelAt(rules, { ...facts, shown, ...more }, pattern, rung, null);
    return isOpen(at) ? at.dose : halfDose(dose);
  };
  if (weeks >= awayFrom.firstDose) return lowerDose(first({ sessionsLogged: 0 }), dose);
  return weeks >= awayFrom.held ? lowerDose(first({}), dose) : dose;
}

/** The highest rung under it that is open; where there is none, one dial back. */
function rungDown(rules: LevelRules, facts: Facts, ladder: Ladder, level: Level): Level {
  const under = ladder.rungs
    .filter((r) => r.rung < level.rung)
    .map((r) => levelAt(rules, facts, ladder.pattern, r.rung, null))
    .findLast(isOpen);
  return under ? { ...under, dial: 'rung' } : oneDialBack(rules, facts, ladder, level);
}

/** One step more, no more than the rung needs; what a movement fixes stays. */
function moreSupport(on: Rung, level: Level): Level {
  const support = on.support ? level.support : back1(level.support, askedOf(on));
  if (support === level.support) return level;
  return redosed({ ...level, support, supportWords: supportWords[support] }, level.dose);
}

/** That somebody came back after weeks without a class. */
export interface CameBack {
  readonly on: IsoDate;
  readonly weeks: number;
  /** By then they are to be tested again. */
  readonly testBy: IsoDate;
}

/** Within so many days, or before the third class: with one class a week, on the day of the third. */
const testWithinDays = { back: 21, thirdClass: 14 } as const;

/**
 * The newest time somebody came back after weeks without a class, with the day by which they are tested: within three weeks,
 * after two months before the third class, after half a year first.
 * @param days of the classes they were in, oldest first
 * @param fromWeeks what counts as away
 */
export function cameBack(days: readonly IsoDate[], fromWeeks: number): CameBack | null {
  for (let i = days.length - 1; i > 0; i--) {
    const [before, on] = [days[i - 1], days[i]];
    if (before === undefined || on === undefined) continue;
    const weeks = Math.floor(daysBetween(before, on) / 7);
    if (weeks < fromWeeks) continue;
    const third = days[i + 2] ?? addDays(on, testWithinDays.thirdClass);
    const testBy = weeks >= awayFrom.rungDown ? on : weeks >= awayFrom.held ? third : addDays(on, testWithinDays.back);
    return { on, weeks, testBy };
  }
  return null;
}
