import { describe, expect, test } from 'vitest';
import type { ClassLogContent, WrittenLine } from '../shapes/classLog';
import type { SessionFacts } from '../shapes/progress';
import { eyeOn, eyesFor, type Eye } from './eyes';
import { bandTop, clockOf, presentIn, sessionOf, standing } from './log';
import { pastSessions, type HeldClass, type PastSession } from './past';
import type { Variant } from './variant';

const lines = (...all: readonly (readonly [string | null, ClassLogContent, string?])[]): WrittenLine[] =>
  all.map(([personId, content, writer = 'a'], seq) => ({ seq, wallMs: seq * 1000, personId, content, writer }));
const asked = [
  [null, { kind: 'asked', what: 'pain' }],
  [null, { kind: 'asked', what: 'effort' }],
] as const;
const factsOf = (log: readonly WrittenLine[], classes = 10): SessionFacts => {
  const session = sessionOf(log, 'p', 'S', classes);
  if (session.kind !== 'counts') throw new Error(session.why);
  return session.facts;
};

describe('what a log says of a session', () => {
  test('whatever nobody tapped was as it should be, and not seen', () => {
    expect(factsOf([])).toEqual({
      ...{ pain: 'none', effort: 'in-band', stopSign: 'none', form: 'none' },
      ...{ dose: 'met', support: 'as-level', nextDay: 'no-worse', looked: 'not-seen' },
    });
  });
  test('seen counts only where pain and effort were asked of the room', () => {
    const seen = ['p', { kind: 'seen', pattern: 'S' }] as const;
    expect(factsOf(lines(seen)).looked).toBe('not-seen');
    expect(factsOf(lines(seen, ...asked)).looked).toBe('seen');
    expect(factsOf(lines(['q', { kind: 'seen', pattern: 'S' }], ...asked)).looked).toBe('not-seen');
    expect(factsOf(lines(['p', { kind: 'seen', pattern: 'H' }], ...asked)).looked).toBe('not-seen');
  });
  test.each<[keyof SessionFacts, string, ClassLogContent]>([
    ['pain', 'some', { kind: 'pain', pattern: 'S', joint: 'knee', side: 'L', level: 3, sharp: false }],
    ['pain', 'much', { kind: 'pain', pattern: null, joint: 'knee', side: 'L', level: 5, sharp: false }],
    ['pain', 'much', { kind: 'pain', pattern: 'S', joint: 'knee', side: 'L', level: 1, sharp: true }],
    ['pain', 'none', { kind: 'pain', pattern: 'H', joint: 'back', side: null, level: 9, sharp: false }],
    ['effort', 'over', { kind: 'effort', pattern: null, value: 7 }],
    ['effort', 'far-over', { kind: 'effort', pattern: 'S', value: 8 }],
    ['stopSign', 'first', { kind: 'stop', pattern: 'S', why: 'form', set: 'first' }],
    ['stopSign', 'later', { kind: 'stop', pattern: 'S', why: 'body', set: 'later' }],
    ['dose', 'short', { kind: 'stop', pattern: 'S', why: 'wish', set: 'first' }],
    ['form', 'put-right', { kind: 'form', pattern: 'S', check: 'heel-up', putRight: true }],
    ['form', 'not-put-right', { kind: 'form', pattern: 'S', check: 'heel-up', putRight: false }],
    ['dose', 'short', { kind: 'fewer', pattern: 'S', half: 'more' }],
    ['dose', 'under-half', { kind: 'fewer', pattern: 'S', half: 'less' }],
    ['support', 'more', { kind: 'support', pattern: 'S', change: 'more' }],
    ['support', 'as-level', { kind: 'support', pattern: 'S', change: 'less' }],
    ['support', 'more', { kind: 'seat', pattern: 'S', change: 'higher' }],
  ])('%s is %s: %j', (fact, value, content) => {
    expect(factsOf(lines(['p', content]))[fact]).toBe(value);
  });
  test('the band is 4 in the first eight classes, then 6', () => {
    expect([bandTop(7), bandTop(8)]).toEqual([4, 6]);
    const six = lines(['p', { kind: 'effort', pattern: null, value: 6 }]);
    expect([factsOf(six, 7).effort, factsOf(six, 8).effort]).toEqual(['over', 'in-band']);
  });
  test('not done, or swapped, does not count', () => {
    expect(sessionOf(lines(['p', { kind: 'not-done', pattern: 'S', why: 'time' }]), 'p', 'S', 9)).toMatchObject({
      why: 'not-done',
    });
    expect(sessionOf(lines(['p', { kind: 'swap', pattern: 'S', code: '', forPain: true }]), 'p', 'S', 9)).toMatchObject(
      { why: 'swapped' },
    );
  });
  test('a line that was struck counts no more, of whichever tablet; the strike of another number strikes nothing', () => {
    const log = lines(
      ['p', { kind: 'fewer', pattern: 'S', half: 'less' }, 'b'],
      [null, { kind: 'strike', writer: 'b', ofSeq: 0, reason: 'a slip' }],
      [null, { kind: 'strike', writer: 'c', ofSeq: 0, reason: 'a slip' }],
    );
    expect([standing(log), factsOf(log).dose]).toEqual([[], 'met']);
  });
});

