import { readFileSync } from 'node:fs';
import { jStat } from 'jstat';
import Papa from 'papaparse';
import { describe, expect, test } from 'vitest';
import { errorOf, measurementError } from '../../core/score/error';
import { momentsOf, rankAmongPeers, rowFor, valueAt } from '../../core/score/rank';
import { scoreResult } from '../../core/score/scoreResult';
import type { TestResult } from '../../core/shapes/facts';
import type { NormSet, Sex } from '../../core/shapes/norms';
import type { Protocol } from '../../core/shapes/protocol';
import { protocolById, protocols } from '.';

type Cells = Readonly<Record<string, string>>;

/** A table of ../reference, row by row: figures written down from memory apart from the catalogue, sources beside them. */
function reference(name: string): readonly Cells[] {
  const text = readFileSync(new URL(`../reference/${name}.csv`, import.meta.url), 'utf8');
  return Papa.parse<Cells>(text.trim(), { header: true }).data;
}

/** The six-minute walk has published figures and is no test of ours. */
const ours = (rows: readonly Cells[]) => rows.filter((r) => r['test'] !== 'walk-6min');

function testOf(cells: Cells): Protocol {
  const protocol = protocolById(cells['test'] ?? '');
  if (!protocol) throw new Error(`the reference names ${cells['test'] ?? ''}, which is no test`);
  return protocol;
}
const n = (cells: Cells, name: string) => Number(cells[name]);
const same = (cells: Cells) => (r: { sex: string; ageLow: number; ageHigh: number }) =>
  r.sex === cells['sex'] && r.ageLow === n(cells, 'age_lo') && r.ageHigh === n(cells, 'age_hi');
function setOf<K extends NormSet['kind']>(id: string, kind: K): Extract<NormSet, { kind: K }> {
  const norms = protocolById(id)?.norms;
  if (norms?.kind !== kind) throw new Error(`${id} has no set of the kind ${kind}`);
  return norms as Extract<NormSet, { kind: K }>;
}
const named = (cells: Cells) => `${cells['test'] ?? ''} ${cells['sex'] ?? ''} ${cells['age_lo'] ?? ''}`;

const middleHalf = ours(reference('middle-half'));
const standards = ours(reference('independence-standards'));

