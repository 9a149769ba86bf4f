'use client';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { readTrial } from '../../core/measure/readTrial';
import { keptFrom } from '../../core/score/shownUnits';
import type { Protocol } from '../../core/shapes/protocol';
import { sheetForm, type SheetLine } from '../../schemas/sheet';
import { parse, type FieldError } from '../../schemas/parse';
import { newClientKey } from '../test/bench/store';
import { Button, ButtonLink } from '../touch/button';
import { useOneAtATime } from '../touch/useOneAtATime';
import { MeasureField } from '../touch/measureField';
import { FootBar } from '../touch/footBar';
import { valueWords } from '../words';
import { SheetLineRow } from './sheetLine';
import { TestChooser, type SheetOfTest } from './testChooser';
import { blank, cellNames, isWritten, toLine, wrongCells, type SheetRow, type Written } from './sheetRows';
import { Choice, TextField, TickBox } from '../touch/field';

type SavedSheet =
  | { readonly kind: 'saved' }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] }
  | {
      readonly kind: 'closed';
      readonly closed: readonly { key: string; name: string; test: string; closedBy: string }[];
    };

interface Props {
  readonly today: string;
  readonly rows: readonly SheetRow[];
  /** Other sheets there are, where this one is of a single test. */
  readonly tests?: readonly SheetOfTest[];
  readonly seatHeightCm: number | null;
  /** Where to go when it is saved, and when it is left. */
  readonly then: string;
  readonly back: string;
  readonly save: (form: object) => Promise<SavedSheet>;
}

/** Results from paper, typed down the sheet: Enter and the arrows go from line to line, an empty line is left out. */
export function Sheet({ today, rows, tests, seatHeightCm, then, back, save }: Props) {
  const router = useRouter();
  const [head, setHead] = useState({
    testedOn: today,
    who: '',
  });
  const [seat, setSeat] = useState<number | string | null>(seatHeightCm);
  const [shoes, setShoes] = useState<'flat' | 'cushioned' | 'barefoot'>('flat');
  const [counts, setCounts] = useState(false);
  const [written, setWritten] = useState<Readonly<Record<number, Written>>>({});
  const [keys] = useState(() => rows.map(() => newClientKey()));
  const [faults, setFaults] = useState<ReadonlyMap<string, string>>(new Map());
  const [said, setSaid] = useState('');
  const [closed, setClosed] = useState<Extract<SavedSheet, { kind: 'closed' }>['closed']>([]);
  const table = useRef<HTMLTableElement>(null);
  const protocols = [...new Map(rows.map((r) => [r.protocol.id, r.protocol])).values()];
  /** Down a sheet of one test its cells stand in columns, named once. */
  const oneTest = protocols.length === 1 ? (protocols[0] ?? null) : null;
  const seated = protocols.some((p) => p.seatCm !== undefined);
  const filled = rows.map((_, i) => i).filter((i) => isWritten(written[i] ?? blank));

  const submit = useOneAtATime(async (despite: boolean) => {
    const form = {
      testedOn: head.testedOn,
      who: head.who,
      seatHeightCm: seat,
      shoes,
      counts,
      despite,
      lines: filled.flatMap((i) => {
        const row = rows[i];
        return row ? [toLine(row, written[i] ?? blank, keys[i] ?? '')] : [];
      }),
    };
    setSaid('');
    setClosed([]);
    setFaults(new Map());
    if (filled.length === 0) {
      setSaid('Nothing is written yet.');
      return true;
    }
    const checked = parse(sheetForm(protocols, today), form);
    const answer: SavedSheet | null =
      checked.kind === 'bad'
        ? { kind: 'rejected', errors: checked.errors }
        : await save({ ...form, lines: kept(checked.value.lines, protocols) }).catch(() => null);
    if (answer?.kind === 'saved') {
      router.push(then);
      return false;
    }
    if (answer?.kind === 'closed') setClosed(answer.closed);
    else if (answer === null) setSaid('The server did not answer. What you wrote is still here; save again.');
    else {
      setFaults(byPlace(answer.errors, filled));
      setSaid('Nothing was saved yet: put right what is marked, then save again.');
    }
    return true;
  });

  /** Up and down the same column, past lines that lack it. */
  const move = (from: HTMLInputElement, by: 1 | -1) => {
    const column = from.dataset['column'] ?? '0';
    const all = [...(table.current?.querySelectorAll<HTMLInputElement>(`input[data-column="${column}"]`) ?? [])];
    const next = all[all.indexOf(from) + by];
    next?.focus();
    next?.select();
  };

  const text = (name: 'testedOn' | 'who', label: string, width: string, fault: string, type = 'text') => (
    <TextField
      num
      className={width}
      type={type}
      label={label}
      name={name}
      fault={faults.get(fault)}
      value={head[name]}
      onChange={(event) => setHead((h) => ({ ...h, [name]: event.target.value }))}
    />
  );
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        submit(false);
      }}
    >
      <div className="mt-3 flex flex-wrap items-start gap-x-6 gap-y-2">
        {tests && oneTest && <TestChooser tests={tests} chosen={oneTest.id} written={filled.length > 0} />}
        {text('testedOn', 'Day it was done', 'w-44', '/testedOn', 'date')}
        {text('who', 'Taken down by', 'w-52', '/who')}
        {seated && (
          <MeasureField
            label="Seat"
            name="seat"
            measure="length"
            value={seatHeightCm}
            set={setSeat}
            fault={faults.get('/seatHeightCm')}
          />
        )}
        <label className="font-semibold">
          Shoes
          <Choice
            className="mt-1 block"
            value={shoes}
            onChange={(event) => setShoes(event.target.value as typeof shoes)}
          >
            {['flat', 'cushioned', 'barefoot'].map((s) => (
              <option key={s}>{s}</option>
            ))}
          </Choice>
        </label>
        <label className="flex min-h-11 max-w-72 cursor-pointer items-center gap-2.5 self-end">
          <TickBox checked={counts} onChange={(event) => setCounts(event.target.checked)} />
          These count, also where that day was timed at the station
        </label>
      </div>
      <table
        ref={table}
        className="mt-4 w-full text-left max-lg:cards"
        onKeyDown={(event) => {
          const { target } = event;
          if (!(target instanceof HTMLInputElement) || target.dataset['column'] === undefined) return;
          if (event.key === 'Enter' || event.key === 'ArrowDown') move(target, 1);
          else if (event.key === 'ArrowUp') move(target, -1);
          else return;
          event.preventDefault();
        }}
      >
        <thead className="text-sm text-ink-soft">
          <tr>
            <th className="py-1 font-semibold">{oneTest ? 'Who' : 'Test'}</th>
            {oneTest &&
              cellNames(oneTest).map((name) => (
                <th key={name} className="pr-3 font-semibold">
                  {name}
                </th>
              ))}
            <th className="font-semibold">{oneTest ? <span className="sr-only">More</span> : 'Written down'}</th>
            <th className="font-semibold">Outcome</th>
            <th className="font-semibold">Aid</th>
            <th className="font-semibold">Counts as</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <SheetLineRow
              key={keys[i]}
              row={row}
              inColumns={oneTest !== null}
              written={written[i] ?? blank}
              fault={faults.get(String(i))}
              counts={countsAs(row.protocol, written[i] ?? blank)}
              change={(more) => setWritten((now) => ({ ...now, [i]: { ...(now[i] ?? blank), ...more } }))}
            />
          ))}
        </tbody>
      </table>
      {closed.length > 0 && (
        <div role="alert" className="mt-4 border-l-8 border-watch bg-board p-4">
          <p className="font-bold">Closed to them on that day; nothing was saved yet. Were they done all the same?</p>
          <ul className="mt-1 list-disc pl-5">
            {closed.map((c) => (
              <li key={c.key}>
                {c.name}, {c.test}: {c.closedBy}
              </li>
            ))}
          </ul>
          <Button look="line" className="mt-2" onClick={() => submit(true)}>
            They were: keep them as such
          </Button>
        </div>
      )}
      <FootBar>
        <Button type="submit" className="sm:min-w-56">
          {filled.length === 0
            ? 'Save the sheet'
            : `Save ${filled.length} ${filled.length === 1 ? 'result' : 'results'}`}
        </Button>
        <ButtonLink look="plain" href={back}>
          Leave without saving
        </ButtonLink>
        <p role="alert" className="font-semibold text-stop">
          {said}
        </p>
      </FootBar>
    </form>
  );
}