test('who is there: the plan, less who was tapped absent last, and who came in besides', () => {
  const log = lines(
    ['a', { kind: 'absent' }],
    ['b', { kind: 'absent' }],
    ['b', { kind: 'present' }],
    ['z', { kind: 'present' }],
  );
  expect(presentIn(['a', 'b', 'c'], log)).toEqual(['b', 'c', 'z']);
});

test('only what moves the clock is of the clock', () => {
  const log = lines(
    [null, { kind: 'start' }],
    ['p', { kind: 'seen', pattern: 'S' }],
    [null, { kind: 'jump', toS: 60 }],
  );
  expect(clockOf(log)).toEqual([
    { kind: 'start', wallMs: 0 },
    { kind: 'jump', wallMs: 2000, toS: 60 },
  ]);
});

const variant = (folded: Variant['folded'] = null): Variant => ({
  ...{ personId: 'p', shelf: 'B', pattern: 'S', rung: 5, name: 'Seat tap', support: 'h', targetCm: 48, loadKg: null },
  ...{ dose: { kind: 'reps', reps: 5, sets: 2 }, code: 'S5/48/h@5x2', folded, why: null, spotter: null },
});
const held = (n: number, log: readonly WrittenLine[], folded: Variant['folded'] = null): HeldClass => ({
  ...{ key: `c${n}`, day: `2026-03-${String(n).padStart(2, '0')}`, people: ['p'], lines: log },
  doing: [{ block: 's', parts: [[variant(folded)]] }],
});

describe('sessions of one person and pattern', () => {
  const heavy = lines(['p', { kind: 'support', pattern: 'S', change: 'more' }]);
  test('the newest first; the third heavy one in a row is a down-sign', () => {
    const past = pastSessions([held(2, heavy), held(9, heavy), held(16, heavy), held(23, [])], 'p', 'S', 10);
    expect(past.map((s) => s.grade)).toEqual(['U', 'D', 'H', 'H']);
  });
  test('one that was folded, and one in which they were not there, is none', () => {
    const away = held(9, lines(['p', { kind: 'absent' }]));
    expect(pastSessions([held(2, [], 'rung'), away], 'p', 'S', 10).map((s) => s.grade)).toEqual([null]);
  });
  test('worse the day after is told in the class that follows, and makes it a down-sign', () => {
    const told = lines(['p', { kind: 'next-day', worse: true, joint: 'knee', side: 'L' }]);
    expect(pastSessions([held(2, []), held(9, told)], 'p', 'S', 10).map((s) => s.grade)).toEqual(['U', 'D']);
  });
  test('a worse knee belongs to what loaded the knee most that day; where nobody said which joint, to all that was done', () => {
    const hinge: Variant = { ...variant(), pattern: 'H' };
    const both = (n: number, log: readonly WrittenLine[]): HeldClass => ({
      ...held(n, log),
      doing: [{ block: 's', parts: [[variant()], [hinge]] }],
    });
    const loads = (v: Variant, joint: string) => (v.pattern === 'S' ? (joint === 'knee' ? 2 : 0) : 1);
    const grades = (joint: 'knee' | 'back' | null) => {
      const told = lines(['p', { kind: 'next-day', worse: true, joint, side: null }]);
      const past = (pattern: 'S' | 'H') => pastSessions([both(2, []), both(9, told)], 'p', pattern, 10, loads);
      return [past('S')[1]?.grade, past('H')[1]?.grade];
    };
    expect([grades('knee'), grades('back'), grades(null)]).toEqual([
      ['D', 'U'],
      ['U', 'D'],
      ['D', 'D'],
    ]);
  });
});