describe('every cell of every shipped table', () => {
  test.each(middleHalf.map((c) => [named(c), c] as const))('%s: middle half (Rikli & Jones 1999)', (_, cells) => {
    const { rows } = setOf(testOf(cells).id, 'middle-half');
    const row = rows.find(same(cells));
    expect(row).toMatchObject({ p25: n(cells, 'p25'), p75: n(cells, 'p75') });
    expect(row?.other?.p25 ?? '').toBe(cells['other_printing_p25'] === '' ? '' : n(cells, 'other_printing_p25'));
    expect(row?.other?.p75 ?? '').toBe(cells['other_printing_p75'] === '' ? '' : n(cells, 'other_printing_p75'));
    const { norms } = testOf(cells);
    expect(row?.confidence ?? norms?.source.confidence).toBe(cells['confidence']);
  });
  test.each(standards.map((c) => [named(c), c] as const))('%s: standard (Rikli & Jones 2013)', (_, cells) => {
    const protocol = testOf(cells);
    expect(protocol.standard?.rows.find(same(cells))?.limit).toBe(n(cells, 'standard'));
    expect(cells['direction']).toBe(protocol.better === 'higher' ? '>=' : '<=');
  });
  test('no more rows are shipped than the reference has', () => {
    const shipped = protocols.flatMap((p) => (p.norms?.kind === 'middle-half' ? p.norms.rows : []));
    expect(shipped).toHaveLength(middleHalf.length);
    expect(protocols.flatMap((p) => p.standard?.rows ?? [])).toHaveLength(standards.length);
  });
  test('reliability (Rikli & Jones 1999, J Aging Phys Act 7:129-161)', () => {
    for (const cells of ours(reference('reliability'))) expect(testOf(cells).reliability?.r).toBe(n(cells, 'r_all'));
  });
  test('five stands (Bohannon 2006, Percept Mot Skills 103:215-222)', () => {
    expect(setOf('five-stands', 'limit').rows.map((r) => [r.ageLow, r.ageHigh, r.limit])).toEqual(
      reference('five-stands').map((c) => [n(c, 'age_lo'), n(c, 'age_hi'), n(c, 'worse_than_average_if_over_s')]),
    );
  });
  test('3-metre up and go (Bohannon 2006, J Geriatr Phys Ther 29:64-68)', () => {
    expect(setOf('up-and-go-3m', 'mean-ci').rows.map((r) => [r.ageLow, r.ageHigh, r.mean, r.ciLow, r.ciHigh])).toEqual(
      reference('up-and-go-3m').map((c) => ['age_lo', 'age_hi', 'mean_s', 'ci_low', 'ci_high'].map((k) => n(c, k))),
    );
  });
  test('usual walk (Bohannon & Andrews 2011, Physiotherapy 97:182-189)', () => {
    for (const c of reference('gait-4m'))
      expect(setOf('gait-4m', 'mean-ci').rows.find(same(c))).toMatchObject({
        mean: n(c, 'mean_m_s'),
        ciLow: n(c, 'ci_low'),
        ciHigh: n(c, 'ci_high'),
      });
    expect(setOf('gait-4m', 'mean-ci').rows).toHaveLength(8);
  });
  test('one-leg stance (Springer et al. 2007, J Geriatr Phys Ther 30:8-15), rows of each sex', () => {
    const rows = reference('one-leg').filter((c) => c['sex'] !== 'both');
    for (const c of rows)
      expect(setOf('one-leg', 'mean-sd').rows.find(same(c))).toMatchObject({
        mean: n(c, 'eyes_open_best_of_3_mean_s'),
        sd: n(c, 'sd'),
        n: n(c, 'n'),
      });
    expect(setOf('one-leg', 'mean-sd').rows).toHaveLength(rows.length);
  });
  test('functional reach (Duncan et al. 1990, J Gerontol 45:M192-197)', () => {
    for (const c of reference('reach-forward'))
      expect(setOf('reach-forward', 'mean-sd').rows.find(same(c))).toMatchObject({
        mean: n(c, 'mean_in'),
        sd: n(c, 'sd_in'),
      });
  });
  test('published errors: statistic, value, unit and people of each row', () => {
    for (const c of reference('measurement-error')) {
      if (c['statistic'] === 'ICC' || c['test'] === 'battery') continue;
      expect(
        testOf(c).publishedErrors?.map(({ statistic, value, unit }) => ({ statistic, value, unit })),
      ).toContainEqual({
        statistic: c['statistic'],
        value: n(c, 'value'),
        unit: c['unit'],
      });
    }
  });
  test('cut-offs: side, limit and unit of each row', () => {
    for (const c of reference('cutoffs')) {
      if (c['test'] === 'battery' || c['test'] === 'rise-power') continue;
      const printed = (testOf(c).cutoffs ?? []).filter((k) => c['sex'] === 'both' || !k.sex || k.sex === c['sex']);
      const limit = c['limit']?.startsWith('p25') ? 'p25' : n(c, 'limit');
      expect(printed.map((k) => [k.pastIf, k.limit])).toContainEqual([c['past_if'], limit]);
    }
  });
});

const ranked = protocols.flatMap((protocol) => {
  const { norms } = protocol;
  if (norms?.kind !== 'middle-half') return [];
  return norms.rows.map(({ sex, ageLow }) => ({ protocol, norms, peer: { sex, ageYears: ageLow } }));
});

