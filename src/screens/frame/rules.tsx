'use client';
import { createContext, useContext, type ReactNode } from 'react';
import type { RuleBook } from '../../core/shapes/rules';

const InForce = createContext<RuleBook | null>(null);

/** The rules of the hall, for everything on a page that judges somebody in the browser. */
export function RulesProvider({ rules, children }: { rules: RuleBook; children: ReactNode }) {
  return <InForce.Provider value={rules}>{children}</InForce.Provider>;
}

/** The rules in force here; no screen reads the shipped ones. */
export function useRules(): RuleBook {
  const rules = useContext(InForce);
  if (!rules) throw new RangeError('useRules: this page was not handed the rules; wrap it in RulesProvider');
  return rules;
}
