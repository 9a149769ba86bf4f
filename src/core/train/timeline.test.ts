import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { classTemplates } from '../../catalogue/classes';
import { ladders, accessories } from '../../catalogue/ladders';
import type { ClassBlock, ClockEvent, Part } from '../shapes/class';
import { shelves } from '../shapes/class';
import { doseOf, lastsS, stretchesOf } from './doseTime';
import { compile, elapsedS, isHeld, momentAt, workS } from './timeline';

const part = (scheme: string, more: Partial<Part> = {}): Part => ({
  ...{ pattern: 'S', scheme, shelves: { A: ['S1'], B: ['S4'], C: ['S7'] } },
  ...more,
});
const block = (parts: readonly Part[], minutes: number, more: Partial<ClassBlock> = {}): ClassBlock => ({
  ...{ id: 'x', kind: 'work', title: 'x', minutes, parts },
  ...more,
});

describe('a dose as time', () => {
  test.each<[string, string, Partial<Part>, number]>([
    ['30/15 by three is 2:00', '30/15x3', {}, 120],
    ['the same a side is 4:30, with the change of side in it', '30/15x3', { aSide: true }, 270],
    ['ten at 2-4, twice, half a minute between, is 2:30', '10x2', { tempo: [2, 4] }, 150],
    [
      'twelve a side at 2-4 is 72 s a side; four sides and three rests are 6:18',
      '12x2',
      { aSide: true, tempo: [2, 4] },
      378,
    ],
    ['three holds of 15 s with 75 s between are 3:15', 'h15x3', { restS: 75 }, 195],
    ['five each half-minute for six rounds is 3:00', '5e30x6', { tempo: [1, 2] }, 180],
    ['ten each half-minute for 25 rounds is 12.5 min', '10e30x25', { tempo: [1, 1] }, 750],
    ['the daily minute is a minute', '30/0x2', { aSide: true }, 60],
    ['an untimed repetition takes 4 s', '5x1', {}, 20],
  ])('%s', (_fact, scheme, more, seconds) => {
    expect(lastsS(part(scheme, more))).toBe(seconds);
  });

  const schemes = fc.oneof(
    fc.tuple(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 1, max: 5 })).map(([r, s]) => `${r}x${s}`),
    fc.tuple(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 5 })).map(([h, s]) => `h${h}x${s}`),
    fc
      .tuple(fc.integer({ min: 5, max: 60 }), fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 6 }))
      .map(([w, r, n]) => `${w}/${r}x${n}`),
    fc.tuple(fc.integer({ min: 1, max: 7 }), fc.integer({ min: 1, max: 5 })).map(([r, n]) => `${r}e30x${2 * n}`),
  );
  test('each side gets the same share of work, and nothing rests after the last', () => {
    fc.assert(
      fc.property(schemes, fc.boolean(), (scheme, aSide) => {
        const all = stretchesOf(part(scheme, aSide ? { aSide } : {}));
        const of = (side: 'L' | 'R' | null) =>
          all.filter((s) => s.kind === 'work' && s.side === side).reduce((sum, s) => sum + s.lastsS, 0);
        expect(aSide ? of('L') - of('R') : of('L') + of('R')).toBe(0);
        expect(all.at(-1)?.kind).toBe('work');
      }),
    );
  });
});

describe('the eight classes that ship', () => {
  test.each(classTemplates.map((t) => [t.title, t] as const))('%s: its blocks add up to what it says', (_title, t) => {
    expect(t.blocks.reduce((sum, b) => sum + b.minutes, 0)).toBeCloseTo(t.minutes, 6);
    const { spans, totalS } = compile(t.blocks);
    expect(totalS).toBe(t.blocks.reduce((sum, b) => sum + Math.round(b.minutes * 60), 0));
    expect(spans[0]?.fromS).toBe(0);
    for (const [i, s] of spans.entries()) {
      expect(s.toS).toBeGreaterThan(s.fromS);
      expect(spans[i + 1]?.fromS ?? totalS).toBe(s.toS);
    }
  });
  test('as written: 28.8, 30, 38, 33, 35.5, 37, 30 and 52 minutes', () => {
    expect(classTemplates.map((t) => t.minutes)).toEqual([28.8, 30, 38, 33, 35.5, 37, 30, 52]);
  });
  test('what is made of a block fits in its minutes', () => {
    for (const { blocks } of classTemplates)
      for (const b of blocks) expect([b.id, workS(b) <= b.minutes * 60]).toEqual([b.id, true]);
  });
  test('each has room check, warm-up, cool-down and the two questions, and none is ever without ids of its own', () => {
    for (const { blocks } of classTemplates) {
      const kinds = blocks.map((b) => b.kind);
      expect([kinds[0], kinds.at(-2), kinds.at(-1)]).toEqual(['check', 'cool-down', 'log']);
      expect(kinds).toContain('warm-up');
      expect(new Set(blocks.map((b) => b.id)).size).toBe(blocks.length);
    }
  });
  test('every rung of every shelf is one of a ladder; half-minute rounds end with 10 s left', () => {
    const rungs = new Set([...ladders, ...accessories].flatMap((l) => l.rungs.map((r) => `${l.pattern}${r.rung}`)));
    for (const { blocks } of classTemplates)
      for (const p of blocks.flatMap((b) => b.parts ?? [])) {
        for (const shelf of shelves)
          for (const code of p.shelves[shelf]) {
            const [, letter = '', from, to] = /^([A-Z])(\d)(?:-(\d))?$/.exec(code) ?? [];
            expect([code, rungs.has(`${letter}${from}`) && (to === undefined || rungs.has(`${letter}${to}`))]).toEqual([
              code,
              true,
            ]);
          }
        const dose = doseOf(p);
        if (dose.kind === 'half-minute' && p.tempo)
          expect(dose.reps * (p.tempo[0] + p.tempo[1])).toBeLessThanOrEqual(dose.everyS - 10);
      }
  });
});

