'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { lengthWords, massWords, unitsOf } from '../../core/math/units';
import type { UnitSystem } from '../../core/shapes/person';
import { newClientKey } from '../test/bench/store';
import { Button, ButtonLink } from '../touch/button';
import { useOneAtATime } from '../touch/useOneAtATime';
import { dayWords, tableWords } from '../words';
import { Choice, TickBox } from '../touch/field';

type Columns = Record<string, number>;

interface Preview {
  readonly heads: readonly string[];
  readonly columns: Columns;
  readonly dateOrder: string | null;
  readonly good: number;
  readonly bad: number;
  readonly doubles: number;
  readonly firstGood: readonly {
    readonly name: string;
    readonly birthDate: string;
    readonly normTable: 'female' | 'male' | null;
    readonly heightCm: number | null;
    readonly massKg: number | null;
    readonly group: string;
  }[];
  readonly faults: readonly { readonly line: number; readonly who: string; readonly message: string }[];
  readonly stop: string | null;
}

interface Last {
  readonly id: string;
  readonly at: string;
  readonly fileName: string;
  readonly added: number;
}

const fieldWords: readonly (readonly [field: string, words: string])[] = [
  ['name', 'Name'],
  ['firstName', 'First name'],
  ['lastName', 'Family name'],
  ['birthDate', 'Birth date'],
  ['normTable', 'Norm table'],
  ['height', 'Height'],
  ['mass', 'Mass'],
  ['group', 'Group'],
  ['contactName', 'Contact'],
  ['contactPhone', 'Contact’s phone'],
];

const orders = [
  ['ymd', 'year first'],
  ['dmy', 'day first'],
  ['mdy', 'month first'],
] as const;

