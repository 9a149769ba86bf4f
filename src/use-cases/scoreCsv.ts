import type { NormBook } from '../core/score/normBook';
import type { IsoDate } from '../core/shapes/facts';
import { answerColumns, csvLine, rowsOf, scoreColumns, toScoreRequest, type ReadRow } from '../formats/scoreCsv';
import { askScore } from './askStateless';
import { shippedBook } from './norms';

/** Rows scored in one go; between two goes the server answers others. */
const batch = 200;

export type ScoreCsv =
  | { readonly kind: 'answered'; readonly lines: AsyncGenerator<string, undefined> }
  | { readonly kind: 'rejected'; readonly message: string };

/**
 * Scores a CSV row by row as it comes in; a bad row gets its fault in the column `error` and the others are scored.
 * The head line is looked at before anything is answered.
 */
export async function scoreCsv(
  body: ReadableStream<Uint8Array>,
  mostBytes: number,
  today: IsoDate,
  book: NormBook = shippedBook,
): Promise<ScoreCsv> {
  const rows = rowsOf(body, mostBytes);
  const first = await rows.next();
  if (first.done) return { kind: 'rejected', message: 'There is a head line and no row, or nothing at all.' };
  const { heads } = first.value;
  const unknown = heads.filter((h) => !scoreColumns.some((c) => c === h));
  if (unknown.length > 0) {
    const message = `No such column: ${unknown.join(', ')}. There are: ${scoreColumns.join(', ')}.`;
    return { kind: 'rejected', message };
  }
  return { kind: 'answered', lines: linesOf(heads, first.value, rows, today, book) };
}

async function* linesOf(
  heads: readonly string[],
  first: ReadRow,
  rest: AsyncGenerator<ReadRow>,
  today: IsoDate,
  book: NormBook,
): AsyncGenerator<string, undefined> {
  let text = csvLine([...heads, ...answerColumns]) + scoredLine(heads, first, today, book);
  let inBatch = 1;
  for await (const row of rest) {
    text += scoredLine(heads, row, today, book);
    if (++inBatch < batch) continue;
    yield text;
    text = '';
    inBatch = 0;
    await new Promise((others) => setImmediate(others));
  }
  yield text;
  return undefined;
}

interface Answer {
  readonly results: readonly {
    readonly norm: { readonly percentile?: number; readonly z?: number; readonly band?: string } | null;
    readonly cutoffs: readonly { readonly id: string; readonly past: boolean }[];
    readonly standard: { readonly met: boolean } | null;
    readonly error: { readonly sem: number | null; readonly mdc90: number | null; readonly mdc95: number } | null;
  }[];
}

/** A cell longer than this is no cell: a quote was left open. */
const longestCell = 1000;

/** What is wrong with a row before anything in it is read. */
function rowFault({ heads, cells, extra }: ReadRow): string | null {
  if (extra > 0) return `${extra} ${extra === 1 ? 'cell' : 'cells'} more than the head line has columns`;
  return heads.some((h) => (cells[h] ?? '').length > longestCell)
    ? `a cell of over ${longestCell} letters: is a quote left open?`
    : null;
}

function scoredLine(heads: readonly string[], row: ReadRow, today: IsoDate, book: NormBook): string {
  const cells = heads.map((h) => row.cells[h]?.slice(0, longestCell));
  const refused = (fault: string) =>
    csvLine([...cells, ...Array.from({ length: answerColumns.length - 1 }, () => ''), fault]);
  const broken = rowFault(row);
  if (broken !== null) return refused(broken);
  const answer = askScore(toScoreRequest(row.cells), today, book);
  if (answer.kind === 'rejected')
    return refused(answer.errors.map(({ path, message }) => `${path.split('/').at(-1) ?? ''} ${message}`).join('; '));
  const [scored] = (answer.body as Answer).results;
  const past = scored?.cutoffs.filter((c) => c.past).map((c) => c.id);
  return csvLine([
    ...cells,
    ...[scored?.norm?.percentile, scored?.norm?.z, scored?.norm?.band],
    ...[past?.join(';'), scored?.standard?.met],
    ...[scored?.error?.sem, scored?.error?.mdc90, scored?.error?.mdc95, ''],
  ]);
}