describe('the normal model', () => {
  test('gives 25 and 75 at the printed quartiles of all rows, to 1e-9', () => {
    for (const { norms, peer } of ranked) {
      const row = rowFor(norms, peer);
      if (!row) throw new Error('row missing');
      for (const [value, wanted] of [
        [row.p25, 25],
        [row.p75, 75],
      ] as const) {
        const rank = rankAmongPeers({ ...norms, zeroNotRanked: undefined as never }, value, peer);
        expect(rank.kind === 'ranked' && Math.abs(rank.percentile - wanted)).toBeLessThan(1e-9);
        expect(rank).toMatchObject({ band: 'middle' });
      }
    }
  });
  test('agrees with a general statistics library on a fine grid of every row, to 1e-9 points', () => {
    for (const { norms, peer } of ranked) {
      const row = rowFor(norms, peer);
      if (!row) throw new Error('row missing');
      const { mean, sd } = momentsOf(row);
      for (let z = -3; z <= 3; z += 0.05) {
        const value = valueAt(row, z);
        const rank = rankAmongPeers(norms, value, peer);
        const theirs = 100 * jStat.normal.cdf(sd > 0 ? value : 2 * mean - value, mean, Math.abs(sd));
        if (rank.kind === 'ranked')
          expect(Math.abs(rank.percentile - Math.min(99.9, Math.max(0.1, theirs)))).toBeLessThan(1e-9);
        else expect(value).toBe(0);
      }
    }
  });
  test('doing better never ranks lower; a value beyond 94 or under 60 is not ranked', () => {
    for (const { protocol, norms, peer } of ranked) {
      const row = rowFor(norms, peer);
      if (!row) throw new Error('row missing');
      const sign = protocol.better === 'higher' ? 1 : -1;
      let last = -1;
      for (let step = -20; step <= 20; step++) {
        const rank = rankAmongPeers(norms, momentsOf(row).mean + (sign * step * Math.abs(row.p75 - row.p25)) / 8, peer);
        if (rank.kind !== 'ranked') continue;
        expect(rank.percentile).toBeGreaterThanOrEqual(last);
        last = rank.percentile;
      }
      for (const ageYears of [59, 95])
        expect(rankAmongPeers(norms, 10, { ...peer, ageYears })).toEqual({ kind: 'no-norm', why: 'age-not-covered' });
    }
  });
  test('an older row never ranks the same result lower, where both quartiles fall with age', () => {
    let compared = 0;
    for (const { protocol, norms, peer } of ranked) {
      const [young, old] = [peer, { ...peer, ageYears: peer.ageYears + 5 }].map((p) => rowFor(norms, p));
      if (!young || !old) continue;
      const sign = protocol.better === 'higher' ? 1 : -1;
      // Only inside the middle half: further out a wider spread turns the order of two normal curves round.
      if (sign * (old.p25 - young.p25) > 0 || sign * (old.p75 - young.p75) > 0) continue;
      compared++;
      for (const share of [0, 0.25, 0.5, 0.75, 1]) {
        const value = old.p25 + share * (young.p75 - old.p25);
        const [a, b] = [young, old].map((row) => (value - momentsOf(row).mean) / momentsOf(row).sd);
        expect(b ?? NaN).toBeGreaterThanOrEqual((a ?? NaN) - 1e-9);
      }
    }
    expect(compared).toBeGreaterThan(60);
  });
  test('mean of the chair stand within half a stand of the printed one, SD within 0.6 (same sample, not tuned to)', () => {
    for (const cells of reference('chair-stand-mean-sd')) {
      const row = setOf('chair-stand-30s', 'middle-half').rows.find(same(cells));
      if (!row) throw new Error('row missing');
      expect(Math.abs(momentsOf(row).mean - n(cells, 'mean'))).toBeLessThanOrEqual(0.5);
      expect(Math.abs(momentsOf(row).sd - n(cells, 'sd'))).toBeLessThanOrEqual(0.6);
    }
  });
  test('reach is read from mean and spread: the mean is 50, one SD over it 84.1', () => {
    const peer = { ageYears: 72, sex: 'female' } as const;
    const at = (inches: number) => rankAmongPeers(setOf('reach-forward', 'mean-sd'), inches * 2.54, peer);
    expect(at(10.47)).toMatchObject({ kind: 'ranked', band: 'middle' });
    const [middle, over] = [at(10.47), at(13.97)];
    expect(middle.kind === 'ranked' && middle.percentile).toBeCloseTo(50, 9);
    expect(over.kind === 'ranked' && over.percentile).toBeCloseTo(84.13, 2);
  });
});

const result = (test: string, value: number, more: Partial<TestResult> = {}): TestResult => ({
  test,
  testedOn: '2026-03-02',
  outcome: 'done',
  value,
  ...more,
});
const score = (
  test: string,
  value: number,
  ageYears = 77,
  sex: Sex | null = 'female',
  more: Partial<TestResult> = {},
) => {
  const protocol = protocolById(test);
  if (!protocol) throw new Error(`no test ${test}`);
  return scoreResult(protocol, result(test, value, more), { ageYears, sex });
};
const past = (test: string, value: number, sex: Sex | null = 'female') =>
  score(test, value, 77, sex).cutoffs.map((c) => c.past);

