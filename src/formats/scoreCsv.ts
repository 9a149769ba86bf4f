import { Readable } from 'node:stream';
import Papa from 'papaparse';

/** Columns a row may have; `age` or `birthDate`, the rest as the test asks. */
export const scoreColumns = [
  'person',
  'age',
  'birthDate',
  'sex',
  'heightCm',
  'massKg',
  'testedOn',
  'test',
  'side',
  'value',
  'handsUsed',
  'seatHeightCm',
] as const;

/** Columns added to each row. */
export const answerColumns = [
  'percentile',
  'z',
  'band',
  'pastCutoffs',
  'standardMet',
  'sem',
  'mdc90',
  'mdc95',
  'error',
] as const;

export type CsvRow = Readonly<Record<string, string>>;

/** A row as it was read; `extra`: cells beyond the last column. */
export interface ReadRow {
  readonly heads: readonly string[];
  readonly cells: CsvRow;
  readonly extra: number;
}

/** More bytes were sent than one request may have. */
export class TooLarge extends Error {}

/**
 * The rows of a CSV body as they come in, so that a long one is never held as a whole.
 * @throws TooLarge once more than `mostBytes` were read
 */
export async function* rowsOf(body: ReadableStream<Uint8Array>, mostBytes: number): AsyncGenerator<ReadRow> {
  let bytes = 0;
  const counted = body.pipeThrough(
    new TransformStream<Uint8Array, Uint8Array>({
      transform(part, to) {
        bytes += part.byteLength;
        if (bytes > mostBytes) to.error(new TooLarge(`more than ${mostBytes} bytes`));
        else to.enqueue(part);
      },
    }),
  );
  // A row that is cut short has not all of them.
  const heads: string[] = [];
  const parser = Papa.parse(Papa.NODE_STREAM_INPUT, {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (head, at) => (heads[at] = head.replace(/^\uFEFF/, '').trim()),
  });
  const source = Readable.fromWeb(counted as Parameters<typeof Readable.fromWeb>[0]);
  // What breaks while reading must reach whoever reads the rows.
  source.on('error', (error) => parser.destroy(error));
  for await (const row of source.pipe(parser)) {
    const { __parsed_extra: extra = [], ...cells } = row as CsvRow & { readonly __parsed_extra?: readonly string[] };
    yield { heads, cells, extra: extra.length };
  }
}

const numbers: ReadonlySet<string> = new Set(['age', 'heightCm', 'massKg', 'value', 'seatHeightCm']);
const truths: Readonly<Record<string, boolean>> = {
  true: true,
  yes: true,
  '1': true,
  false: false,
  no: false,
  '0': false,
};

/** A row as the JSON request that asks the same; empty cells are left out, words that fit nothing stay for the check. */
export function toScoreRequest(row: CsvRow): object {
  const cells: Record<string, string | number | boolean> = {};
  for (const [name, text] of Object.entries(row)) {
    const cell = text.trim();
    if (cell === '' || name === 'person') continue;
    if (numbers.has(name)) cells[name] = Number.isNaN(Number(cell)) ? cell : Number(cell);
    else
      cells[name] =
        name === 'handsUsed'
          ? Object.hasOwn(truths, cell.toLowerCase())
            ? (truths[cell.toLowerCase()] ?? cell)
            : cell
          : cell;
  }
  const { age, birthDate, sex = null, heightCm, massKg, testedOn, ...result } = cells;
  const given = Object.entries({ age, birthDate, heightCm, massKg }).filter(([, v]) => v !== undefined);
  return {
    person: { ...Object.fromEntries(given), sex },
    ...(testedOn === undefined ? {} : { testedOn }),
    results: [result],
  };
}

/** What a table program would take for a formula; a number is none. */
export const formula = /^(?:[=@\t\r]|[+-](?!\d*\.?\d+$))/;

/** A line of CSV with its break; nothing in it is run by a table program. */
export const csvLine = (cells: readonly unknown[]): string =>
  `${Papa.unparse([cells.map((c) => c ?? '')], { escapeFormulae: formula })}\r\n`;