/** A roster is dropped, its columns are matched, what is wrong is told row by row; the good rows are taken at once. */
export function ImportScreen({ units, last }: { units: UnitSystem; last: Last | null }) {
  const router = useRouter();
  const [file, setFile] = useState<File | null>(null);
  const [preview, setPreview] = useState<Preview | null>(null);
  const [choice, setChoice] = useState<{ columns: Columns | null; dateOrder: string | null }>({
    columns: null,
    dateOrder: null,
  });
  const [busy, setBusy] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  const [fault, setFault] = useState('');
  const [key, setKey] = useState(newClientKey);
  const [over, setOver] = useState(false);

  const send = async (of: File, how: typeof choice, dry: boolean): Promise<Response | null> => {
    const query = new URLSearchParams({ units, file: of.name.slice(0, 100) });
    if (dry) query.set('dry', 'true');
    else query.set('id', key);
    if (how.dateOrder) query.set('dateOrder', how.dateOrder);
    if (how.columns) query.set('columns', JSON.stringify(how.columns));
    return fetch(`/api/v1/people/import?${query.toString()}`, {
      method: 'POST',
      headers: { 'content-type': 'text/csv' },
      body: of,
    }).catch(() => null);
  };
  const faultOf = async (answer: Response | null): Promise<string> => {
    if (!answer) return 'The server did not answer. Nothing was taken; try again.';
    const body = (await answer.json().catch(() => ({}))) as { detail?: string };
    return body.detail ?? `The server answered ${answer.status}. Nothing was taken.`;
  };
  const look = async (of: File, how: typeof choice) => {
    setFile(of);
    setChoice(how);
    setFault('');
    setSaid('');
    setBusy('Reading the file …');
    const answer = await send(of, how, true);
    setBusy(null);
    if (answer?.ok) setPreview((await answer.json()) as Preview);
    else {
      setPreview(null);
      setFault(await faultOf(answer));
    }
  };
  const take = useOneAtATime(async () => {
    if (!file) return true;
    setBusy('Taking the rows …');
    const answer = await send(file, choice, false);
    setBusy(null);
    if (answer?.ok) {
      const { added, leftOut } = (await answer.json()) as { added: number; leftOut: number };
      setSaid(`${added} people are in the register${leftOut > 0 ? `, ${leftOut} rows were left out` : ''}.`);
      setPreview(null);
      setFile(null);
      setKey(newClientKey());
      router.refresh();
    } else setFault(await faultOf(answer));
    return true;
  });
  const undo = useOneAtATime(async () => {
    if (!last) return true;
    const answer = await fetch(`/api/v1/people/import/${last.id}`, { method: 'DELETE' }).catch(() => null);
    if (answer?.ok) {
      const { removed, stayed } = (await answer.json()) as { removed: number; stayed: number };
      setSaid(
        `${removed} people are out of the register again${stayed > 0 ? `; ${stayed} stay, as something was noted of them since` : ''}.`,
      );
      router.refresh();
    } else setFault(await faultOf(answer));
    return true;
  });
  return (
    <div className="pt-5 pb-6">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-2xl font-extrabold">Import a roster</h1>
        <ButtonLink look="plain" href="/people">
          Back to people
        </ButtonLink>
      </div>
      <div
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(event) => {
          event.preventDefault();
          setOver(false);
          const dropped = event.dataTransfer.files[0];
          if (dropped) void look(dropped, { columns: null, dateOrder: null });
        }}
        className={`mt-4 flex flex-wrap items-center gap-5 border-4 border-dashed p-5 ${over ? 'border-ink bg-board' : 'border-rule'}`}
      >
        <label className="inline-flex min-h-12 cursor-pointer items-center rounded-md border-2 border-ink bg-board px-5 font-bold focus-within:outline-3 focus-within:outline-squat">
          {file ? 'Another file' : 'Choose a CSV file'}
          <input
            type="file"
            accept=".csv,text/csv,text/plain"
            className="sr-only"
            onChange={(event) => {
              const picked = event.target.files?.[0];
              if (picked) void look(picked, { columns: null, dateOrder: null });
              event.target.value = '';
            }}
          />
        </label>
        <p>
          {file ? <b>{file.name}</b> : 'or drop it here.'} One line a person, a head line on top; a name and a birth
          date are enough, with the year in full.
        </p>
      </div>
      <p role="status" className="mt-3 min-h-6 text-lg font-bold" data-testid="import-said">
        {busy ?? said}
      </p>
      <p role="alert" className="font-semibold text-stop">
        {fault}
      </p>
      {last && !preview && (
        <p className="mt-2 flex flex-wrap items-center gap-4">
          <span>
            Last import: {last.fileName}, {last.added} people, {dayWords(last.at.slice(0, 10))}.
          </span>
          <Button look="line" onClick={() => undo()}>
            Undo this import
          </Button>
        </p>
      )}
      {file && preview && (
        <div className="mt-2 grid items-start gap-x-10 gap-y-5 lg:grid-cols-[1fr_1.6fr]">
          <section aria-labelledby="columns">
            <h2 id="columns" className="border-b-2 border-ink pb-1 text-lg font-bold">
              Columns
            </h2>
            <ul>
              {fieldWords.map(([field, words]) => (
                <li key={field} className="flex items-center justify-between gap-3 border-b border-rule py-1">
                  <label htmlFor={`column-${field}`}>{words}</label>
                  <Choice
                    size="line"
                    className="w-52"
                    id={`column-${field}`}
                    value={preview.columns[field] ?? ''}
                    onChange={(event) => {
                      const others = Object.entries(preview.columns).filter(([f]) => f !== field);
                      const own = event.target.value === '' ? [] : [[field, Number(event.target.value)] as const];
                      const columns = Object.fromEntries([...others, ...own]);
                      void look(file, { ...choice, columns });
                    }}
                  >
                    <option value="">not in the file</option>
                    {preview.heads.map((head, i) => (
                      <option key={i} value={i}>
                        {head || `column ${i + 1}`}
                      </option>
                    ))}
                  </Choice>
                </li>
              ))}
            </ul>
            <div role="group" aria-label="Dates are written" className="mt-3 flex flex-wrap items-center gap-x-4">
              <span className="font-semibold">Dates</span>
              {orders.map(([order, words]) => (
                <label key={order} className="flex min-h-11 cursor-pointer items-center gap-2">
                  <TickBox
                    type="radio"
                    name="order"
                    checked={preview.dateOrder === order}
                    onChange={() => void look(file, { ...choice, dateOrder: order })}
                  />
                  {words}
                </label>
              ))}
            </div>
          </section>
          <section aria-labelledby="rows">
            <h2 id="rows" className="border-b-2 border-ink pb-1 text-lg font-bold" data-testid="import-count">
              {preview.good} to take
              {preview.bad + preview.doubles > 0 && `, ${preview.bad + preview.doubles} left out`}
            </h2>
            {preview.stop !== null && <p className="mt-2 font-bold text-stop">{preview.stop}</p>}
            <table className="mt-1 w-full text-left text-sm">
              <tbody>
                {preview.firstGood.map((row, i) => (
                  <tr key={i} className="border-b border-rule">
                    <td className="py-1.5 pr-3 font-bold">{row.name}</td>
                    <td className="num pr-3 whitespace-nowrap">{dayWords(row.birthDate)}</td>
                    <td className="pr-3">{tableWords(row.normTable)}</td>
                    <td className="num pr-3">
                      {row.heightCm === null ? '' : lengthWords(row.heightCm, unitsOf[units].length)}
                    </td>
                    <td className="num pr-3">
                      {row.massKg === null ? '' : massWords(row.massKg, unitsOf[units].mass)}
                    </td>
                    <td>{row.group}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            {preview.good > preview.firstGood.length && (
              <p className="py-1 text-sm">and {preview.good - preview.firstGood.length} more</p>
            )}
            {preview.faults.length > 0 && (
              <>
                <h3 className="mt-3 font-bold">Left out</h3>
                <ul
                  className="max-h-56 overflow-y-auto text-sm"
                  tabIndex={0}
                  aria-label="Rows left out, with what is wrong"
                >
                  {preview.faults.map((f) => (
                    <li key={f.line} className="border-b border-rule py-1.5">
                      <span className="num">line {f.line}</span>, <b>{f.who}</b>: {f.message}
                    </li>
                  ))}
                </ul>
              </>
            )}
            <div className="mt-4 flex flex-wrap items-center gap-4">
              <Button
                className="min-w-60 text-lg"
                disabled={preview.stop !== null || busy !== null}
                onClick={() => take()}
              >
                Take {preview.good} {preview.good === 1 ? 'person' : 'people'}
              </Button>
              <span>All at once or nothing; one action undoes it.</span>
            </div>
          </section>
        </div>
      )}
    </div>
  );
}
