'use client';
import Link from 'next/link';
import { useState } from 'react';
import { matching } from '../frame/find';
import { StateMark, type Mark } from '../drawing/stateMark';
import { ButtonLink } from '../touch/button';

export interface RegisterRow {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly mark: Mark;
  readonly state: string;
  readonly stands: string;
  readonly tested: string;
  readonly code: string;
  readonly due: string;
}

const wide = 'max-lg:hidden';
const columns = [
  ['Name', ''],
  ['Age and norm table', 'max-md:hidden'],
  ['Today', ''],
  ['Chair stands', ''],
  ['Tested', wide],
  ['Squat level', 'max-md:hidden'],
  ['Retest', wide],
] as const;

/** Everybody in the register, filtered as one types. */
export function Register({ rows }: { rows: readonly RegisterRow[] }) {
  const [typed, setTyped] = useState('');
  const shown = matching(rows, typed, rows.length);
  return (
    <div className="pt-5">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-2xl font-extrabold">People</h1>
        <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
          <label className="flex items-center gap-3 font-semibold">
            Name
            <input
              value={typed}
              onChange={(event) => {
                setTyped(event.target.value);
              }}
              className="h-12 w-60 rounded-md border-2 border-ink bg-board px-3"
            />
          </label>
          <ButtonLink href="/people/new" hotkey="N">
            Add a person
          </ButtonLink>
        </div>
      </div>
      {rows.length === 0 ? (
        <div className="mt-6 max-w-2xl border-l-8 border-squat bg-board p-5 text-lg">
          <p>
            The register is empty. Start with one person: name, birth date, norm table, height, mass and the seat of
            their chair, such as “Odile Brandvoll, 1949, women, 160 cm, 64 kg, seat 43 cm”. Two minutes later there is a
            score, a level and a date for the retest.
          </p>
        </div>
      ) : (
        <table className="mt-4 w-full text-left">
          <thead className="border-b-2 border-ink text-sm text-ink-soft">
            <tr>
              {columns.map(([head, hide]) => (
                <th key={head} className={`py-2 pr-3 font-semibold ${hide}`}>
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {shown.map((row) => (
              <tr key={row.id} className="border-b border-rule hover:bg-board">
                <td className="pr-3">
                  <Link
                    href={`/people/${row.id}`}
                    className="flex min-h-11 items-center font-bold underline decoration-rule underline-offset-4"
                  >
                    {row.name}
                  </Link>
                </td>
                <td className="pr-3 max-md:hidden">{row.about}</td>
                <td className="pr-3">
                  <span className="flex items-center gap-2">
                    <StateMark mark={row.mark} silent /> {row.state}
                  </span>
                </td>
                <td className="num pr-3">{row.stands}</td>
                <td className={`pr-3 ${wide}`}>{row.tested}</td>
                <td className="num pr-3 max-md:hidden">{row.code}</td>
                <td className={wide}>{row.due}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {rows.length > 0 && shown.length === 0 && <p className="py-6 text-lg">Nobody of that name is in the register.</p>}
    </div>
  );
}
