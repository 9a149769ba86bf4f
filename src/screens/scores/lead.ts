import type { Protocol } from '../../core/shapes/protocol';
import type { PersonView } from '../../core/view/personView';
import type { ScoredResult } from '../../core/view/testView';
import { shownTest } from '../shownTest';
import { resultWords } from './testWords';

/** The test that speaks for somebody where one must, with its results, newest first. */
export interface Lead {
  readonly protocol: Protocol;
  readonly results: readonly ScoredResult[];
}

export function leadOf({ lead, units }: Pick<PersonView, 'lead' | 'units'>): Lead | null {
  const protocol = lead && shownTest(lead.test, units);
  const results = lead?.series[0]?.results ?? [];
  return protocol && results.length > 0 ? { protocol, results } : null;
}

/** The newest result of it, as it is said; empty where there is none. */
export function leadWords(view: Pick<PersonView, 'lead' | 'units'>): string {
  const lead = leadOf(view);
  const newest = lead?.results[0];
  return newest ? resultWords(lead.protocol, newest) : '';
}
