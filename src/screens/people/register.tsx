'use client';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { RegisterAnswer, RegisterLine, RegisterQuestion } from '../../core/view/registerLine';
import type { Group } from '../../core/shapes/person';
import type { PeopleDeed } from '../../core/shapes/register';
import { StillRead } from '../frame/stillRead';
import { fetchLines } from '../frame/askRegister';
import { typingMs } from '../frame/useFound';
import { Button, ButtonLink } from '../touch/button';
import { RegisterBar, type Done } from './registerBar';
import { RegisterFind } from './registerFind';
import { RegisterTable } from './registerTable';

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
  const [done, setDone] = useState<Done | null>(null);
  const [round, setRound] = useState(0);
  const asked = useRef(false);
  const last = useRef(question.search);
  useEffect(() => {
    if (!asked.current) {
      asked.current = true;
      return;
    }
    const asking = new AbortController();
    const typed = question.search !== last.current;
    last.current = question.search;
    const timer = setTimeout(
      () => {
        fetchLines(question, asking.signal).then(
          (got) => {
            setUnreached(got === null);
            if (got) setAnswer(got);
          },
          () => undefined,
        );
      },
      typed ? typingMs : 0,
    );
    return () => {
      clearTimeout(timer);
      asking.abort();
    };
  }, [question, round]);

  const askMore = () =>
    void fetchLines({ ...question, offset: answer.lines.length, limit: step }).then((got) => {
      setUnreached(got === null);
      if (got) setAnswer((a) => ({ ...got, lines: [...a.lines, ...got.lines] }));
    });
  const ask = (more: Partial<RegisterQuestion>) => setQuestion((q) => ({ ...q, limit: step, ...more }));
  const groupNames = useMemo(() => new Map(groups.map((g) => [g.id, g.name])), [groups]);
  const seated = useMemo(() => new Set(sitting), [sitting]);
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
  return (
    <div className="pt-5">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-2xl font-extrabold">People</h1>
        <div className="flex flex-wrap gap-3">
          <ButtonLink look="plain" href="/people/leaf">
            A leaf for the door
          </ButtonLink>
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
          <StillRead behind={answer.behind} again={() => setRound((n) => n + 1)} />
          <RegisterFind question={question} ask={ask} groups={groups} answer={answer} />
          <RegisterTable
            lines={answer.lines}
            question={question}
            ask={ask}
            chosen={chosen}
            toggle={toggle}
            groupNames={groupNames}
            seated={seated}
          />
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
      <RegisterBar
        chosen={chosen}
        none={() => setChosen(new Map())}
        done={done}
        close={() => setDone(null)}
        groups={groups}
        archived={question.filter === 'archived'}
        run={run}
      />
    </div>
  );
}
