import { aidWords } from '../words';
import { cellNames, wrongCells, type SheetRow, type Written } from './sheetRows';
import { TextBox, TickBox } from '../touch/field';

interface Props {
  readonly row: SheetRow;
  /** Each cell in a column of its own, whose name stands at its head. */
  readonly inColumns: boolean;
  readonly written: Written;
  readonly fault: string | undefined;
  readonly counts: string;
  readonly change: (more: Partial<Written>) => void;
}

const choice = 'h-11 rounded-md border-2 border-ink bg-board px-2';
const outcomeWords = { done: 'done', unable: 'unable', stopped: 'stopped', 'not-tried': 'not tried' } as const;
const helpWords = { none: 'no help', furniture: 'held on to furniture', person: 'helped by a person' } as const;

/** One line of the sheet; what belongs to its test only is asked on it only. */
export function SheetLineRow({ row, inColumns, written, fault, counts, change }: Props) {
  const { protocol, label } = row;
  const put = (column: number, text: string) => {
    const cells = cellNames(protocol).map((_, i) => (i === column ? text : (written.cells[i] ?? '')));
    change({ cells });
  };
  const end = `py-1 pr-3 ${inColumns ? '' : 'align-bottom'}`;
  const wrong = wrongCells(protocol, written);
  const cells = cellNames(protocol).map((name, column) => ({
    name,
    input: (
      <TextBox
        size="line"
        num
        className="w-20 block text-base text-ink"
        data-column={column}
        aria-label={`${label}: ${name}`}
        aria-invalid={fault !== undefined && (wrong[column] || !wrong.includes(true))}
        inputMode="decimal"
        value={written.cells[column] ?? ''}
        onChange={(event) => put(column, event.target.value)}
      />
    ),
  }));
  return (
    <tr className={`border-t border-rule ${inColumns ? 'align-middle' : 'align-top'}`}>
      <th className="py-2 pr-3 font-semibold">{label}</th>
      {inColumns &&
        cells.map(({ name, input }) => (
          <td key={name} className="py-1 pr-3" data-head={name}>
            {input}
          </td>
        ))}
      <td className="py-1 pr-3">
        <div className={`flex flex-wrap gap-2 ${inColumns ? 'items-center' : 'items-end'}`}>
          {!inColumns &&
            cells.map(({ name, input }) => (
              <label key={name} className="text-sm text-ink-soft">
                {name}
                {input}
              </label>
            ))}
          {protocol.handsMakeZero && (
            <label className="flex min-h-11 items-center gap-2">
              <TickBox checked={written.handsUsed} onChange={(event) => change({ handsUsed: event.target.checked })} />{' '}
              hands used
            </label>
          )}
          {protocol.handsMakeZero && written.handsUsed && (
            <label className={`text-sm text-ink-soft ${inColumns ? 'flex items-center gap-2' : ''}`}>
              clean before
              <TextBox
                size="line"
                num
                className="w-20 block text-base text-ink"
                inputMode="numeric"
                value={written.clean}
                onChange={(event) => change({ clean: event.target.value })}
              />
            </label>
          )}
          {protocol.sides === 'chosen' && (
            <select
              aria-label={`${label}: side chosen`}
              value={written.side ?? ''}
              onChange={(event) =>
                change({ side: event.target.value === '' ? null : (event.target.value as 'L' | 'R') })
              }
              className={choice}
            >
              <option value="">side?</option>
              <option value="L">left</option>
              <option value="R">right</option>
            </select>
          )}
          {protocol.asksHelp && (
            <select
              aria-label={`${label}: help`}
              value={written.help}
              onChange={(event) => change({ help: event.target.value as Written['help'] })}
              className={choice}
            >
              {Object.entries(helpWords).map(([id, words]) => (
                <option key={id} value={id}>
                  {words}
                </option>
              ))}
            </select>
          )}
        </div>
        {fault !== undefined && <p className="text-sm font-semibold text-stop">{fault}</p>}
      </td>
      <td className={end} data-head="Outcome">
        <select
          aria-label={`${label}: outcome`}
          value={written.outcome}
          onChange={(event) => change({ outcome: event.target.value as Written['outcome'] })}
          className={choice}
        >
          {Object.entries(outcomeWords).map(([id, words]) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </select>
      </td>
      <td className={end} data-head="Aid">
        <select
          aria-label={`${label}: aid`}
          value={written.aid}
          onChange={(event) => change({ aid: event.target.value as Written['aid'] })}
          className={choice}
        >
          {Object.entries(aidWords).map(([id, words]) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </select>
      </td>
      <td className={`${end} num font-bold ${counts === '' ? 'max-lg:hidden!' : ''}`} data-head="Counts as">
        {counts}
      </td>
    </tr>
  );
}
