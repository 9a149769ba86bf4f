import { roundTo } from '../math/round';
import type { Protocol } from '../shapes/protocol';
import type { Try } from './trial';

/** The result of several tries; `null` without any. A mean is rounded to a tenth, as the tape is read no finer. */
export function resultOfTries(
  { tries, better }: Pick<Protocol, 'tries' | 'better'>,
  values: readonly number[],
): number | null {
  if (values.length === 0) return null;
  if (tries?.by === 'mean') return roundTo(values.reduce((sum, t) => sum + t, 0) / values.length, 0.1);
  return better === 'higher' ? Math.max(...values) : Math.min(...values);
}

/** The same of tries as they were read; one that does not count is left out. */
export const bestOf = (protocol: Protocol, tries: readonly Try[]): number | null =>
  resultOfTries(
    protocol,
    tries.flatMap((t) => (t.value === null ? [] : [t.value])),
  );
