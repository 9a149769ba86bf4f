'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { PageThen } from '../../core/view/report';
import type { HallNorms } from '../../core/shapes/norms';
import type { FieldError } from '../../schemas/parse';
import { newClientKey } from '../test/bench/store';
import { Button } from '../touch/button';
import { useOneAtATime } from '../touch/useOneAtATime';
import { readerWords } from '../scores/testWords';
import { dayWords } from '../words';
import { TextArea, TextField } from '../touch/field';

interface Props {
  readonly test: string;
  /** The table in force, to change a cell of it. */
  readonly table: string;
  readonly units: readonly string[];
  /** Newest first. */
  readonly changes: readonly HallNorms[];
  /** Pages handed out on which this test read otherwise than it does by the figures in force. */
  /** Handed out, and reads otherwise now; and how many older pages were not looked through. */
  readonly printed: { readonly pages: readonly PageThen[]; readonly older: number };
  /** @param seen the newest change when the form was opened */
  readonly save: (test: string, id: string, form: object, seen: string | null) => Promise<SaveNormsAnswer>;
}

type SaveNormsAnswer =
  { kind: 'saved' } | { kind: 'rejected'; errors: readonly FieldError[] } | { kind: 'changed'; by: HallNorms };

/** The hall’s own figures: change a cell of the table, or drop a table of one’s own; the shipped ones are a tap away. */
export function NormEditor({ test, table, units, changes, printed, save }: Props) {
  const router = useRouter();
  const [form, setForm] = useState({ table, cite: '', who: '', why: '' });
  // One form is one change, however often it is sent; after a change the page makes a new one.
  const [id] = useState(newClientKey);
  const [seen, setSeen] = useState(changes[0]?.id ?? null);
  const [faults, setFaults] = useState<readonly FieldError[]>([]);
  const [said, setSaid] = useState('');
  const inForce = changes[0]?.rows != null;
  const submit = (rows: string | null) => async () => {
    setSaid('');
    const answer = await save(test, id, { ...form, table: rows }, seen).catch(() => null);
    setFaults(answer?.kind === 'rejected' ? answer.errors : []);
    if (answer?.kind === 'changed') {
      const { who, why, savedAt } = answer.by;
      setSeen(answer.by.id);
      setSaid(
        `${who} changed these figures on ${dayWords(savedAt.slice(0, 10))} (${why}), after this page was opened. Nothing was changed now. Look at their table below; saving again puts yours in its place.`,
      );
      router.refresh();
    }
    if (answer === null) setSaid('The server did not answer. What you wrote is still here; save again.');
    if (answer?.kind === 'saved') {
      setSaid('Saved. Everything is scored by these figures from now on; pages handed out stay as they were.');
      router.refresh();
    }
    return true;
  };
  const keep = useOneAtATime(submit(form.table));
  const goBack = useOneAtATime(submit(null));
  const faultsOf = (path: string) => faults.filter((f) => f.path === path).map((f) => f.message);
  const words = (name: 'cite' | 'who' | 'why', label: string) => (
    <TextField
      className="w-full"
      label={label}
      name={name}
      fault={faultsOf(`/${name}`).join(' ') || undefined}
      value={form[name]}
      onChange={(event) => setForm((f) => ({ ...f, [name]: event.target.value }))}
    />
  );
  return (
    <details className="mt-4 border-t-2 border-ink">
      <summary className="flex min-h-12 cursor-pointer items-center gap-3 font-bold">
        {inForce ? 'Figures of this hall are in force' : 'Correct a cell, or use figures of this hall'}
      </summary>
      <form
        noValidate
        className="space-y-3 pb-3"
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <label className="block font-semibold">
          The table as CSV, {units.join(' or ')}
          <TextArea
            num
            className="mt-1 block w-full text-sm"
            value={form.table}
            rows={8}
            spellCheck={false}
            aria-invalid={faultsOf('/table').length > 0}
            onChange={(event) => setForm((f) => ({ ...f, table: event.target.value }))}
          />
        </label>
        <ul className="text-sm font-semibold text-stop">
          {faultsOf('/table').map((message) => (
            <li key={message}>{message}</li>
          ))}
        </ul>
        <label className="block font-semibold">
          Or from a file
          <input
            type="file"
            accept=".csv,text/csv"
            className="mt-1 block min-h-11"
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) void file.text().then((text) => setForm((f) => ({ ...f, table: text })));
            }}
          />
        </label>
        <div className="grid gap-3 sm:grid-cols-3">
          {words('cite', 'Where from')}
          {words('who', 'Who')}
          {words('why', 'Why')}
        </div>
        <div className="flex flex-wrap items-center gap-4">
          <Button type="submit">Score by this table</Button>
          {inForce && (
            <Button look="line" onClick={goBack}>
              Back to the shipped figures
            </Button>
          )}
          <p role="status" className="font-semibold">
            {said}
          </p>
        </div>
      </form>
      {changes.length > 0 && (
        <ul className="pb-3 text-sm">
          {changes.map((c) => (
            <li key={c.id}>
              {dayWords(c.savedAt.slice(0, 10))}, {c.who}: {c.rows ? `own figures (${c.cite})` : 'back to the shipped'},{' '}
              {c.why}
            </li>
          ))}
        </ul>
      )}
      {(printed.pages.length > 0 || printed.older > 0) && (
        <section className="pb-3">
          <h3 className="font-bold">Handed out, and reads otherwise now</h3>
          <ul>
            {printed.pages.map((page) => (
              <li key={page.id}>
                <Link
                  href={`/people/${page.personId}/report/${page.id}`}
                  className="flex min-h-11 items-center gap-4 underline decoration-rule underline-offset-4"
                >
                  {page.report.person.name}, {dayWords(page.report.printedOn)}, {readerWords(page.report)}
                </Link>
              </li>
            ))}
          </ul>
          {printed.older > 0 && (
            <p className="text-sm">
              {printed.older} older {printed.older === 1 ? 'page is' : 'pages are'} not looked through here; each
              person’s scores say what was handed out to them.
            </p>
          )}
        </section>
      )}
    </details>
  );
}
