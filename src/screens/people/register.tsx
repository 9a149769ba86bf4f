'use client';
import Link from 'next/link';
import { useEffect, useRef, useState } from 'react';
import type { RegisterAnswer, RegisterLine, RegisterQuestion } from '../../core/view/registerLine';
import type { Group } from '../../core/shapes/person';
import type { PeopleDeed, RegisterFilter, RegisterSort } from '../../core/shapes/register';
import { StateMark, type Mark } from '../drawing/stateMark';
import { fetchLines } from '../frame/askRegister';
import { Button, ButtonLink } from '../touch/button';
import { dayWords, newestWords, stateWords, tableWords } from '../words';

interface Props {
  /** The question that is answered at the start. */
  readonly asks: RegisterQuestion;
  readonly start: RegisterAnswer;
  readonly groups: readonly Group[];
  /** In today's sitting already. */
  readonly sitting: readonly string[];
  /** Answers with those whom it changed. */
  readonly deed: (ids: readonly string[], deed: PeopleDeed) => Promise<readonly string[]>;
}

export const stateMarks: Readonly<Record<RegisterLine['state'], Mark>> = {
  unreadable: 'unknown',
  'not-today': 'stop',
  'ask-first': 'watch',
  'to-ask': 'unknown',
  'not-tested': 'unknown',
  due: 'watch',
  'to-confirm': 'unknown',
  'with-care': 'watch',
  ready: 'ready',
};

const filterWords: Readonly<Record<RegisterFilter, string>> = {
  all: 'everybody',
  due: 'due',
  held: 'held back',
  'not-tested': 'not tested',
  'to-complete': 'to complete',
  archived: 'put aside',
};

const wide = 'max-lg:hidden';
const columns: readonly (readonly [head: string, sort: RegisterSort | null, hide: string])[] = [
  ['Name', 'name', ''],
  ['Age', 'age', 'max-md:hidden'],
  ['Today', 'state', ''],
  ['Result', null, ''],
  ['Tested', 'tested', wide],
  ['Squat level', 'level', 'max-md:hidden'],
  ['Retest', 'due', wide],
  ['Group', null, wide],
];

const step = 50;
const opposite: Partial<Record<PeopleDeed['kind'], PeopleDeed['kind']>> = {
  'sit-today': 'not-sit-today',
  archive: 'restore',
  restore: 'archive',
  join: 'leave',
  leave: 'join',
};

