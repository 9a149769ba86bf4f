import { protocols } from '../../catalogue/protocols';
import type { Protocol } from '../../core/shapes/protocol';
import { ForGroup, type GroupChoice } from '../people/forGroup';
import { ButtonLink } from '../touch/button';
import { PrintButton } from '../touch/printButton';
import { longDay } from '../words';
import { cellNames } from './sheetRows';

interface Props {
  readonly groups: readonly GroupChoice[];
  readonly groupId: string | null;
  readonly groupName: string;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  /** A sheet each, in the units of the hall. */
  readonly tests: readonly Protocol[];
  readonly today: string;
}

/** Lines for whoever is not on the list. */
const spare = 2;

/** Blank sheets for the stations: names down, tries across, seat and aid; nothing of the screen in print. */
export function BlankSheets({ groups, groupId, groupName, people, tests, today }: Props) {
  const to = (ids: readonly string[]) =>
    `/people/sheet/blank?${new URLSearchParams([
      ...(groupId === null ? [] : [['group', groupId]]),
      ...ids.map((id) => ['test', id]),
    ]).toString()}`;
  const chosen = tests.map((t) => t.id);
  return (
    <div className="pt-4">
      <div className="print:hidden">
        <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
          <h1 className="text-2xl font-extrabold">Station sheets</h1>
          <PrintButton />
          <ForGroup path="/people/sheet/blank" groups={groups} groupId={groupId ?? 'today'} />
        </div>
        <div role="group" aria-label="Which tests" className="mt-3 flex flex-wrap gap-2">
          {protocols.map((p) => {
            const on = chosen.includes(p.id);
            return (
              <ButtonLink
                key={p.id}
                look={on ? 'main' : 'line'}
                href={to(on ? chosen.filter((id) => id !== p.id) : [...chosen, p.id])}
              >
                {p.short}
              </ButtonLink>
            );
          })}
        </div>
        {people.length === 0 && (
          <p className="py-4 text-lg">Nobody is in {groupName} yet: the sheets have spare lines alone.</p>
        )}
      </div>
      <p className="py-4 text-lg sm:hidden print:hidden">
        {tests.length} {tests.length === 1 ? 'sheet' : 'sheets'} of wide paper: too wide to be shown here, printed as
        they are.
      </p>
      {tests.map((protocol) => (
        <OneSheet key={protocol.id} {...{ protocol, groupName, people, today }} />
      ))}
    </div>
  );
}

const cell = 'border border-ink p-1 text-left align-bottom';

function OneSheet({
  protocol,
  groupName,
  people,
  today,
}: Pick<Props, 'groupName' | 'people' | 'today'> & { readonly protocol: Protocol }) {
  const names = cellNames(protocol);
  const sides = protocol.sides === 'both' ? ['left', 'right'] : [null];
  const seat = protocol.seatCm !== undefined;
  const lines = [...people.map((p) => p.name), ...Array.from({ length: spare }, () => '')];
  return (
    <article
      data-blank-sheet={protocol.id}
      className="wide-paper max-sm:hidden print:block mt-6 break-before-page overflow-x-auto border-2 border-ink bg-board p-4 text-[12pt] first-of-type:break-before-auto print:overflow-visible print:border-0 print:bg-transparent print:p-0"
    >
      <h2 className="text-[18pt] font-extrabold">{protocol.title}</h2>
      <p className="flex flex-wrap gap-x-8">
        <span>
          {groupName}, {longDay(today)}
        </span>
        <span>
          {seat ? 'Chair' : 'Floor'} <span className="inline-block w-24 border-b border-ink" />
        </span>
        <span>
          Who measures <span className="inline-block w-40 border-b border-ink" />
        </span>
      </p>
      <table className="mt-3 w-full border-collapse">
        <thead>
          <tr>
            <th className={`${cell} w-56`}>Name</th>
            {sides.flatMap((side) =>
              names.map((name) => (
                <th key={`${side ?? ''}${name}`} className={cell}>
                  {side === null ? name : `${side}: ${name}`}
                </th>
              )),
            )}
            {seat && <th className={cell}>seat</th>}
            <th className={cell}>aid</th>
            <th className={`${cell} w-48`}>stopped, not tried, why</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((name, i) => (
            <tr key={`${name}${i}`} className="h-[8.5mm] break-inside-avoid">
              {name === '' ? <td className={cell} /> : <th className={`${cell} whitespace-nowrap`}>{name}</th>}
              {sides.flatMap((side) =>
                names.map((of) => <td key={`${side ?? ''}${of}`} className={`${cell} min-w-14`} />),
              )}
              {seat && <td className={`${cell} min-w-14`} />}
              <td className={`${cell} min-w-14`} />
              <td className={cell} />
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2">
        {protocol.notCountedIf.length > 0 && `Does not count: ${protocol.notCountedIf.join(', ')}.`}
      </p>
      <p>Stop at: {protocol.stopAt.join(', ')}.</p>
    </article>
  );
}