describe('a moment of a class', () => {
  const timeline = compile([
    block([], 1, { kind: 'warm-up', cues: ['a', 'b'] }),
    block([part('4x2', { tempo: [2, 4] })], 2, { cues: ['one', 'two'], showS: 10 }),
  ]);
  test('by hand: shown, four at 2-4, half a minute, four again, and the change', () => {
    expect(timeline.spans.map((s) => [s.kind, s.fromS, s.toS, s.round, s.cue])).toEqual([
      ['ease', 0, 30, 1, 'a'],
      ['ease', 30, 60, 1, 'b'],
      ['ease', 60, 70, 1, 'Watch all three first.'],
      ['work', 70, 94, 1, 'one'],
      ['rest', 94, 124, 1, null],
      ['work', 124, 148, 2, 'two'],
      ['change', 148, 180, 1, null],
    ]);
    expect(momentAt(timeline, 70).rep).toEqual({ n: 1, of: 4, way: 'up', count: 1 });
    expect(momentAt(timeline, 72).rep).toEqual({ n: 1, of: 4, way: 'down', count: 1 });
    expect(momentAt(timeline, 75.9).rep).toEqual({ n: 1, of: 4, way: 'down', count: 4 });
    expect(momentAt(timeline, 76).rep).toEqual({ n: 2, of: 4, way: 'up', count: 1 });
    expect(momentAt(timeline, 94).rep).toBeNull();
    expect(momentAt(timeline, 94)).toMatchObject({ spanLeftS: 30, blockLeftS: 86, classLeftS: 86 });
    expect(momentAt(timeline, 94).next?.fromS).toBe(124);
  });
  test('before it and after it there is nothing but what comes and what is left', () => {
    expect(momentAt(timeline, -5)).toMatchObject({ span: null, classLeftS: 180, next: { fromS: 0 } });
    expect(momentAt(timeline, 180)).toMatchObject({ span: null, classLeftS: 0, next: null });
  });
  test('at any time of any class the moment is in its span, and what is left adds up', () => {
    fc.assert(
      fc.property(fc.constantFrom(...classTemplates), fc.double({ min: 0, max: 0.999999, noNaN: true }), (t, share) => {
        const line = compile(t.blocks);
        const at = share * line.totalS;
        const { span, spanLeftS, blockLeftS, classLeftS } = momentAt(line, at);
        expect(span !== null && span.fromS <= at && at < span.toS).toBe(true);
        expect(spanLeftS).toBeLessThanOrEqual(blockLeftS + 1e-9);
        expect(blockLeftS).toBeLessThanOrEqual(classLeftS + 1e-9);
        expect(classLeftS).toBeCloseTo(line.totalS - at, 6);
      }),
    );
  });
  test('work that does not fit in its block is refused', () => {
    expect(() => compile([block([part('30/15x3')], 1.9)])).toThrow('x takes 6 s more than it has');
  });
});

describe('the clock of a class', () => {
  const at = (kind: 'start' | 'hold' | 'go', s: number): ClockEvent => ({ kind, wallMs: s * 1000 });
  test('holding and going on loses nothing, a jump lands where it says, before the start there is no time', () => {
    expect(elapsedS([], 5000)).toBeNull();
    const events = [at('start', 10), at('hold', 40), at('go', 100)];
    expect(elapsedS(events.slice(0, 2), 90_000)).toBe(30);
    expect(elapsedS(events, 105_000)).toBe(35);
    expect(elapsedS([...events, { kind: 'jump', wallMs: 110_000, toS: 600 }], 112_000)).toBe(602);
    expect(isHeld(events.slice(0, 2))).toBe(true);
    expect(isHeld(events)).toBe(false);
  });
  test('however often it is held, the time of the class is the time it ran', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 600 }), { minLength: 1, maxLength: 20 }), (steps) => {
        let [now, ran] = [0, 0];
        const events: ClockEvent[] = [at('start', 0)];
        for (const [i, s] of steps.entries()) {
          if (i % 2 === 0) ran += s;
          now += s;
          events.push(at(i % 2 === 0 ? 'hold' : 'go', now));
        }
        expect(elapsedS(events, now * 1000)).toBeCloseTo(ran, 9);
      }),
    );
  });
  test('a hold in the middle of a hold, or a start again, changes nothing', () => {
    const events = [at('start', 0), at('hold', 10), at('hold', 20), at('go', 30), at('start', 35)];
    expect(elapsedS(events, 40_000)).toBe(20);
  });
});