/** Lines as they are kept, what was written in inches in cm; they were checked as written, to be told of in those. */
function kept(lines: readonly SheetLine[], protocols: readonly Protocol[]): SheetLine[] {
  return lines.map((line) => {
    const shown = protocols.find((p) => p.id === line.test);
    return shown ? { ...line, tries: line.tries.map((t) => keptFrom(shown, t)) } : line;
  });
}

/** Faults by where they are shown: the line of the sheet, or the field of its head. */
function byPlace(errors: readonly FieldError[], filled: readonly number[]): ReadonlyMap<string, string> {
  return new Map(
    errors.map(({ path, message }) => {
      const line = /^\/lines\/(\d+)/.exec(path);
      return [line ? String(filled[Number(line[1])]) : path, message];
    }),
  );
}

/** What the rule of the test makes of the line, as it will be kept. */
function countsAs(protocol: Protocol, w: Written): string {
  if (w.outcome !== 'done') return w.outcome.replace('-', ' ');
  if (wrongCells(protocol, w).includes(true)) return '';
  const numbers = w.cells.map((c) => (c.trim() === '' ? NaN : Number(c.replace(',', '.'))));
  const known = numbers.filter((n) => !Number.isNaN(n));
  if (known.length === 0) return '';
  const [sideBySide = 0, semiTandem = 0, tandem = 0, oneLeg = 0] = numbers.map((n) => (Number.isNaN(n) ? 0 : n));
  const { value } = readTrial(protocol, [
    {
      seq: 0,
      atMs: 0,
      wallMs: 0,
      by: 'hand',
      kind: 'entered',
      value: known[0] ?? null,
      handsUsed: false,
      ...(protocol.tries ? { trials: known } : {}),
      ...(protocol.asksSeconds ? { seconds: { sideBySide, semiTandem, tandem, oneLeg } } : {}),
    },
  ]);
  return value === null ? '' : w.handsUsed ? `${value} with hands` : valueWords(protocol, value);
}
