import { roundTo } from '../math/round';
import type { IsoDate } from '../shapes/facts';
import { clearZ, isJudged, type Change } from './change';

/** A change of one test between two days. */
export interface Compared {
  readonly test: string;
  readonly from: IsoDate;
  readonly on: IsoDate;
  readonly change: Change;
}

export interface Together {
  /** Those whose error is known. */
  readonly tests: readonly string[];
  readonly z: number;
  readonly verdict: 'clearly-better' | 'clearly-less' | 'about-the-same';
  /** Of all tests of the two days that got better or less, whatever is known of their error. */
  readonly better: number;
  readonly of: number;
  readonly from: IsoDate;
  readonly on: IsoDate;
}

/**
 * Several tests of the same two days, like for like: Z = sum of z / sqrt k, said from 1.96 on. It treats their errors as
 * independent, which they are not quite.
 * @param pooled tests that are taken together
 * @returns null where fewer than two of one pair of days have a known error
 */
export function together(compared: readonly Compared[], pooled: readonly string[]): Together | null {
  const newest = compared.reduce<IsoDate>((day, c) => (c.on > day ? c.on : day), '');
  const ofDay = compared.filter((c) => c.on === newest);
  // The pair of days that most tests share; of as many the nearer.
  const froms = [...new Set(ofDay.map((c) => c.from))].sort().reverse();
  const count = (from: IsoDate) => ofDay.filter((c) => c.from === from && zOf(c, pooled) !== null).length;
  const from = froms.reduce<IsoDate | null>((a, b) => (a !== null && count(a) >= count(b) ? a : b), null);
  const pair = ofDay.filter((c) => c.from === from);
  const judged = pair.flatMap((c) => {
    const z = zOf(c, pooled);
    return z === null ? [] : [{ test: c.test, z }];
  });
  if (from === null || judged.length < 2) return null;
  const z = judged.reduce((sum, j) => sum + j.z, 0) / Math.sqrt(judged.length);
  const signs = pair.flatMap(({ change }) =>
    (isJudged(change) || change.kind === 'told') && change.better !== null ? [change.better] : [],
  );
  const clear = roundTo(Math.abs(z), 1e-4) >= clearZ;
  return {
    ...{ tests: judged.map((j) => j.test), z, from, on: newest },
    verdict: clear ? (z > 0 ? 'clearly-better' : 'clearly-less') : 'about-the-same',
    ...{ better: signs.filter(Boolean).length, of: signs.length },
  };
}

const zOf = ({ test, change }: Compared, pooled: readonly string[]): number | null =>
  pooled.includes(test) && isJudged(change) ? change.z : null;
