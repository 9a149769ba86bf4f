import { expect, test } from 'vitest';
import { protocolById } from '../catalogue/protocols';
import { protocolIn } from '../core/score/shownUnits';
import { calculate } from './calculate';

const today = '2026-03-02';
const named = (id: string) => {
  const found = protocolById(id);
  if (!found) throw new Error(`no test ${id}`);
  return found;
};
const percentile = (question: Record<string, string>, id = 'chair-stand-30s') => {
  const { score } = calculate(named(id), question, today);
  return score?.rank.kind === 'ranked' ? Number(score.rank.percentile.toFixed(1)) : (score?.rank.kind ?? null);
};

test('a woman of 77 with 9 stands is 17.3 (by hand from Rikli & Jones 1999, from memory), with a comma too', () => {
  expect(percentile({ age: '77', sex: 'female', value: '9' })).toBe(17.3);
  expect(percentile({ age: '77', sex: 'female', value: '6,3' }, 'up-and-go-8ft')).toBe(50);
});
test.each([
  [{ age: '17', sex: 'female', value: '9' }],
  [{ age: '77', sex: 'female', value: '' }],
  [{ age: '77', sex: 'female', value: '999' }],
  [{ age: 'old', sex: 'female', value: '9' }],
  [{}],
])('what does not fit is left out, not guessed: %j', (question) => expect(percentile(question)).toBeNull());
test('any other word for the table leaves it open, and the cautious table is used', () => {
  expect(percentile({ age: '77', sex: 'x', value: '12' })).toBe(percentile({ age: '77', sex: 'male', value: '12' }));
});
test('in a hall in inches the result is asked in inches', () => {
  const sit = protocolIn('us', named('sit-reach'));
  const { score } = calculate(sit, { age: '77', sex: 'female', value: '3.5' }, today);
  expect(score?.rank.kind === 'ranked' && score.rank.percentile).toBeCloseTo(75, 9);
});
