import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { mostDepth, mostKeys, mostValues, textFault, tooMuch } from './measure';

const nested = (depth: number): unknown => (depth === 0 ? 1 : [nested(depth - 1)]);

describe('what one request may hold', () => {
  test('so many values and no more, however they are put', () => {
    const list = (n: number) => Array.from({ length: n }, () => ({}));
    expect([tooMuch(list(mostValues - 1)), tooMuch(list(mostValues))]).toEqual([
      null,
      'At most 60,000 values in one request.',
    ]);
    expect(tooMuch([list(30_000), list(30_000)])).toBe('At most 60,000 values in one request.');
  });
  test('so deep and no deeper, also where nothing else is wrong', () => {
    expect([tooMuch(nested(mostDepth)), tooMuch(nested(mostDepth + 1))]).toEqual([
      null,
      'At most 12 levels of lists and objects inside each other.',
    ]);
    const deep = JSON.parse(`${'['.repeat(500_000)}${']'.repeat(500_000)}`) as unknown;
    expect(tooMuch(deep)).toContain('levels');
  });
  test('so many fields in one object', () => {
    const fields = (n: number) => Object.fromEntries(Array.from({ length: n }, (_, i) => [`f${i}`, i]));
    expect([tooMuch(fields(mostKeys)), tooMuch({ a: fields(mostKeys + 1) })]).toEqual([
      null,
      'At most 200 fields in one object.',
    ]);
  });
  test('whatever is small passes', () => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 5 }), (value) => {
        expect(tooMuch(value)).toBeNull();
      }),
    );
  });
});

describe('a text from outside', () => {
  test.each([
    ['a null sign', 'Ada\u0000', 'no letter'],
    ['a turn of direction', 'Ada \u202eabc', 'no letter'],
    ['a mark of direction', 'Ada\u200f', 'no letter'],
    ['half a letter', 'Ada \ud83d', 'half a letter'],
  ])('%s is refused', (_what, text, fault) => {
    expect(textFault(text)).toContain(fault);
  });
  test.each(['Ada', 'Tverrå', 'two\nlines', 'a\ttab', '😀', 'שרה', 'محمد', 'ज्ञान', 'Zoë\u0301'])(
    '%j is a text',
    (text) => {
      expect(textFault(text)).toBeNull();
    },
  );
});