describe('forms that make no percentile', () => {
  test('five stands: 12.6 s at 70 to 79 is not worse than average, 12.61 is; 90 is not covered', () => {
    expect(score('five-stands', 12.6).rank).toMatchObject({ kind: 'limit', limit: 12.6, worse: false });
    expect(score('five-stands', 12.61).rank).toMatchObject({ kind: 'limit', worse: true });
    expect(score('five-stands', 12, 90).rank).toEqual({ kind: 'no-norm', why: 'age-not-covered' });
  });
  test('3-metre up and go: over 10.2 s, the upper end of the interval at 70 to 79, is worse than average', () => {
    expect(score('up-and-go-3m', 10.2).rank).toMatchObject({ kind: 'limit', worse: false });
    expect(score('up-and-go-3m', 10.3).rank).toMatchObject({ kind: 'limit', worse: true });
  });
  test('one leg: mean and spread and the skew are said; a full clock is the top of the test', () => {
    const one = score('one-leg', 45);
    expect(one.rank).toMatchObject({ kind: 'mean', row: { mean: 16.7, sd: 15 } });
    expect(one.notes.join(' ')).toContain('no percentile is made');
    expect(one.notes.join(' ')).toContain('the clock stops at 45 s');
  });
  test('a walk of 4 m is read as speed: 5.0 s is 0.8 m/s and past the line, 4.99 s is not', () => {
    expect(score('gait-4m', 5)).toMatchObject({ scored: 0.8, rank: { kind: 'mean', row: { mean: 1.132 } } });
    expect([past('gait-4m', 5), past('gait-4m', 4.99)]).toEqual([[true], [false]]);
  });
  test('what has no norms says so', () => {
    expect(score('thigh-hold', 30).rank).toEqual({ kind: 'no-norm', why: 'no-set' });
    expect(score('thigh-hold', 30).notes).toEqual(['There is no norm set for Part-squat hold to the first stop sign.']);
  });
});

describe('cut-offs on their line', () => {
  test.each([
    ['arm-curl', 10, 11],
    ['step-2min', 64, 65],
    ['four-stage', 2, 3],
    ['one-leg', 4.9, 5],
    ['reach-forward', 25.3, 25.4],
  ])('%s: %s is past, %s is not', (test, below, on) => {
    expect(past(test, below)[0]).toBe(true);
    expect(past(test, on)[0]).toBe(false);
  });
  test.each([
    ['up-and-go-8ft', 8.5, 8.4],
    ['up-and-go-3m', 12, 11.9],
    ['five-stands', 12, 11.9],
  ])('%s: %s s is past, %s s is not', (test, on, faster) => {
    expect(past(test, on)[0]).toBe(true);
    expect(past(test, faster)[0]).toBe(false);
  });
  test('sit-and-reach is in inches: women from -2 in (-5.08 cm), men from -4 in; table open: where it is passed sooner', () => {
    expect([past('sit-reach', -5.08), past('sit-reach', -5)]).toEqual([[true], [false]]);
    expect([past('sit-reach', -10.16, 'male'), past('sit-reach', -10.1, 'male')]).toEqual([[true], [false]]);
    expect([past('sit-reach', -5.08, null), past('sit-reach', -5, null)]).toEqual([[true], [false]]);
  });
  test('0 cm on the chair sit-and-reach is a result like any other', () => {
    expect(score('sit-reach', 0).rank.kind).toBe('ranked');
  });
});

test('scoring the same again gives the same, byte for byte, for every test and age', () => {
  for (const protocol of protocols)
    for (const ageYears of [59, 64, 77, 90, 95])
      for (const sex of ['female', 'male', null] as const) {
        const once = () => JSON.stringify(score(protocol.id, 8, ageYears, sex));
        expect(once()).toBe(once());
      }
});

describe('error', () => {
  test('computed where a row gives a spread, published for our kind of people where not, else none', () => {
    const of = (id: string, age = 77) => {
      const protocol = protocolById(id);
      return protocol && errorOf(protocol, rowFor(protocol.norms, { ageYears: age, sex: 'female' }));
    };
    // SD of women 75-79 in the 8-foot up and go: (7.4 - 5.2) / 1.349 = 1.631; SEM 1.631 sqrt(0.05) = 0.365, by hand.
    expect(of('up-and-go-8ft')?.sem?.toFixed(3)).toBe('0.365');
    expect(of('up-and-go-8ft')?.mdc95.toFixed(2)).toBe('1.01');
    expect(of('five-stands')).toMatchObject({ sem: 0.9, mdc95: 2.5, from: 'published' });
    expect(of('one-leg')).toMatchObject({ sem: null, mdc95: 24.1 });
    // Published for osteoarthritis and Parkinson disease only: no measure for people in a hall.
    expect([of('up-and-go-3m'), of('reach-forward'), of('thigh-hold')]).toEqual([null, null, null]);
  });
  test('the error of every ranked row is positive, and 1.96 / 1.645 apart', () => {
    for (const { protocol, norms, peer } of ranked) {
      const row = rowFor(norms, peer);
      if (!row || !protocol.reliability) throw new Error('row missing');
      const { sem, mdc90, mdc95 } = measurementError(row, protocol.reliability);
      expect(sem).toBeGreaterThan(0);
      expect(mdc95 / (mdc90 ?? NaN)).toBeCloseTo(1.96 / 1.645, 12);
    }
  });
});