/** Everybody in the register: found as one types, filtered, sorted; several chosen at once for a sitting or a group. */
export function Register({ start, asks, groups, sitting, deed }: Props) {
  const [question, setQuestion] = useState<RegisterQuestion>(asks);
  const [answer, setAnswer] = useState<RegisterAnswer>(start);
  const [unreached, setUnreached] = useState(false);
  const [chosen, setChosen] = useState<ReadonlyMap<string, string>>(new Map());
  const [done, setDone] = useState<{ words: string; undo: (() => void) | null } | null>(null);
  const [round, setRound] = useState(0);
  const asked = useRef(false);
  useEffect(() => {
    if (!asked.current) {
      asked.current = true;
      return;
    }
    const asking = new AbortController();
    fetchLines(question, asking.signal).then(
      (got) => {
        setUnreached(got === null);
        if (got) setAnswer(got);
      },
      () => undefined,
    );
    return () => asking.abort();
  }, [question, round]);

  const askMore = () =>
    void fetchLines({ ...question, offset: answer.lines.length, limit: step }).then((got) => {
      setUnreached(got === null);
      if (got) setAnswer((a) => ({ ...got, lines: [...a.lines, ...got.lines] }));
    });
  const ask = (more: Partial<RegisterQuestion>) => setQuestion((q) => ({ ...q, limit: step, ...more }));
  const groupNames = new Map(groups.map((g) => [g.id, g.name]));
  const seated = new Set(sitting);
  const toggle = (line: RegisterLine) =>
    setChosen((now) => {
      const next = new Map(now);
      if (!next.delete(line.id)) next.set(line.id, line.name);
      return next;
    });
  const run = (what: PeopleDeed, words: string) => {
    const unreached = () => setDone({ words: 'The server did not answer; nothing was changed.', undo: null });
    void deed([...chosen.keys()], what).then((changed) => {
      const back = opposite[what.kind];
      // Only those whom it changed: who was in the group before stays in it.
      const undo =
        back && changed.length > 0
          ? () => {
              void deed(changed, { ...what, kind: back } as PeopleDeed).then(() => {
                setDone({ words: 'Taken back.', undo: null });
                setRound((n) => n + 1);
              }, unreached);
            }
          : null;
      setDone({ words: changed.length > 0 ? words : 'Nothing to change: it was so already.', undo });
      setChosen(new Map());
      setRound((n) => n + 1);
    }, unreached);
  };
  const count = chosen.size === 1 ? ([...chosen.values()][0] ?? '') : `${chosen.size} people`;

  const move = (event: React.KeyboardEvent<HTMLTableSectionElement>) => {
    const links = [...event.currentTarget.querySelectorAll<HTMLAnchorElement>('a[data-row]')];
    const at = links.indexOf(document.activeElement as HTMLAnchorElement);
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      const next = links[at + (event.key === 'ArrowDown' ? 1 : -1)];
      if (!next) return;
      event.preventDefault();
      next.focus();
    } else if (event.key === ' ' && at >= 0) {
      const line = answer.lines[at];
      event.preventDefault();
      if (line) toggle(line);
    }
  };

  return (
    <div className="pt-5 pb-20">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-2xl font-extrabold">People</h1>
        <div className="flex flex-wrap gap-3">
          <ButtonLink look="line" href="/people/groups">
            Groups
          </ButtonLink>
          <ButtonLink look="line" href="/people/import">
            Import a roster
          </ButtonLink>
          <ButtonLink look="line" href="/people/walk-in" hotkey="W">
            Walk-in
          </ButtonLink>
          <ButtonLink href="/people/new" hotkey="N">
            Add a person
          </ButtonLink>
        </div>
      </div>
      {start.everybody === 0 && start.total === 0 ? (
        <div className="mt-6 max-w-2xl border-l-8 border-squat bg-board p-5 text-lg">
          <p>
            The register is empty. Start with one person: name, birth date, norm table, height, mass and the seat of
            their chair, such as “Odile Brandvoll, 1949, women, 160 cm, 64 kg, seat 43 cm”. Or import a roster: a CSV
            file with a head line, a name and a birth date is enough.
          </p>
        </div>
      ) : (
        <>
          <div className="mt-3 flex flex-wrap items-center gap-x-5 gap-y-2">
            <label className="flex items-center gap-3 font-semibold">
              Find
              <input
                value={question.search}
                placeholder="name or level code"
                onChange={(event) => ask({ search: event.target.value })}
                onKeyDown={(event) => {
                  if (event.key !== 'ArrowDown') return;
                  event.preventDefault();
                  document.querySelector<HTMLAnchorElement>('a[data-row]')?.focus();
                }}
                className="h-11 w-60 rounded-md border-2 border-ink bg-board px-3 placeholder:text-ink-soft"
              />
            </label>
            <div role="group" aria-label="Show" className="flex flex-wrap">
              {(Object.keys(filterWords) as RegisterFilter[]).map((filter) => (
                <button
                  key={filter}
                  type="button"
                  aria-pressed={question.filter === filter}
                  onClick={() => ask({ filter })}
                  className={`min-h-11 cursor-pointer border-b-4 px-3 ${question.filter === filter ? 'border-ink font-bold' : 'border-rule'}`}
                >
                  {filterWords[filter]}
                </button>
              ))}
            </div>
            {groups.length > 0 && (
              <label className="flex items-center gap-2">
                group
                <select
                  value={question.groupId ?? ''}
                  onChange={(event) => ask({ groupId: event.target.value || null })}
                  className="h-11 rounded-md border-2 border-ink bg-board px-2"
                >
                  <option value="">any</option>
                  {groups.map((g) => (
                    <option key={g.id} value={g.id}>
                      {g.name}
                    </option>
                  ))}
                </select>
              </label>
            )}
            <span role="status" className="num ml-auto" data-testid="how-many">
              {answer.total === answer.everybody ? answer.total : `${answer.total} of ${answer.everybody}`}
            </span>
          </div>
          <table className="mt-2 w-full text-left">
            <thead className="border-b-2 border-ink text-sm text-ink-soft">
              <tr>
                <th className="w-11">
                  <span className="sr-only">Choose</span>
                </th>
                {columns.map(([head, sort, hide]) => (
                  <th
                    key={head}
                    className={`pr-3 font-semibold ${hide}`}
                    aria-sort={question.sort === sort ? (question.down ? 'descending' : 'ascending') : undefined}
                  >
                    {sort === null ? (
                      head
                    ) : (
                      <button
                        type="button"
                        className="min-h-11 cursor-pointer font-semibold whitespace-nowrap"
                        onClick={() => ask({ sort, down: question.sort === sort && !question.down })}
                      >
                        {head}
                        <span aria-hidden>{question.sort === sort ? (question.down ? ' ↑' : ' ↓') : ''}</span>
                      </button>
                    )}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody onKeyDown={move}>
              {answer.lines.map((line) => (
                <tr
                  key={line.id}
                  className={`border-b border-rule ${chosen.has(line.id) ? 'bg-wood-pale' : 'hover:bg-board'}`}
                >
                  <td>
                    <label className="flex size-11 cursor-pointer items-center justify-center">
                      <input
                        type="checkbox"
                        aria-label={`Choose ${line.name}`}
                        checked={chosen.has(line.id)}
                        onChange={() => toggle(line)}
                        className="size-5 accent-ink"
                      />
                    </label>
                  </td>
                  <td className="pr-3">
                    <Link
                      href={`/people/${line.id}`}
                      prefetch={false}
                      data-row
                      className="flex min-h-11 items-center font-bold underline decoration-rule underline-offset-4"
                    >
                      {line.name}
                    </Link>
                  </td>
                  <td className="pr-3 max-md:hidden">
                    {line.ageYears === null ? '' : `${line.ageYears} · `}
                    {tableWords(line.normTable)}
                  </td>
                  <td className="pr-3">
                    <span className="flex items-center gap-2">
                      <StateMark mark={stateMarks[line.state]} silent /> {stateWords[line.state]}
                    </span>
                  </td>
                  <td className="num pr-3">{newestWords(line.newest)}</td>
                  <td className={`pr-3 whitespace-nowrap ${wide}`}>
                    {line.lastTestedOn ? dayWords(line.lastTestedOn) : '–'}
                  </td>
                  <td className="num pr-3 max-md:hidden">
                    {line.codes[0] ?? (line.waitingCodes[0] ? `(${line.waitingCodes[0]})` : '–')}
                  </td>
                  <td className={`pr-3 whitespace-nowrap ${wide}`}>{line.dueOn ? dayWords(line.dueOn) : '–'}</td>
                  <td className={wide}>
                    {[
                      ...(seated.has(line.id) ? ['today'] : []),
                      ...line.groupIds.map((id) => groupNames.get(id) ?? ''),
                    ].join(', ')}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {answer.lines.length === 0 && (
            <p className="py-6 text-lg">
              {unreached
                ? 'The server does not answer. Try again in a moment.'
                : 'Nobody like that is in the register.'}
            </p>
          )}
          {answer.total > answer.lines.length && (
            <Button look="line" className="mt-3" onClick={askMore}>
              Show more: {answer.total - answer.lines.length} not shown
            </Button>
          )}
        </>
      )}
      <div role="status">
        {(chosen.size > 0 || done) && (
          <div className="fixed inset-x-0 bottom-0 z-10 border-t-4 border-ink bg-board">
            <div className="mx-auto flex max-w-[1400px] flex-wrap items-center gap-3 px-7 py-2.5">
              {chosen.size > 0 ? (
                <>
                  <b className="mr-2" data-testid="chosen">
                    {count} chosen
                  </b>
                  {question.filter === 'archived' ? (
                    <Button onClick={() => run({ kind: 'restore' }, `${count} back in the register.`)}>
                      Back to the register
                    </Button>
                  ) : (
                    <>
                      <Button onClick={() => run({ kind: 'sit-today' }, `${count} in today’s sitting.`)}>
                        Sit today
                      </Button>
                      {groups.map((g) => (
                        <Button
                          key={g.id}
                          look="line"
                          onClick={() => run({ kind: 'join', groupId: g.id }, `${count} in ${g.name}.`)}
                        >
                          {g.name}
                        </Button>
                      ))}
                      <Button
                        look="line"
                        onClick={() => run({ kind: 'archive' }, `${count} put aside; nothing is lost.`)}
                      >
                        Put aside
                      </Button>
                    </>
                  )}
                  <Button look="plain" onClick={() => setChosen(new Map())}>
                    None
                  </Button>
                </>
              ) : (
                <>
                  <span>{done?.words}</span>
                  {done?.undo && (
                    <Button look="line" onClick={done.undo}>
                      Undo
                    </Button>
                  )}
                  <Button look="plain" onClick={() => setDone(null)}>
                    Close
                  </Button>
                </>
              )}
            </div>
          </div>
        )}
      </div>
    </div>
  );
}
