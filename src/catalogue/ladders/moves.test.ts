import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Papa from 'papaparse';
import { describe, expect, test } from 'vitest';
import type { Loads } from '../../core/shapes/ladder';
import { formCheckCodes } from '../../core/shapes/move';
import { formChecks } from '../form-checks/formChecks';
import { accessories, ladders } from '.';
import { moveOf, moves } from './moves';

/** The table of movements as it was handed over: common practice, no published source. */
const table = Papa.parse<Record<string, string>>(readFileSync(join(__dirname, '../reference/moves.csv'), 'utf8'), {
  header: true,
  skipEmptyLines: true,
}).data;
const plain = (s: string) => s.replace(/’/g, "'").trim();

describe.each([...ladders, ...accessories].map((l) => [l.title, l] as const))('%s', (_title, { pattern, rungs }) => {
  test.each(rungs.map((r) => [`${r.rung} ${r.name}`, r] as const))(
    '%s is taught as the table has it',
    (_name, rung) => {
      const row = table.find((r) => r['pattern'] === pattern && r['rung'] === String(rung.rung));
      const move = moveOf(pattern, rung.rung);
      expect(move?.name).toBe(row?.['name']);
      // On the bars, where its ladder stands beside it, the same words or fewer.
      for (const word of rung.name.toLowerCase().match(/[a-z]{4,}/g) ?? [])
        if (word !== 'floor') expect(move?.name.toLowerCase().replace('-', ' ')).toContain(word);
      for (const part of ['start', 'down', 'up', 'breath', 'tempo'] as const)
        expect(plain(move?.[part] ?? '')).toBe(row?.[part]?.trim());
      expect(move?.checks.join(' ')).toBe(row?.['checks']);
      expect(move?.lookFrom.join(' then ')).toBe(row?.['look_from']);
      expect(move?.trains.join(', ')).toBe(row?.['trains']?.trim());
      expect(plain(move?.note ?? '')).toBe(row?.['note']?.trim());
    },
  );
  test('loads the joints as the table has it', () => {
    const words: Record<string, Loads['knee']> = { '0': undefined, '1': 'some', '2': 'much' };
    for (const rung of rungs) {
      const row = table.find((r) => r['pattern'] === pattern && r['rung'] === String(rung.rung));
      const loads = Object.fromEntries(
        (['knee', 'hip', 'back', 'ankle', 'shoulder'] as const).map((joint) => [joint, rung.loads[joint]]),
      );
      const wanted = Object.fromEntries(
        ['knee', 'hip', 'back', 'ankle', 'shoulder'].map((joint) => [joint, words[row?.[joint] ?? '']]),
      );
      expect([rung.rung, loads]).toEqual([rung.rung, wanted]);
    }
  });
});

test('every check named is in the list, each once; two or three matter most for a rung', () => {
  expect(formChecks.map((c) => c.code)).toEqual([...formCheckCodes]);
  for (const move of Object.values(moves).flat()) expect([2, 3]).toContain(move.checks.length);
});

test('whatever looks like help is needed is a stop sign and ends the set; what rounds, drops or catches ends it too', () => {
  expect(formChecks.filter((c) => c.stopSign).map((c) => [c.code, c.ends])).toEqual([['holds-stare', 'yes']]);
  const ends = formChecks.filter((c) => c.ends === 'yes').map((c) => c.code);
  for (const code of ['heel-up', 'back-round', 'chest-drop', 'pelvis-drop', 'wobble', 'pulls', 'cramp'] as const)
    expect(ends).toContain(code);
});
