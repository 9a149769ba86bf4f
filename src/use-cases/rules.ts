import { shippedRules } from '../catalogue/rules/book';
import type { HouseRules } from '../core/shapes/ladder';
import type { RuleBook } from '../core/shapes/rules';
import { findHouseRules } from '../database/place';
import type { Desk } from './desk';

/** The rules in force in this hall: those that shipped, with the house rules the hall has of its own. */
export async function readRules(desk: Desk): Promise<RuleBook> {
  const own = await findHouseRules(desk.db);
  return own ? withHouse(shippedRules, own) : shippedRules;
}

/** A version of its own, as results judged by other rules are other levels. */
export const withHouse = (book: RuleBook, own: Partial<HouseRules>): RuleBook => ({
  ...book,
  levels: {
    ...book.levels,
    version: `${book.levels.version}, house rules of this hall`,
    house: { ...book.levels.house, ...own },
  },
});
