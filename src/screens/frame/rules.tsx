'use client';
import { createContext, useContext, type ReactNode } from 'react';
import type { DayRules, RuleBook } from '../../core/shapes/rules';

const OfTheDay = createContext<DayRules | null>(null);
const All = createContext<RuleBook | null>(null);

/** The rules of the hall, for everything on a page that judges somebody in the browser. */
export function RulesProvider({ rules, children }: { rules: RuleBook; children: ReactNode }) {
  return (
    <All.Provider value={rules}>
      <OfTheDay.Provider value={rules}>{children}</OfTheDay.Provider>
    </All.Provider>
  );
}

/** Those that decide whether somebody may begin today, for pages that need no ladder: a third of the size. */
export function DayRulesProvider({ rules, children }: { rules: DayRules; children: ReactNode }) {
  return <OfTheDay.Provider value={rules}>{children}</OfTheDay.Provider>;
}

/** The rules in force here; no screen reads the shipped ones. */
export const useRules = (): DayRules => handed(useContext(OfTheDay), 'DayRulesProvider');

/** With the ladders. */
export const useAllRules = (): RuleBook => handed(useContext(All), 'RulesProvider');

function handed<T>(rules: T | null, by: string): T {
  if (!rules) throw new RangeError(`useRules: this page was not handed the rules; wrap it in ${by}`);
  return rules;
}
