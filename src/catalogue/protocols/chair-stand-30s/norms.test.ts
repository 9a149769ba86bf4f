import { describe, expect, test } from 'vitest';
import { momentsOf } from '../../../core/score/rank';
import { chairStandNorms, chairStandStandard } from './norms';

type Table<T> = Readonly<Record<'female' | 'male', Readonly<Record<number, T>>>>;

// Written down a second time, row by row, from Rikli & Jones 1999 (J Aging Phys Act 7:162-181) and 2013 (Gerontologist
// 53:255-267), from memory: 25th, 75th, the count that keeps independence to 90.
const published: Table<readonly [p25: number, p75: number, standard: number]> = {
  female: {
    60: [12, 17, 15],
    65: [11, 16, 15],
    70: [10, 15, 14],
    75: [10, 15, 13],
    80: [9, 14, 12],
    85: [8, 13, 11],
    90: [4, 11, 9],
  },
  male: {
    60: [14, 19, 17],
    65: [12, 18, 16],
    70: [12, 17, 15],
    75: [11, 17, 14],
    80: [10, 15, 13],
    85: [8, 14, 11],
    90: [7, 12, 9],
  },
};
const cells = (['female', 'male'] as const).flatMap((sex) =>
  Object.entries(published[sex]).map(([age, values]) => ({ sex, age: Number(age), values })),
);

test.each(cells)('$sex $age: middle half and standard as published', ({ sex, age, values: [p25, p75, standard] }) => {
  expect(chairStandNorms.rows.find((r) => r.sex === sex && r.ageLow === age)).toEqual({
    sex,
    ageLow: age,
    ageHigh: age + 4,
    p25,
    p75,
  });
  expect(chairStandStandard.rows.find((r) => r.sex === sex && r.ageLow === age)?.limit).toBe(standard);
});

// Means and SDs of the same sample (Rikli & Jones 1999, from memory): a check on reading the row as normal, not tuned to.
const meanSd: Table<readonly [mean: number, sd: number]> = {
  female: {
    60: [14.5, 4.0],
    65: [13.5, 3.5],
    70: [12.9, 3.6],
    75: [12.5, 3.8],
    80: [11.3, 4.2],
    85: [10.3, 4.0],
    90: [8.0, 5.1],
  },
  male: {
    60: [16.4, 4.3],
    65: [15.2, 4.5],
    70: [14.5, 4.2],
    75: [14.0, 4.3],
    80: [12.4, 3.9],
    85: [11.1, 4.6],
    90: [9.7, 3.8],
  },
};
describe('the normal model against the printed means and SDs', () => {
  test.each(cells)('$sex $age: mean within half a stand, SD within 0.6', ({ sex, age }) => {
    const row = chairStandNorms.rows.find((r) => r.sex === sex && r.ageLow === age);
    const [mean, sd] = meanSd[sex][age] ?? [NaN, NaN];
    if (!row) throw new Error('row missing');
    expect(Math.abs(momentsOf(row).mean - mean)).toBeLessThanOrEqual(0.5);
    expect(Math.abs(momentsOf(row).sd - sd)).toBeLessThanOrEqual(0.6);
  });
});
