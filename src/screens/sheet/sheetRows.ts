import type { Side } from '../../core/shapes/facts';
import type { Protocol } from '../../core/shapes/protocol';

/** A line to write on: one test of one person, and of one side where the sides are apart. */
export interface SheetRow {
  readonly personId: string;
  readonly protocol: Protocol;
  readonly side: Side | null;
  /** What stands at the start of the line. */
  readonly label: string;
}

/** How a line is written: what was typed, as it was typed. */
export interface Written {
  readonly cells: readonly string[];
  readonly outcome: 'done' | 'unable' | 'stopped' | 'not-tried';
  readonly handsUsed: boolean;
  readonly clean: string;
  readonly help: 'none' | 'furniture' | 'person';
  readonly aid: 'none' | 'stick' | 'walker';
  /** Which side was chosen, where a test is done on one. */
  readonly side: Side | null;
}

export const blank: Written = {
  cells: [],
  outcome: 'done',
  handsUsed: false,
  clean: '',
  help: 'none',
  aid: 'none',
  side: null,
};

export const positions = ['side by side', 'semi-tandem', 'tandem', 'one leg'] as const;

/** Names of the cells of a line, in the order they are written. */
export function cellNames({ tries, asksSeconds, unit }: Protocol): readonly string[] {
  if (asksSeconds) return positions.map((p) => `${p}, s`);
  return tries ? Array.from({ length: tries.count }, (_, i) => `try ${i + 1}, ${unit}`) : [unit];
}

/** Lines of one test for many people, or of many tests for one. */
export function rowsOf(
  people: readonly { readonly id: string; readonly name: string }[],
  protocols: readonly Protocol[],
): SheetRow[] {
  const oneTest = protocols.length === 1;
  return people.flatMap(({ id, name }) =>
    protocols.flatMap((protocol) =>
      (protocol.sides === 'both' ? (['L', 'R'] as const) : [null]).map((side) => ({
        personId: id,
        protocol,
        side,
        label: `${oneTest ? name : protocol.short}${side === null ? '' : side === 'L' ? ', left' : ', right'}`,
      })),
    ),
  );
}

/** Whether anything stands on a line; an empty one is left out of what is saved. */
export const isWritten = (w: Written): boolean => w.outcome !== 'done' || w.cells.some((c) => c.trim() !== '');

/** A cell as a number; `null` where nothing is written, NaN where it is none. */
const numberOf = (cell: string): number | null => {
  const text = cell.trim().replace(',', '.');
  return text === '' ? null : Number(text);
};

/** Which cells hold what the test cannot give: no number, or one outside its range. */
export function wrongCells({ range, asksSeconds }: Protocol, { cells, outcome }: Written): readonly boolean[] {
  return cells.map((cell) => {
    const number = numberOf(cell);
    if (number === null || outcome !== 'done') return false;
    if (Number.isNaN(number)) return true;
    if (asksSeconds) return number < 0 || number > 60;
    return number < range.min || number > range.max || (range.whole && !Number.isInteger(number));
  });
}

/** A line as it is sent; what is no number stays text, so that the check can say so. */
export function toLine(row: SheetRow, w: Written, key: string): object {
  const sent = (cell: string | undefined): number | string | null => {
    const number = numberOf(cell ?? '');
    return Number.isNaN(number) ? (cell ?? '') : number;
  };
  const numbers = w.cells.flatMap((cell) => sent(cell) ?? []);
  const { protocol } = row;
  const seconds = protocol.asksSeconds === true && w.outcome === 'done';
  const clean = w.clean.trim() === '' ? null : Number(w.clean.replace(',', '.'));
  return {
    key,
    personId: row.personId,
    test: protocol.id,
    side: protocol.sides === 'chosen' ? w.side : row.side,
    aid: w.aid,
    outcome: w.outcome,
    tries: seconds ? [] : numbers,
    handsUsed: protocol.handsMakeZero === true && w.handsUsed,
    cleanBeforeHands: w.handsUsed ? clean : null,
    seconds: seconds
      ? {
          sideBySide: sent(w.cells[0]) ?? 0,
          semiTandem: sent(w.cells[1]) ?? 0,
          tandem: sent(w.cells[2]) ?? 0,
          oneLeg: sent(w.cells[3]) ?? 0,
        }
      : null,
    help: protocol.asksHelp === true && w.outcome === 'done' ? w.help : null,
  };
}
