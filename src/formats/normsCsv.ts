import Papa from 'papaparse';
import { formula } from './scoreCsv';
import type { MiddleHalfRow } from '../core/shapes/norms';

const heads = ['sex', 'ageLow', 'ageHigh', 'p25', 'p75', 'unit'] as const;

/** A norm table as it is taken: open it, change a cell, hand it back. */
export const printNorms = (rows: readonly MiddleHalfRow[], unit: string): string =>
  Papa.unparse(
    rows.map(({ sex, ageLow, ageHigh, p25, p75 }) => ({ sex, ageLow, ageHigh, p25, p75, unit })),
    { columns: [...heads], newline: '\n', escapeFormulae: formula },
  );

export interface NormsRead {
  readonly rows: readonly MiddleHalfRow[];
  readonly unit: string | null;
  readonly faults: readonly string[];
}

/** Reads a norm table; each fault with its line. */
export function readNorms(text: string): NormsRead {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, '').trim(), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (head) => head.trim(),
  });
  const missing = heads.filter((h) => !(meta.fields ?? []).includes(h));
  if (missing.length > 0) {
    const message = `The head line must name: ${heads.join(', ')}. Missing: ${missing.join(', ')}.`;
    return { rows: [], unit: null, faults: [message] };
  }
  const faults: string[] = [];
  const rows = data.flatMap((cells, i): MiddleHalfRow[] => {
    const cell = (name: (typeof heads)[number]) => (cells[name] ?? '').trim();
    const number = (name: (typeof heads)[number]) => (cell(name) === '' ? NaN : Number(cell(name)));
    const sex = cell('sex');
    const [ageLow, ageHigh, p25, p75] = [number('ageLow'), number('ageHigh'), number('p25'), number('p75')];
    if (sex !== 'female' && sex !== 'male') faults.push(`Line ${i + 2}: sex is female or male, not “${sex}”.`);
    else if (![ageLow, ageHigh].every((n) => Number.isInteger(n) && n >= 18 && n <= 120))
      faults.push(`Line ${i + 2}: ages are whole numbers from 18 to 120.`);
    else if (!Number.isFinite(p25) || !Number.isFinite(p75)) faults.push(`Line ${i + 2}: p25 and p75 are numbers.`);
    else return [{ sex, ageLow, ageHigh, p25, p75 }];
    return [];
  });
  const units = new Set(data.map((cells) => (cells['unit'] ?? '').trim()));
  if (units.size > 1) faults.push(`One unit for the whole table, not ${[...units].join(' and ')}.`);
  return { rows, unit: [...units][0] ?? null, faults };
}
