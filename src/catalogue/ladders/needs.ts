import type { Pattern, Support } from '../../core/shapes/facts';
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

/** Something fixed within reach: a rail, or a chair whose seat touches the wall. */
export const hold: Need = {
  kind: 'place',
  why: 'something fixed within reach',
  ...practice,
  anyOf: [here('kit.rail', 'a rail or counter'), here('kit.chair', 'a chair, its seat to the wall')],
};

/** Clean twice in classes, on the rung under it. */
export const shown = (pattern: Pattern, rung: number): Need => ({
  kind: 'person',
  shown: { pattern, rung },
  why: `clean in two classes on ${pattern}${rung}`,
  ...practice,
});

/** A firm step to stand on, over the one height and up to the other. */
export const step = (overCm: number, toCm: number): Need => ({
  kind: 'place',
  step: { overCm, toCm },
  why: overCm === 0 ? `a firm step of up to ${toCm} cm` : `a firm step over ${overCm} and up to ${toCm} cm`,
  ...practice,
});

/** Held so long in classes. */
export const held = (pattern: Pattern, rung: number, seconds: number): Need => ({
  kind: 'person',
  held: { pattern, rung, seconds },
  why: `${pattern}${rung} held ${seconds} s in class`,
  ...practice,
});

/** Gets down to the floor and up again. */
export const getsUp: Need = {
  kind: 'person',
  fact: 'floorTransfer',
  atLeast: 1,
  why: 'gets up from the floor',
  ...practice,
};

export const mat = here('kit.mat', 'a mat');

/** Balance lets the hands be at least this free. */
export const hands = (support: Support, why: string): Need => ({ kind: 'person', support, why, ...practice });

/** No fall that hurt, nor two, in the last twelve months. */
export const noFalls: readonly Need[] = [
  { kind: 'person', absent: 'injuredInFall', why: 'no fall that hurt in 12 months', ...practice },
  { kind: 'person', fallsUnder: 2, why: 'not two falls in 12 months', ...practice },
];

export const noAidIndoors: Need = { kind: 'person', absent: 'aidIndoors', why: 'no walking aid indoors', ...practice };
