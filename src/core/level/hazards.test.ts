import { expect, test } from 'vitest';
import { ladders } from '../../catalogue/ladders';
import { hazardsAt, hazardsOf } from './hazards';

test('a rung on the floor, on one leg or with a sliding foot has its line to mind', () => {
  expect(hazardsOf({ floor: false, stance: 'two-foot' })).toEqual([]);
  expect(hazardsOf({ floor: true, stance: 'one-leg' })).toEqual(['floor', 'one-leg']);
  expect(hazardsOf({ floor: false, stance: 'split', slides: { mark: { name: '', does: '' } } })).toEqual(['slide']);
});

test('a rung that is not on the ladder has none', () => {
  for (const ladder of ladders) expect(hazardsAt(ladder, 99)).toEqual([]);
});
