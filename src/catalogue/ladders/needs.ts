import type { Need, SeenFactId } from '../../core/shapes/ladder';
import { sources } from '../sources';

/** Needs that several rungs ask for. Thresholds are house rules unless a source is named. */
export const practice = { source: sources.practice } as const;

export const stands = (atLeast: number, why = 'strength to rise', source: Need['source'] = sources.practice): Need => ({
  kind: 'person',
  fact: 'cleanStands',
  atLeast,
  why,
  source,
});

/** Standing positions held ten seconds each. */
export const positions = (atLeast: number): Need => ({
  kind: 'person',
  fact: 'fourStage',
  atLeast,
  why: 'steady standing',
  ...practice,
});

/** Seconds on one leg, weaker side. */
export const steadyS = (atLeast: number): Need => ({
  kind: 'person',
  fact: 'oneLegS',
  atLeast,
  why: 'steady on one leg',
  ...practice,
});

export const sits: Need = { kind: 'person', seen: 'sitsUnsupported', why: 'sits without a back or arms', ...practice };

/** Something the hall has; without it only this rung is closed. */
export const here = (seen: SeenFactId, why: string): Need => ({ kind: 'place', seen, why, ...practice });
