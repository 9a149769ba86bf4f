import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, test } from 'vitest';
import { protocols } from '../catalogue/protocols';
import { askScore } from './askStateless';
import { scoreCsv } from './scoreCsv';

const today = '2026-03-02';
const head = 'person,age,sex,test,side,value,handsUsed,seatHeightCm';

/** A body that comes in pieces of a few bytes, as a network gives it. */
function inPieces(text: string, size = 7): ReadableStream<Uint8Array> {
  const bytes = new TextEncoder().encode(text);
  let at = 0;
  return new ReadableStream({
    pull(to) {
      if (at >= bytes.length) to.close();
      else to.enqueue(bytes.slice(at, (at += size)));
    },
  });
}

async function scored(text: string, most = 1_000_000): Promise<readonly Record<string, string>[]> {
  const answer = await scoreCsv(inPieces(text), most, today);
  if (answer.kind === 'rejected') throw new Error(answer.message);
  let all = '';
  for await (const lines of answer.lines) all += lines;
  return Papa.parse<Record<string, string>>(all, { header: true, skipEmptyLines: true }).data;
}

describe('scores as CSV', () => {
  test('the same rows come back with what they score; women 75-79 with 9 stands are 17.3 (from memory)', async () => {
    const [row] = await scored(`\uFEFF${head}\n"Odile, B",77,female,chair-stand-30s,,9,no,43.2\n`);
    expect(row).toMatchObject({
      ...{ person: 'Odile, B', value: '9', percentile: '17.3', z: '-0.94', band: 'below' },
      ...{ pastCutoffs: 'chair-stand-below-average', standardMet: 'false', sem: '1.23', mdc95: '3.41', error: '' },
    });
  });
  test('a bad row says what is wrong, and the others are scored all the same', async () => {
    const rows = await scored(
      `${head}\nA,77,female,chair-stand-30s,,many,,\nB,77,female,chair-stand-30s,,9,,\nC,7,female,hop,,9,,\n`,
    );
    expect(rows.map((r) => [r['percentile'], r['error'] === ''])).toEqual([
      ['', false],
      ['17.3', true],
      ['', false],
    ]);
    expect(rows[0]?.['error']).toContain('value');
    expect(rows[2]?.['error']).toMatch(/age .*; test /);
  });
  test('cells too many, a row cut short, an open quote and a word of the language are told in their row, the rest is scored', async () => {
    const row = (name: string, value = '9', more = '') => `${name},77,female,chair-stand-30s,,${value},,${more}\n`;
    const rows = await scored(
      `${head}\nshort,77\n${row('A')}${row('B', '9', ',more')}${row('C', 'constructor')}${row('D')}`,
    );
    expect(rows.map((r) => [r['person'], r['percentile'], r['error'] !== ''])).toEqual([
      ['short', '', true],
      ['A', '17.3', false],
      ['B', '', true],
      ['C', '', true],
      ['D', '17.3', false],
    ]);
    expect(rows[2]?.['error']).toBe('1 cell more than the head line has columns');
    const open = await scored(`${head}\n${row('A')}"B,77,female\n${row('C').repeat(40)}`);
    expect(open.map((r) => r['error'])).toEqual(['', expect.stringContaining('is a quote left open?')]);
    expect(await scoreCsv(inPieces(`__proto__,constructor\n1,2\n`), 1000, today)).toMatchObject({ kind: 'rejected' });
  });
  test('nothing that comes back is run by a table program; a number stays a number', async () => {
    const rows = await scored(
      `${head}\n=1+1,77,female,sit-reach,L,-2,,\n@x,77,female,sit-reach,L,+3,,\n-a,77,female,sit-reach,L,1,,\n`,
    );
    expect(rows.map((r) => [r['person'], r['value']])).toEqual([
      ["'=1+1", '-2'],
      ["'@x", '+3'],
      ["'-a", '1'],
    ]);
  });
  test('an unknown column and an empty body are refused before anything is answered', async () => {
    expect(await scoreCsv(inPieces('age,shoe\n77,42\n'), 1000, today)).toMatchObject({
      kind: 'rejected',
      message: expect.stringContaining('No such column: shoe.') as string,
    });
    expect((await scoreCsv(inPieces(`${head}\n`), 1000, today)).kind).toBe('rejected');
    expect((await scoreCsv(inPieces(''), 1000, today)).kind).toBe('rejected');
  });
  test('more bytes than allowed end the reading with an error, they are never dropped in silence', async () => {
    const long = `${head}\n${'A,77,female,chair-stand-30s,,9,,\n'.repeat(2000)}`;
    await expect(scored(long, 20_000)).rejects.toThrow('more than 20000 bytes');
  });
  test('CSV and JSON agree on every test, age and table', async () => {
    const asked = fc.record({
      age: fc.integer({ min: 60, max: 96 }),
      sex: fc.constantFrom('female', 'male', ''),
      protocol: fc.constantFrom(...protocols),
      share: fc.double({ min: 0, max: 1, noNaN: true }),
    });
    await fc.assert(
      fc.asyncProperty(fc.array(asked, { minLength: 1, maxLength: 12 }), async (rows) => {
        const sent = rows.map(({ age, sex, protocol: { id, range, sides }, share }) => {
          const value = Math.round(range.min + share * (range.max - range.min));
          return { age, sex, test: id, side: sides === 'both' ? 'R' : '', value: Math.max(range.min, value) };
        });
        const csv = await scored(
          `${head}\n${sent.map((r) => `x,${r.age},${r.sex},${r.test},${r.side},${r.value},,`).join('\n')}\n`,
        );
        sent.forEach(({ age, sex, test, side, value }, i) => {
          const json = askScore(
            { person: { age, sex: sex || null }, results: [{ test, value, side: side || null }] },
            today,
          );
          if (json.kind === 'rejected') throw new Error(JSON.stringify(json.errors));
          const [result] = (json.body as { results: { norm: { percentile?: number; band?: string } | null }[] })
            .results;
          expect(csv[i]?.['percentile']).toBe(String(result?.norm?.percentile ?? ''));
          expect(csv[i]?.['band']).toBe(result?.norm?.band ?? '');
        });
      }),
      { numRuns: 40 },
    );
  });
});
