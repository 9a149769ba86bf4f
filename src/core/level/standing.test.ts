import { expect, test } from 'vitest';
import type { Ladder } from '../shapes/ladder';
import type { Level, LevelsAnswer } from './answer';
import {
  isOver,
  shownLevel,
  standingsOf,
  trainedLevels,
  waitingLevels,
  type Decided,
  type DecisionKind,
} from './standing';

const ladders = [{ pattern: 'S' }, { pattern: 'L' }] as unknown as readonly Ladder[];
const level = (rung: number, more: Partial<Level> = {}): Level =>
  ({ pattern: 'S', rung, support: 'h', targetCm: 46, loadKg: null, code: `S${rung}/46/h@4x1`, ...more }) as Level;
const open = (...levels: Level[]): LevelsAnswer => ({
  levels,
  closed: [],
  cautions: [],
  refused: null,
  rulesVersion: '1',
});
const decided = (of: Level, decidedOn: string, kind: DecisionKind = 'test'): Decided => ({
  decidedOn,
  kind,
  by: 'Kim',
  level: of,
});
const state = (answer: LevelsAnswer, inForce: readonly Decided[], lastTestedOn: string | null = '2026-02-23') => {
  const all = standingsOf(ladders, answer, inForce, lastTestedOn);
  return [all[0]?.state, waitingLevels(all).map((l) => l.rung), trainedLevels(all).map((l) => l.rung)];
};

test('open and never decided it waits for a yes; before the first test nothing waits', () => {
  expect(state(open(level(4)), [])).toEqual(['waits', [4], []]);
  expect(state(open(level(4)), [], null)).toEqual(['none', [], []]);
  expect(state(open(), [])).toEqual(['none', [], []]);
});
test('decided after the newest test it holds; a newer test asks for a yes again, and says where it says more', () => {
  expect(state(open(level(4)), [decided(level(4), '2026-02-23')])).toEqual(['holds', [], [4]]);
  expect(state(open(level(4)), [decided(level(4), '2026-02-22')])).toEqual(['waits', [4], [4]]);
  expect(state(open(level(5)), [decided(level(4), '2026-02-22')])).toEqual(['more', [5], [4]]);
});
test('a level over what may be done now is not trained on, and the lower one waits for a yes (ask first, a new pain)', () => {
  expect(state(open(level(3)), [decided(level(5), '2026-02-23')])).toEqual(['over', [3], []]);
  expect(state(open(level(5, { support: '2', code: 'S5/46/2' })), [decided(level(5), '2026-02-23')])).toEqual([
    'over',
    [5],
    [],
  ]);
});
test('closed today it is in force and not trained on; nothing waits', () => {
  expect(state({ ...open(), closed: [{ pattern: 'S', blockers: [] }] }, [decided(level(5), '2026-02-23')])).toEqual([
    'closed',
    [],
    [],
  ]);
});
test('lower by somebody’s word or by what classes showed is not offered back the next day, but after a newer test', () => {
  for (const kind of ['hand', 'class', 'swap'] as const) {
    expect(state(open(level(5)), [decided(level(3), '2026-02-24', kind)])).toEqual(['holds', [], [3]]);
    expect(state(open(level(5)), [decided(level(3), '2026-02-24', kind)], '2026-03-01')).toEqual(['more', [5], [3]]);
  }
  expect(state(open(level(5)), [decided(level(3), '2026-02-24')])).toEqual(['more', [5], [3]]);
});
test('the newest decision is the one in force', () => {
  expect(state(open(level(5)), [decided(level(5), '2026-02-23'), decided(level(2), '2026-02-24', 'hand')])).toEqual([
    'holds',
    [],
    [2],
  ]);
});
test('what is shown keeps how much of the rung is done, and what keeps the next rung is told as of today', () => {
  const block = (text: string) => ({ rung: 6, fact: 'shown', text }) as unknown as Level['blockers'][number];
  const within = (step: number, words: string) => ({ within: { step, words } });
  const shown = (ceiling: Level, inForce: Level) => {
    const [standing] = standingsOf(ladders, open(ceiling), [decided(inForce, '2026-02-25', 'class')], '2026-02-23');
    return standing && shownLevel(standing);
  };
  const today = level(5, { ...within(0, 'a little'), blockers: [block('thirteen stands')] });
  // The same code: today's reasons, and as much of it as was reached.
  expect(shown(today, level(5, within(2, 'all of it')))).toMatchObject({ ...within(2, 'all of it') });
  const then = level(4, { ...within(1, 'half'), blockers: [block('not seen clean yet')] });
  expect(shown(today, then)).toMatchObject({ rung: 4, ...within(1, 'half'), blockers: [{ text: 'thirteen stands' }] });
});

test('over: a higher rung, freer hands, a lower seat, more weight', () => {
  const ceiling = level(5, { loadKg: 2 });
  expect(isOver(level(6), ceiling)).toBe(true);
  expect(isOver(level(4, { support: '0' }), ceiling)).toBe(false);
  expect(isOver(level(5, { support: '0' }), ceiling)).toBe(true);
  expect(isOver(level(5, { targetCm: 43 }), ceiling)).toBe(true);
  expect(isOver(level(5, { targetCm: 48 }), ceiling)).toBe(false);
  expect(isOver(level(5, { loadKg: 3 }), ceiling)).toBe(true);
  expect(isOver(ceiling, ceiling)).toBe(false);
});
test('a cap of the dose that came later holds at once, and lapses with what asked for it; the level stays in force', () => {
  const held = level(6, { dose: { kind: 'holds', holdS: 15, sets: 3 }, code: 'S6/46/h@h15x3' });
  const on = (ceiling: Level, inForce = held) =>
    standingsOf(ladders, open(ceiling), [decided(inForce, '2026-02-25', 'class')], '2026-02-23')[0];
  const capped = on(level(6, { doseCaps: { holdS: 10 } }));
  expect(capped?.inForce?.level).toMatchObject({ dose: { holdS: 10 }, code: 'S6/46/h@h10x3', doseCaps: { holdS: 10 } });
  expect(capped?.state).toBe('holds');
  // What was capped when it was decided is not, once nothing caps it.
  const before = { ...held, doseCaps: { holdS: 15 } };
  expect(on(level(6), before)?.inForce?.level).not.toHaveProperty('doseCaps');
  expect(on(level(6), before)?.inForce?.level.code).toBe('S6/46/h@h15x3');
});
