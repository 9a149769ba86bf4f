import { ValidationError } from 'yup';
import { describe, expect, test } from 'vitest';
import { exactly, listOf, wholeIn } from './building';
import { mostFaults, parse } from './parse';

const line = () => exactly({ n: wholeIn(0, 9).required('is needed'), deep: listOf(exactly({ m: wholeIn(0, 9) }), 3) });
const form = exactly({ lines: listOf(line(), 100) });
const faultsOf = (value: unknown) => {
  try {
    form.validateSync(value, { strict: true, abortEarly: false });
    return [];
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return (error.inner.length > 0 ? error.inner : [error]).map((e) => [e.path, e.message]);
  }
};

describe('a list in a form', () => {
  test('each fault has the path of its field, however deep, so that a form finds it, and the same as a pointer', () => {
    const bad = { lines: [{ n: 1 }, { n: 12, deep: [{ m: 1 }, { m: 'x' }] }, { n: 3, other: 1 }, {}] };
    expect(faultsOf(bad)).toEqual([
      ['lines[1].n', 'must be a whole number from 0 to 9'],
      ['lines[1].deep[1].m', 'must be a whole number from 0 to 9'],
      ['lines[2]', 'is not a field of this request: take it out'],
      ['lines[3].n', 'is needed'],
    ]);
    const parsed = parse(form, bad);
    expect(parsed.kind === 'bad' && parsed.errors.map((e) => e.path)).toEqual([
      ...['/lines/1/n', '/lines/1/deep/1/m', '/lines/2/other', '/lines/3/n'],
    ]);
  });
  test('its length is told before any item is looked at, and items only until enough faults are found', () => {
    expect(faultsOf({ lines: Array.from({ length: 101 }, () => ({})) })).toEqual([
      ['lines', 'must have at most 100 entries'],
    ]);
    expect(faultsOf({ lines: Array.from({ length: 100 }, () => ({})) })).toHaveLength(mostFaults);
    expect(faultsOf({ lines: 'none' })).toEqual([['lines', 'must be a list']]);
    expect(faultsOf({})).toEqual([]);
  });
});