describe('of two that load a joint alike', () => {
  const hinge: Variant = { ...variant(), pattern: 'H' };
  const told = lines(['p', { kind: 'next-day', worse: true, joint: 'back', side: null }]);
  const day = (n: number, log: readonly WrittenLine[], ups: HeldClass['ups'] = []): HeldClass => ({
    ...{ ...held(n, log), ups },
    doing: [{ block: 's', parts: [[variant()], [hinge]] }],
  });
  const grades = (...classes: HeldClass[]) =>
    (['S', 'H'] as const).map((p) => pastSessions(classes, 'p', p, 10, () => 1)[1]?.grade);
  const up = (pattern: 'S' | 'H', personId = 'p') => ({ personId, pattern });
  test('a worse joint goes to the one whose dial last went up, not to both', () => {
    expect(grades(day(2, [], [up('S')]), day(9, [], [up('H')]), day(16, []), day(23, told))).toEqual(['U', 'D']);
    expect(grades(day(2, [], [up('H')]), day(9, [], [up('S')]), day(16, []), day(23, told))).toEqual(['D', 'U']);
  });
  test('what went up only after it, or of somebody else, says nothing: then it goes to both', () => {
    expect(grades(day(9, []), day(16, [], [up('H')]), day(23, told))).toEqual(['D', 'D']);
    expect(grades(day(9, [], [up('H', 'q')]), day(16, []), day(23, told))).toEqual(['D', 'D']);
  });
});

describe('whom to look at', () => {
  const past = (grades: readonly (PastSession['grade'] | 'seen')[], rung = 5) =>
    grades.map((g) => ({
      rung,
      grade: g === 'seen' ? 'C' : g,
      seen: g === 'seen' || g === 'C',
    })) as unknown as PastSession[];
  test('whose second clean one is due, who is new on the rung, whom nobody saw for three classes; nobody else', () => {
    expect(eyeOn(past(['C', 'U']), 5)).toBe('second');
    expect(eyeOn(past(['C', 'U']), 6)).toBe('new');
    expect(eyeOn([], 5)).toBe('new');
    expect(eyeOn(past(['U', 'U', 'U']), 5)).toBe('long');
    expect(eyeOn(past(['U', 'U', 'U', 'C']), 5)).toBe('long');
    expect(eyeOn(past(['U', 'C', 'U']), 5)).toBeNull();
    expect(eyeOn(past(['U', 'U']), 5)).toBeNull();
  });
  test('at most four of a pattern, the second clean ones first, without whom was seen', () => {
    const eyes: Eye[] = ['a', 'b', 'c', 'd', 'e', 'f'].map((personId, i) => ({
      ...{ personId, pattern: 'S' },
      why: i === 5 ? 'second' : 'new',
    }));
    expect(eyesFor(eyes, 'S', new Set(['a'])).map((e) => e.personId)).toEqual(['f', 'b', 'c', 'd']);
    expect(eyesFor(eyes, 'H', new Set())).toEqual([]);
  });
});
