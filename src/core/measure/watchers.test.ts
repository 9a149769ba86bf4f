import { expect, test } from 'vitest';
import type { Helper } from '../shapes/helper';
import { lanesAtOnce, mayWatch, watchedTogether } from './watchers';

const said = { day: '2026-03-02', by: 'this device' };
const helper = (name: string, count: boolean, spot: boolean): Helper => ({
  ...{ id: name, name },
  may: { count: count ? said : null, spot: spot ? said : null },
});
const [runa, pelle, siv] = [helper('Runa', true, true), helper('Pelle', true, false), helper('Siv', false, true)];

test('a balance test has one lane a spotter: the instructor, and each who is ticked for it', () => {
  const oneLeg = { staff: 'spots', lanes: 1 } as const;
  expect(mayWatch(oneLeg, [runa, pelle, siv]).map((h) => h.name)).toEqual(['Runa', 'Siv']);
  expect([[], [pelle], [runa, siv], [runa, siv, runa, siv]].map((h) => lanesAtOnce(oneLeg, h))).toEqual([1, 1, 3, 4]);
});

test('of counts two a counter, four with another who may be shown how on the spot; a walk timed alone is one a helper', () => {
  expect(lanesAtOnce({ staff: 'counts', lanes: 2 }, [])).toBe(4);
  expect([[], [pelle]].map((h) => lanesAtOnce({ staff: 'counts', lanes: 1 }, h))).toEqual([1, 2]);
  expect(watchedTogether({ staff: 'counts', lanes: 2 }, 3)).toEqual([[0, 1], [2]]);
  expect(watchedTogether({ staff: 'spots', lanes: 1 }, 2)).toEqual([[0], [1]]);
});

test('what only the instructor may run has as many lanes as one pair of eyes, whoever else is there', () => {
  expect(lanesAtOnce({ staff: 'instructor', lanes: 1 }, [runa, pelle, siv])).toBe(1);
});
