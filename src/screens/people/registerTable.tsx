'use client';
import { createColumnHelper, tableFeatures, useTable } from '@tanstack/react-table';
import Link from 'next/link';
import { useMemo, type KeyboardEvent } from 'react';
import type { RegisterSort } from '../../core/shapes/register';
import type { RegisterLine, RegisterQuestion } from '../../core/view/registerLine';
import { StateWord } from '../drawing/stateMark';
import { TickBox } from '../touch/field';
import { stateOfLine } from '../states';
import { dayWords, newestWords, tableWords } from '../words';

interface Props {
  readonly lines: readonly RegisterLine[];
  readonly question: Pick<RegisterQuestion, 'sort' | 'down'>;
  readonly ask: (more: Partial<RegisterQuestion>) => void;
  readonly chosen: ReadonlyMap<string, string>;
  readonly toggle: (line: RegisterLine) => void;
  /** Groups by name, and who sits today. */
  readonly groupNames: ReadonlyMap<string, string>;
  readonly seated: ReadonlySet<string>;
}

const features = tableFeatures({});
const helper = createColumnHelper<typeof features, RegisterLine>();

/** What of a column the register sorts by, where it does, and on which screens it is left out. */
const looks: Readonly<
  Record<string, { readonly sort?: RegisterSort; readonly cell?: string; readonly hide?: string }>
> = {
  name: { sort: 'name' },
  age: { sort: 'age', hide: 'max-md:hidden!' },
  state: { sort: 'state' },
  newest: { cell: 'num' },
  tested: { sort: 'tested', cell: 'whitespace-nowrap', hide: 'max-lg:hidden!' },
  level: { sort: 'level', hide: 'max-md:hidden!' },
  due: { sort: 'due', cell: 'whitespace-nowrap', hide: 'max-lg:hidden!' },
  groups: { hide: 'max-lg:hidden!' },
};

const day = (on: string | null): string => (on ? dayWords(on) : '–');

/** The lines of the register: sorted by a head, chosen by a tick, walked through with the arrow keys. */
export function RegisterTable({ lines, question, ask, chosen, toggle, groupNames, seated }: Props) {
  const columns = useMemo(
    () =>
      helper.columns([
        helper.accessor('name', {
          header: 'Name',
          cell: ({ row: { original: line } }) => (
            <Link
              href={`/people/${line.id}`}
              prefetch={false}
              data-row
              className="flex min-h-11 items-center font-bold underline decoration-rule underline-offset-4"
            >
              {line.name}
            </Link>
          ),
        }),
        helper.accessor(
          ({ ageYears, normTable }) => `${ageYears === null ? '' : `${ageYears} · `}${tableWords(normTable)}`,
          { id: 'age', header: 'Age' },
        ),
        helper.accessor('state', {
          header: 'Today',
          cell: ({ row: { original: line } }) => (
            <>
              <StateWord state={stateOfLine(line.state)} />
              {line.behind && line.state !== 'being-read' && <span className="text-sm"> (from before)</span>}
            </>
          ),
        }),
        helper.accessor(({ newest }) => newestWords(newest), { id: 'newest', header: 'Result' }),
        helper.accessor(({ lastTestedOn }) => day(lastTestedOn), { id: 'tested', header: 'Tested' }),
        helper.accessor(({ codes, waitingCodes }) => codes[0] ?? (waitingCodes[0] ? `(${waitingCodes[0]})` : '–'), {
          id: 'level',
          header: 'First level',
          cell: ({ row: { original: line } }) => <LevelCell line={line} />,
        }),
        helper.accessor(({ dueOn }) => day(dueOn), { id: 'due', header: 'Retest' }),
        helper.accessor(
          ({ id, groupIds }) =>
            [...(seated.has(id) ? ['today'] : []), ...groupIds.map((g) => groupNames.get(g) ?? '')].join(', '),
          { id: 'groups', header: 'Group' },
        ),
      ]),
    [groupNames, seated],
  );
  const table = useTable({ features, columns, data: lines, getRowId: (line) => line.id });
  return (
    <table className="mt-2 w-full text-left max-md:cards">
      <thead className="border-b-2 border-ink text-sm text-ink-soft">
        {table.getHeaderGroups().map((group) => (
          <tr key={group.id}>
            <th className="w-11">
              <span className="sr-only">Choose</span>
            </th>
            {group.headers.map((header) => {
              const { sort, hide = '' } = looks[header.column.id] ?? {};
              const sorted = sort !== undefined && question.sort === sort;
              return (
                <th
                  key={header.id}
                  className={`pr-3 font-semibold ${hide}`}
                  aria-sort={sorted ? (question.down ? 'descending' : 'ascending') : undefined}
                >
                  {sort === undefined ? (
                    <table.FlexRender header={header} />
                  ) : (
                    <button
                      type="button"
                      className="min-h-11 cursor-pointer font-semibold whitespace-nowrap"
                      onClick={() => ask({ sort, down: sorted && !question.down })}
                    >
                      <table.FlexRender header={header} />
                      <span aria-hidden>{sorted ? (question.down ? ' ↓' : ' ↑') : ''}</span>
                    </button>
                  )}
                </th>
              );
            })}
          </tr>
        ))}
      </thead>
      <tbody onKeyDown={(event) => move(event, lines, toggle)}>
        {table.getRowModel().rows.map((row) => (
          <tr
            key={row.id}
            className={`border-b border-rule max-md:grid! max-md:grid-cols-[2.75rem_1fr] max-md:py-1! ${chosen.has(row.id) ? 'bg-wood-pale' : 'hover:bg-board'}`}
          >
            <td className="max-md:row-span-3">
              <label className="flex size-11 cursor-pointer items-center justify-center">
                <TickBox
                  aria-label={`Choose ${row.original.name}`}
                  checked={chosen.has(row.id)}
                  onChange={() => toggle(row.original)}
                />
              </label>
            </td>
            {row.getAllCells().map((cell) => {
              const { cell: look = '', hide = '' } = looks[cell.column.id] ?? {};
              return (
                <td key={cell.id} className={`pr-3 max-md:col-start-2 ${look} ${hide}`}>
                  <table.FlexRender cell={cell} />
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The movement, behind it the code; what waits for a yes in brackets. */
function LevelCell({ line: { codes, waitingCodes, levelName } }: { line: RegisterLine }) {
  if (levelName === null) return '–';
  const [code, waits] = codes[0] === undefined ? [waitingCodes[0] ?? '', true] : [codes[0], false];
  return (
    <>
      {waits ? `(${levelName})` : levelName} <span className="num text-sm whitespace-nowrap text-ink-soft">{code}</span>
    </>
  );
}

/** Arrow up and down go from name to name, Space chooses the one gone to. */
function move(
  event: KeyboardEvent<HTMLTableSectionElement>,
  lines: readonly RegisterLine[],
  toggle: (line: RegisterLine) => void,
): void {
  const links = [...event.currentTarget.querySelectorAll<HTMLAnchorElement>('a[data-row]')];
  const at = links.indexOf(document.activeElement as HTMLAnchorElement);
  if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
    const next = links[at + (event.key === 'ArrowDown' ? 1 : -1)];
    if (!next) return;
    event.preventDefault();
    next.focus();
  } else if (event.key === ' ' && at >= 0) {
    const line = lines[at];
    event.preventDefault();
    if (line) toggle(line);
  }
}
