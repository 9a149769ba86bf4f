import type { LimiterRow, Rung, RungWord } from './ladder';

/** What a rung has in it that the sentence of a limiter may forbid. */
export const wordsOf = ({
  flags = [],
  load,
  stance,
  floor,
}: Pick<Rung, 'flags' | 'load' | 'stance' | 'floor'>): RungWord[] => [
  ...flags,
  ...(load ? (['weight'] as const) : []),
  ...(stance === 'one-leg' ? (['one-leg'] as const) : []),
  ...(floor ? (['floor'] as const) : []),
];

/** What of a rung the sentence of a limiter forbids. */
export const forbiddenIn = (row: Pick<LimiterRow, 'forbids'>, rung: Parameters<typeof wordsOf>[0]): RungWord[] =>
  wordsOf(rung).filter((word) => row.forbids?.includes(word));

/** Whether a rung loads the joint that a pain spares. */
export function loadsSpared({ closesLoads }: Pick<LimiterRow, 'closesLoads'>, { loads }: Pick<Rung, 'loads'>): boolean {
  if (!closesLoads) return false;
  const load = loads[closesLoads.joint];
  return load === 'much' || (load === 'some' && closesLoads.least === 'some');
}
