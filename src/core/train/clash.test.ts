import { describe, expect, test } from 'vitest';
import type { ClassLogContent, WrittenLine } from '../shapes/classLog';
import { clashesIn, givenIn } from './clash';

const log = (...of: readonly (readonly [writer: string, personId: string | null, content: ClassLogContent])[]) =>
  of.map(([writer, personId, content], i): WrittenLine => ({ writer, personId, content, seq: i, wallMs: i }));
const seen: ClassLogContent = { kind: 'seen', pattern: 'S' };
const fewer = (half: 'more' | 'less', pattern: 'S' | 'H' = 'S'): ClassLogContent => ({ kind: 'fewer', pattern, half });
const pairs = (lines: readonly WrittenLine[]) => clashesIn(lines).map((c) => c.lines.map((l) => l.seq));

describe('two tablets of one person', () => {
  test('seen clean by one and fewer by the other is asked; of another person, another pattern or one tablet it is not', () => {
    expect(pairs(log(['a', 'p', seen], ['b', 'p', fewer('more')]))).toEqual([[0, 1]]);
    expect(pairs(log(['a', 'p', seen], ['b', 'q', fewer('more')]))).toEqual([]);
    expect(pairs(log(['a', 'p', seen], ['b', 'p', fewer('more', 'H')]))).toEqual([]);
    expect(pairs(log(['a', 'p', seen], ['a', 'p', fewer('more')]))).toEqual([]);
  });
  test('the same thing told otherwise is asked, told alike it is not', () => {
    expect(pairs(log(['a', 'p', fewer('more')], ['b', 'p', fewer('less')]))).toEqual([[0, 1]]);
    expect(pairs(log(['a', 'p', fewer('more')], ['b', 'p', fewer('more')]))).toEqual([]);
    const knee = (level: number): ClassLogContent => ({
      ...{ kind: 'pain', pattern: 'S', joint: 'knee', side: 'L', level, sharp: false },
    });
    expect(pairs(log(['a', 'p', knee(3)], ['b', 'p', knee(5)]))).toEqual([[0, 1]]);
  });
  test('pain beside fewer goes together; nothing goes with who went home', () => {
    const pain: ClassLogContent = { kind: 'pain', pattern: null, joint: 'hip', side: null, level: 2, sharp: false };
    expect(pairs(log(['a', 'p', pain], ['b', 'p', fewer('more')]))).toEqual([]);
    expect(pairs(log(['a', 'p', { kind: 'absent' }], ['b', 'p', pain]))).toEqual([[0, 1]]);
  });
  test('struck, or said to be both right, it is asked no more', () => {
    const two = log(['a', 'p', seen], ['b', 'p', fewer('more')]);
    const strike: ClassLogContent = { kind: 'strike', writer: 'b', ofSeq: 1, reason: 'the other tablet' };
    expect(pairs([...two, ...log(['a', null, strike]).map((l) => ({ ...l, seq: 9, wallMs: 9 }))])).toEqual([]);
    for (const [writer, ofSeq, other, otherSeq] of [
      ['a', 0, 'b', 1],
      ['b', 1, 'a', 0],
    ] as const) {
      const both: ClassLogContent = { kind: 'both', writer, ofSeq, other, otherSeq };
      expect(pairs([...two, { writer: 'c', seq: 0, wallMs: 9, personId: 'p', content: both }])).toEqual([]);
    }
  });
});

test('somebody is with the helper they were given to last, or back with who leads', () => {
  const given = (to: string | null): ClassLogContent => ({ kind: 'given', to });
  const lines = log(
    ['a', 'p', given('bo')],
    ['a', 'q', given('bo')],
    ['a', 'p', given('iris')],
    ['a', 'q', given(null)],
  );
  expect([...givenIn(lines)]).toEqual([['p', 'iris']]);
});
