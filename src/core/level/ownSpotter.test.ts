import { expect, test } from 'vitest';
import { accessories, ladders } from '../../catalogue/ladders';
import { madeUpIntake } from '../intake/madeUp';
import type { Support } from '../shapes/facts';
import { needsSpotter, type Steadiness } from './ownSpotter';

const steady: Steadiness = {
  ...{ falls: [], intake: madeUpIntake(), limiters: [] },
  readiness: { outcome: 'ready', asked: 'current', reasons: [], limits: [], until: null },
};
const fall = (hurt: boolean): Steadiness['falls'][number] => ({
  ...{ id: 'f', personId: 'p', on: '2026-01-01', savedAt: '2026-01-01T10:00:00Z' },
  content: {
    ...{ kind: 'fall', fellOn: '2026-01-01', hurt, lookedAt: true },
    ...{ headStruck: false, unexplained: false },
  },
});
const rungOf = (code: string) => {
  const rung = [...ladders, ...accessories]
    .find((l) => l.pattern === code.charAt(0))
    ?.rungs.find((r) => r.rung === Number(code.charAt(1)));
  if (!rung) throw new Error(code);
  return rung;
};
const asked = (more: Partial<Steadiness>, code: string, support: Support = '2') =>
  needsSpotter({ ...steady, ...more }, rungOf(code), { support });

test('nobody steady needs one, on any rung with any hands', () => {
  for (const { rungs } of [...ladders, ...accessories])
    for (const rung of rungs)
      for (const support of ['f', 'h', '0'] as const) expect(needsSpotter(steady, rung, { support })).toBe(false);
});

test.each<[string, Partial<Steadiness>]>([
  ['two falls', { falls: [fall(false), fall(false)] }],
  ['one fall that hurt', { falls: [fall(true)] }],
  ['an aid indoors', { intake: madeUpIntake({ aidIndoors: 'stick' }) }],
  ['a condition of the nerves', { limiters: [{ kind: 'neurological' }] }],
  ['ready with care', { readiness: { ...steady.readiness, outcome: 'ready-with-care' } }],
])('%s: in all that is done standing, never on a seat or lying', (_why, more) => {
  for (const code of ['S5', 'S6', 'L1', 'H2', 'H4', 'U2', 'A2'])
    expect([code, asked(more, code)]).toEqual([code, true]);
  for (const code of ['S1', 'S2', 'S3', 'H1', 'B1', 'B4', 'Q1', 'W2'])
    expect([code, asked(more, code)]).toEqual([code, false]);
});

test('a single fall that did not hurt asks for nobody', () => {
  expect(asked({ falls: [fall(false)] }, 'S5', 'h')).toBe(false);
});

test('a blood thinner: on one leg alone', () => {
  const more = { limiters: [{ kind: 'blood-thinner' as const }] };
  expect([asked(more, 'L4'), asked(more, 'H7'), asked(more, 'H4')]).toEqual([false, true, false]);
});

test('who holds with less than the rung has, or with both hands and numb feet, could not be held closer', () => {
  expect([asked({}, 'S5', '1'), asked({}, 'S5', 'h')]).toEqual([true, false]);
  const numb = { limiters: [{ kind: 'numb-feet' as const }] };
  expect([asked(numb, 'L1', '2'), asked(numb, 'L4', '1')]).toEqual([true, false]);
});
