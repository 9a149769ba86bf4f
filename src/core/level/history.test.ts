import { expect, test } from 'vitest';
import type { Level } from './answer';
import { historyOf, type PastDecision } from './history';
import { someone } from './madeUp';

const level = (rung: number, more: Partial<Level> = {}): Level => ({
  ...{ pattern: 'S', rung, name: `rung ${rung}`, support: 'h', supportWords: '', targetCm: 48, targetFrom: null },
  ...{
    loadKg: null,
    dose: { kind: 'reps', reps: 4, sets: 2 },
    code: `S${rung}`,
    missing: null,
    reasons: [],
    blockers: [],
  },
  ...more,
});
const on = (day: string, of: Level): PastDecision => ({ day, by: 'Bo', kind: 'test', facts: someone(), level: of });
const leftOut = { byHand: { word: 'not-this', why: '', from: 'S5' } } as const;

test('each level is told by what moved: the rung before the hands, the hands before the seat', () => {
  const story = historyOf([
    on('2026-01-05', level(4)),
    on('2026-01-19', level(5, { support: '1' })),
    on('2026-02-02', level(5)),
    on('2026-02-09', level(5, { support: '2' })),
    on('2026-02-16', level(5, { support: '2', targetCm: 46 })),
    on('2026-02-23', level(5, { support: '2', targetCm: 51 })),
    on('2026-03-02', level(4, { support: '2', targetCm: 51 })),
    on('2026-03-09', level(4, { support: '2', targetCm: 51, ...leftOut })),
    on('2026-03-16', level(4, { support: '2', targetCm: 51 })),
    on('2026-03-23', level(4, { support: '2', targetCm: 51 })),
  ]);
  expect(story.map((e) => e.step)).toEqual([
    ...['first', 'up', 'freer', 'held', 'lower-seat', 'higher-seat', 'down', 'left-out', 'taken-up', 'same'],
  ]);
  expect(story.map((e) => e.from)).toEqual([null, 4, null, null, null, null, 5, null, null, null]);
});

test('nothing decided has no story', () => {
  expect(historyOf([])).toEqual([]);
});
