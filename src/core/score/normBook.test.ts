import { describe, expect, test } from 'vitest';
import { normsVersion, protocolById, protocols } from '../../catalogue/protocols';
import type { HallNorms, MiddleHalfRow } from '../shapes/norms';
import { normBook, normFaults } from './normBook';
import { rankAmongPeers } from './rank';

const rows: readonly MiddleHalfRow[] = (['female', 'male'] as const).flatMap((sex) => [
  { sex, ageLow: 60, ageHigh: 79, p25: 8, p75: 14 },
  { sex, ageLow: 80, ageHigh: 99, p25: 6, p75: 12 },
]);
const change = (id: string, more: Partial<HallNorms> = {}): HallNorms => ({
  ...{ id, savedAt: '2026-02-01T10:00:00Z', test: 'chair-stand-30s', unit: 'stands', rows },
  ...{ cite: 'Own hall, 212 people', who: 'Bo', why: 'our chairs are lower' },
  ...more,
});
const stands = protocolById('chair-stand-30s');
const upAndGo = protocolById('up-and-go-8ft');
if (!stands || !upAndGo) throw new Error('tests missing');
const percentile = (changes: readonly HallNorms[], value = 8) => {
  const found = normBook(protocols, normsVersion, changes).protocols.find((p) => p.id === 'chair-stand-30s');
  const rank = rankAmongPeers(found?.norms, value, { ageYears: 77, sex: 'female' });
  return rank.kind === 'ranked' ? Math.round(rank.percentile) : rank.kind;
};

describe('the hall’s own figures', () => {
  test('take the place of the shipped ones, the newest change wins, and one without rows goes back', () => {
    expect(percentile([])).toBe(11);
    expect(percentile([change('a')])).toBe(25);
    const wider = rows.map((r) => ({ ...r, p25: 6, p75: 10 }));
    expect(percentile([change('a'), change('b', { rows: wider })])).toBe(50);
    expect(percentile([change('a'), change('b', { rows: null })])).toBe(11);
  });
  test('every change raises the version, also the way back; without one it is the shipped version', () => {
    const version = (changes: readonly HallNorms[]) => normBook(protocols, '1', changes).version;
    expect([version([]), version([change('a')]), version([change('a'), change('b', { rows: null })])]).toEqual([
      '1',
      '1+hall.1',
      '1+hall.2',
    ]);
  });
  test('a table in inches is read in cm: 1 in is 2.54 cm', () => {
    const inches = rows.map((r) => ({ ...r, p25: -2, p75: 3 }));
    const book = normBook(protocols, '1', [change('a', { test: 'sit-reach', unit: 'in', rows: inches })]);
    const found = book.protocols.find((p) => p.id === 'sit-reach');
    const rank = rankAmongPeers(found?.norms, -5.08, { ageYears: 70, sex: 'male' });
    expect(rank.kind === 'ranked' && rank.percentile).toBeCloseTo(25, 9);
  });
});

describe('what is no norm table', () => {
  const faults = (some: readonly MiddleHalfRow[]) => normFaults(stands, some);
  const [first, second, ...men] = rows;
  if (!first || !second) throw new Error('rows missing');
  test.each([
    [
      'quartiles the wrong way round',
      [{ ...first, p25: 15 }, second, ...men],
      'female 60-79: p25 must be less than p75.',
    ],
    ['a gap', [first, { ...second, ageLow: 83 }, ...men], 'female: no row covers ages 80 to 82.'],
    ['an overlap', [first, { ...second, ageLow: 78 }, ...men], 'female: ages 78 to 79 stand in two rows.'],
    ['one table only', men, 'There is no row for female.'],
    ['ages turned', [{ ...first, ageLow: 79, ageHigh: 60 }, ...men], 'female 79-60: the ages are the wrong way round.'],
  ] as const)('%s', (_, some, fault) => {
    expect(faults(some)).toContain(fault);
  });
  test('the shipped sets themselves are tables, times with the slower quartile first', () => {
    expect(faults(rows)).toEqual([]);
    for (const p of protocols) if (p.norms?.kind === 'middle-half') expect(normFaults(p, p.norms.rows)).toEqual([]);
    expect(normFaults(upAndGo, rows)[0]).toContain('p25 is the slower time');
  });
});
