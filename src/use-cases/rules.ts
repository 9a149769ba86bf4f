import { shippedRules } from '../catalogue/rules/book';
import { mergeChanges, type Clash } from '../core/math/mergeChanges';
import type { HouseRules } from '../core/shapes/ladder';
import type { DayRules, RuleBook } from '../core/shapes/rules';
import { findHouseRules, saveHouseRules } from '../database/place';
import { houseForm, type HouseForm } from '../schemas/house';
import { openedAs, parse, type FieldError } from '../schemas/parse';
import { together, type Desk } from './desk';

/** The rules in force in this hall: those that shipped, with the house rules the hall has of its own. */
export async function readRules(desk: Desk): Promise<RuleBook> {
  const own = await findHouseRules(desk.db);
  return own && Object.keys(own).length > 0 ? withHouse(shippedRules, own) : shippedRules;
}

/** Those that decide whether somebody may begin, picked one by one: what is handed to a page is sent. */
export async function readDayRules(desk: Desk): Promise<DayRules> {
  const { levels, readiness } = await readRules(desk);
  return { levels: { limiters: levels.limiters }, readiness };
}

/** A version of its own, as results judged by other rules are other levels. */
export const withHouse = (book: RuleBook, own: Partial<HouseRules>): RuleBook => ({
  ...book,
  levels: {
    ...book.levels,
    version: `${book.levels.version}, house rules of this hall`,
    house: { ...book.levels.house, ...own },
  },
  readiness: { ...book.readiness, fallsForCare: own.fallsForCare ?? book.readiness.fallsForCare },
});

/** What a hall can set for itself, as its form shows it. */
export const toHouseForm = ({
  firstClasses,
  oldAfterDays,
  usualSeatCm,
  fallsForCare,
  lightWhileAsking,
}: HouseRules): HouseForm => ({
  firstClasses,
  oldAfterWeeks: Math.round(oldAfterDays / 7),
  usualSeatCm,
  fallsForCare,
  lightWhileAsking,
});

export const shippedHouse: HouseForm = toHouseForm(shippedRules.levels.house);

export type SaveHouse =
  | { readonly kind: 'saved' }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] }
  /** Changed elsewhere since the form was opened, and not in the same way. */
  | {
      readonly kind: 'changed';
      readonly theirs: HouseForm;
      readonly merged: HouseForm;
      readonly clashes: readonly Clash[];
    };

/**
 * Takes the house rules of a hall; one that is as shipped is none of its own, so that a later shipped value reaches it.
 * @param opened the rules as the form showed them: what was changed elsewhere since is kept
 */
export async function changeHouse(desk: Desk, input: unknown, opened?: unknown): Promise<SaveHouse> {
  const parsed = parse(houseForm, input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  return together(desk, async (trx): Promise<SaveHouse> => {
    const own = (await findHouseRules(trx.db)) ?? {};
    const theirs = toHouseForm({ ...shippedRules.levels.house, ...own });
    const shown = openedAs(theirs, opened) ?? theirs;
    const { merged, clashes } = mergeChanges<HouseForm>(shown, parsed.value, theirs, () => null);
    if (clashes.length > 0) return { kind: 'changed', theirs, merged, clashes };
    const { oldAfterWeeks, ...rest } = merged;
    const asked: Partial<HouseRules> = { ...rest, oldAfterDays: oldAfterWeeks * 7 };
    const { firstClasses, oldAfterDays, usualSeatCm, fallsForCare, lightWhileAsking, ...others } = own;
    const shipped: Readonly<Record<string, unknown>> = { ...shippedRules.levels.house };
    const different = Object.entries(asked).filter(([name, value]) => shipped[name] !== value);
    await saveHouseRules(trx.db, { ...others, ...Object.fromEntries(different) });
    return { kind: 'saved' };
  });
}
