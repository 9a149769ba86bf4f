import { expect, test } from 'vitest';
import { protocols } from '../../catalogue/protocols';
import { amount } from './amount';

test('one is said as one', () => {
  expect([amount(1, 'stands'), amount(2, 'stands'), amount(0, 'positions'), amount(1, 'positions')]).toEqual([
    '1 stand',
    '2 stands',
    '0 positions',
    '1 position',
  ]);
  expect([amount(1, 's'), amount(-1, 'cm')]).toEqual(['1 s', '-1 cm']);
});

test('every unit that is counted has a word for one', () => {
  const counted = protocols.map((p) => p.unit).filter((unit) => /^\w+s$/.test(unit));
  for (const unit of counted) expect(amount(1, unit)).not.toBe(`1 ${unit}`);
});
