import { Hand } from 'lucide-react';
import type { HallNeeds } from '../../core/card/needs';
import { sentenceIn, shortLengthWords, unitsOf } from '../../core/math/units';
import type { Pattern, Support } from '../../core/shapes/facts';
import type { UnitSystem } from '../../core/shapes/person';
import { BackLink } from '../touch/backLink';
import { PrintButton } from '../touch/printButton';
import { dayWords } from '../words';
import { handWords, handsAreNamed } from './levelWords';
import { needsWords } from './needsWords';

/** What somebody does of one pattern. */
export interface SheetCell {
  readonly pattern: Pattern;
  readonly name: string;
  readonly seatCm: number | null;
  /** How far it goes; `null` where there is one way only. */
  readonly much: string | null;
  /** `null` where nothing is held. */
  readonly support: Support | null;
  /** Whoever helps stands here. */
  readonly helper: boolean;
}
export interface SheetRow {
  readonly id: string;
  readonly name: string;
  readonly cells: readonly SheetCell[];
}

interface Props {
  readonly title: string;
  readonly back: string;
  readonly day: string;
  readonly place: string;
  readonly patterns: readonly { readonly pattern: Pattern; readonly title: string }[];
  readonly rows: readonly SheetRow[];
  readonly needs: HallNeeds;
  readonly units: UnitSystem;
}

/**
 * For whoever helps and nobody else: who does what, on which seat, with which hands, a line a person. No code, no reason and
 * no word of health; a raised hand says that somebody stands by.
 */
export function GroupSheet({ title, back, day, place, patterns, rows, needs, units }: Props) {
  return (
    <div className="pt-3 print:pt-0" data-sheet data-paper="sheet">
      <p className="print:hidden">
        <BackLink href={back}>Levels</BackLink>
      </p>
      <div className="flex flex-wrap items-baseline gap-x-5 gap-y-2">
        <h1 className="text-2xl font-extrabold">{title}</h1>
        <p>
          {place}, {dayWords(day)}. For whoever helps; not to be left lying.
        </p>
        <div className="ml-auto print:hidden">{rows.length > 0 && <PrintButton>Print the sheet</PrintButton>}</div>
      </div>
      {rows.length === 0 ? (
        <p className="py-8 text-lg">Nobody here has a level yet: it follows from the first test.</p>
      ) : (
        <>
          <table className="mt-3 w-full text-left max-lg:screen:cards">
            <thead>
              <tr className="border-b-2 border-ink">
                <th scope="col" className="py-1 pr-3">
                  Who
                </th>
                {patterns.map((p) => (
                  <th key={p.pattern} scope="col" className="py-1 pr-3">
                    {p.title}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.id} className="break-inside-avoid border-b border-rule align-top">
                  <th scope="row" className="py-1.5 pr-3 font-bold">
                    {row.name}
                  </th>
                  {patterns.map(({ pattern, title: head }) => {
                    const cell = row.cells.find((c) => c.pattern === pattern);
                    return (
                      <td key={pattern} data-head={head} className="py-1.5 pr-3 leading-5">
                        {cell ? <Cell cell={cell} units={units} /> : 'sits out'}
                      </td>
                    );
                  })}
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-3" data-testid="sheet-needs">
            <b>To carry out:</b> {needsWords(needs, units)}.
          </p>
          <p className="mt-1 flex items-center gap-2">
            <Hand aria-hidden className="size-5" /> helper here, within arm’s reach, half a step behind.
          </p>
        </>
      )}
    </div>
  );
}

function Cell({ cell: { name, seatCm, much, support, helper }, units }: { cell: SheetCell; units: UnitSystem }) {
  const how = [
    ...(seatCm === null ? [] : [shortLengthWords(seatCm, unitsOf[units].length)]),
    ...(much === null ? [] : [sentenceIn(much, units)]),
    ...(support === null || handsAreNamed(name) ? [] : [handWords[support]]),
  ].join(', ');
  return (
    <>
      <span className="block font-semibold">
        {name}
        {helper && <Hand role="img" aria-label="helper here" className="ml-1.5 inline size-5" />}
      </span>
      {how}
    </>
  );
}
