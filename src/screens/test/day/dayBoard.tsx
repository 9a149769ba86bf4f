'use client';
import { useState } from 'react';
import { daySets } from '../../../catalogue/testing-day/daySets';
import type { Board, StationNow } from '../../../core/measure/day/board';
import type { Call } from '../../../core/measure/day/day';
import { shortNames } from '../../../core/math/names';
import type { DayStaff } from '../../../core/shapes/day';
import type { Helper } from '../../../core/shapes/helper';
import { SignMark } from '../../drawing/stateMark';
import { useKeys } from '../../frame/keys';
import { Button, ButtonLink } from '../../touch/button';
import { FootBar } from '../../touch/footBar';
import { Step, useSettled } from '../../touch/step';
import type { StationPerson } from '../station';
import { BoardPaper } from './boardPaper';
import { initials, mayWords, minutesWords, staffName, testsWords, testWord } from './dayWords';
import { useFaces } from '../face/channel';
import { SittingSheet } from './sittingSheet';
import type { TestingDay } from './useTestingDay';

interface Props {
  readonly day: TestingDay;
  readonly board: Board;
  readonly people: readonly StationPerson[];
  readonly staff: readonly DayStaff[];
  readonly helpers: readonly Helper[];
  /** Whose station this tablet is. */
  readonly mine: string;
  readonly beAt: (staff: string) => void;
  /** Opens a test for these people on this tablet. */
  readonly test: (test: string, people: readonly StationPerson[]) => void;
  /** Notes that somebody would rather not. */
  readonly decline: (person: StationPerson, test: string, why: string) => void;
  /** Chooses somebody by name instead. */
  readonly byName: () => void;
  readonly readOut: (() => void) | null;
}

/**
 * The board of a testing day: a queue a station that moves by itself, and one press for who comes next. It stands on a
 * chair beside the instructor, is read in a glance, and says nothing of health.
 */
export function DayBoard(props: Props) {
  const { day, board, people, helpers, staff, mine, beAt, test, byName, readOut } = props;
  const [shown, show] = useState<string | null>(null);
  const short = new Map(shortNames(people.map((p) => p.name)).map((name, i) => [people[i]?.id ?? '', name]));
  const nameOf = (id: string) => short.get(id) ?? 'somebody new';
  const namesOf = (ids: readonly string[]) => ids.map(nameOf).join(' and ');
  const lettersOf = (id: string) => initials(people.find((p) => p.id === id)?.name ?? '');
  const own = board.stations.find((s) => s.staff === mine);
  const next = own?.queue[0];
  const waits = next !== undefined && next.startS > soonS;
  const seatedOf = (ids: readonly string[]) => ids.flatMap((id) => people.find((p) => p.id === id) ?? []);
  const call = (staffId: string, { people: ids, tests }: Pick<Call, 'people' | 'tests'>) =>
    day.note({ kind: 'call', staff: staffId, people: ids, tests });
  const go = () => {
    if (!own) return;
    if (own.now) open(own.now.people, own.now.open);
    else if (next && !waits) {
      call(own.staff, next);
      open(next.people, next.tests);
    }
  };
  const open = (ids: readonly string[], tests: readonly string[]) => {
    const [first] = tests;
    const seated = seatedOf(ids);
    if (first !== undefined && seated.length > 0) test(first, seated);
  };
  const settled = useSettled();
  useKeys('page', (event) => {
    if (event.repeat || event.code !== 'Space' || !settled() || shown !== null) return false;
    go();
    return true;
  });
  const newcomers = day.sitting.filter((id) => !people.some((p) => p.id === id));
  const finished = people.filter((p) => {
    const own = board.sittings.get(p.id) ?? [];
    return own.some((s) => s.state !== 'closed' && s.state !== 'left') && own.every((s) => s.state !== 'open');
  });
  const person = people.find((p) => p.id === shown);
  useFaces({
    kind: 'board',
    title: 'Who is next?',
    stations: board.stations.map(({ staff: id, now, queue }) => ({
      name: staffName(id, helpers),
      now: (now?.people ?? []).map(lettersOf).join('  '),
      next: (queue[0]?.people ?? []).map(lettersOf).join('  '),
    })),
  });
  return (
    <Step className="pt-4" data-testid="day-board">
      <div className="print:hidden">
        <header className="flex flex-wrap items-baseline gap-x-5 gap-y-2">
          <h1 className="text-2xl font-extrabold">Testing day</h1>
          <Time board={board} />
          <span className="ml-auto flex flex-wrap gap-x-2 gap-y-2">
            <Button look="plain" onClick={byName}>
              By name
            </Button>
            {readOut && (
              <Button look="line" onClick={readOut}>
                Read the signs to the room
              </Button>
            )}
            <ButtonLink look="plain" href="/test/day" hard>
              Plan
            </ButtonLink>
            <a
              href="/face"
              target="_blank"
              className="inline-flex min-h-12 items-center px-2 font-bold underline underline-offset-4"
            >
              Hall face
            </a>
            <Button look="line" hotkey="P" onClick={() => window.print()}>
              Print
            </Button>
          </span>
        </header>
        <Says {...props} newcomers={newcomers.length} />
        <div className="mt-3 grid gap-3 sm:grid-cols-2 lg:grid-flow-col lg:auto-cols-fr lg:grid-cols-none">
          {board.stations.map((station) => (
            <Station
              key={station.staff}
              station={station}
              name={staffName(station.staff, helpers)}
              may={staff.find((s) => s.id === station.staff)}
              mine={station.staff === mine}
              namesOf={namesOf}
              nowMs={day.nowMs}
              beHere={() => beAt(station.staff)}
              call={(of) => call(station.staff, of)}
              open={() => station.now && open(station.now.people, station.now.open)}
              notNow={(id) => day.note({ kind: 'not-now', personId: id })}
              paper={() =>
                station.now?.people.forEach((id) =>
                  day.note({ kind: 'paper', personId: id, tests: station.now?.open ?? [] }),
                )
              }
              close={() => day.note({ kind: 'close', staff: station.staff })}
              show={show}
            />
          ))}
        </div>
        <section aria-labelledby="seated" className="mt-3">
          <h2 id="seated" className="border-b-2 border-ink pb-1 text-lg font-bold">
            Seated: {board.waiting.length} waiting
            {finished.length > 0 && <span className="font-semibold">, {finished.length} done</span>}
          </h2>
          <ul className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(11rem,1fr))] gap-2">
            {people.map((p) => (
              <Seated
                key={p.id}
                person={p}
                name={nameOf(p.id)}
                board={board}
                left={day.state.left.has(p.id)}
                idle={board.idle.includes(p.id)}
                show={() => show(p.id)}
              />
            ))}
          </ul>
          {board.idle.length > 0 && (
            <p className="mt-2" role="status">
              <b>{namesOf(board.idle.slice(0, 3))}</b>
              {board.idle.length > 3 && ` and ${board.idle.length - 3} more`} sit a quarter of an hour:{' '}
              {daySets.meanwhile.join(', ')}?
            </p>
          )}
        </section>
      </div>
      <BoardPaper board={board} people={people} helpers={helpers} />
      <FootBar>
        {own && own.now === null && next && waits ? (
          <>
            <p className="min-h-14 content-center text-xl font-bold">
              {namesOf(next.people)} in {minutesWords(next.startS)}: {testsWords(next.tests)}
            </p>
            <Button
              look="line"
              onClick={() => {
                call(own.staff, next);
                open(next.people, next.tests);
              }}
            >
              Call now all the same
            </Button>
          </>
        ) : own && (own.now !== null || next) ? (
          <Button
            className="min-h-24 text-2xl whitespace-normal! max-sm:w-full sm:min-w-96 low:min-h-14 low:text-xl"
            hotkey="Space"
            onClick={go}
          >
            {own.now
              ? `${testWord(own.now.open[0] ?? '')}: ${namesOf(own.now.people)}`
              : `Call ${namesOf(next?.people ?? [])} to ${testsWords(next?.tests ?? [])}`}
          </Button>
        ) : (
          <p className="min-h-14 content-center text-xl font-bold">
            {board.waiting.length === 0
              ? 'Everybody here has had what was planned.'
              : `Nobody is left for ${staffName(mine, helpers)} now.`}
          </p>
        )}
        <label className="flex items-center gap-2 font-semibold">
          This tablet is with
          <select
            className="h-12 rounded-md border-2 border-ink bg-board px-3"
            value={mine}
            onChange={(event) => beAt(event.target.value)}
          >
            {board.stations.map(({ staff: id }) => (
              <option key={id} value={id}>
                {staffName(id, helpers)}
              </option>
            ))}
          </select>
        </label>
      </FootBar>
      {person && (
        <SittingSheet
          {...props}
          person={person}
          name={nameOf}
          close={() => show(null)}
          sitting={board.sittings.get(person.id) ?? []}
        />
      )}
    </Step>
  );
}

/** A call takes a few minutes; after so long the tablet may be gone. */
const silentMs = 10 * 60_000;

/** Who can be called so soon is called now; longer, and they rest or are somewhere else. */
const soonS = 45;

function Time({ board: { leftS, needsS } }: { board: Board }) {
  if (leftS === null) return null;
  return (
    <p className="text-lg" role="status" data-testid="minutes">
      <b className="num text-xl">{minutesWords(leftS)}</b> left, <b className="num text-xl">{minutesWords(needsS)}</b>{' '}
      needed
    </p>
  );
}

/** What is to be known before anybody is called: a hold, time that runs out, what nobody may run, the server away. */
function Says({ day, board, helpers, newcomers }: Props & { newcomers: number }) {
  const { state, note, others, away } = day;
  const overS = board.leftS === null ? 0 : board.needsS - board.leftS;
  const over = overS > 0;
  const closed = [...state.closed];
  const said = 'mt-2 flex flex-wrap items-center gap-x-4 gap-y-2 border-l-8 bg-board px-4 py-2 font-semibold';
  return (
    <>
      {state.held && (
        <div role="alert" className={`${said} border-stop text-lg`}>
          <SignMark sign="stop" /> Hold: every station stands. Only what is seated until you let go.
          <Button look="line" onClick={() => note({ kind: 'let-go' })}>
            Let go: all is well
          </Button>
        </div>
      )}
      {state.hall.warmUp !== true && (
        <div className={`${said} border-rule`}>
          Warm up together: five minutes of easy walking and arm circles, before strength and speed.
          <Button look="line" onClick={() => note({ kind: 'conditions', put: { warmUp: true } })}>
            The room is warm
          </Button>
        </div>
      )}
      {board.unstaffed.length > 0 && (
        <div role="status" className={`${said} border-watch`}>
          Nobody here may spot or run {testsWords(board.unstaffed)}: tick somebody under Hall, Helpers, or open their
          station.
        </div>
      )}
      {over && board.dropNext && (
        <div role="status" className={`${said} border-watch`} data-testid="drop-next">
          {minutesWords(overS)} too little. Left out next: {board.dropNext.words}.
          <Button look="line" onClick={() => board.dropNext && note({ kind: 'drop', drop: board.dropNext.id })}>
            Leave it out
          </Button>
        </div>
      )}
      {over && !board.dropNext && (
        <div role="status" className={`${said} border-watch`}>
          {minutesWords(overS)} too little, and nothing more may be left out: four positions, the chair stand, the other
          side and the rests stay. The rest is for the next class day.
        </div>
      )}
      {state.dropped.size > 0 && (
        <div className={`${said} border-rule`}>
          Left out:{' '}
          {daySets.drops
            .filter((d) => state.dropped.has(d.id))
            .map((d) => d.words)
            .join('; ')}
          .
          <Button
            look="plain"
            onClick={() => {
              const last = [...state.dropped].at(-1);
              if (last !== undefined) note({ kind: 'keep', drop: last });
            }}
          >
            Put the last one back
          </Button>
        </div>
      )}
      {closed.map((id) => (
        <div key={id} className={`${said} border-rule`}>
          {staffName(id, helpers)} is closed; whoever was in that queue goes to the others.
          <Button look="plain" onClick={() => note({ kind: 'open', staff: id })}>
            Open again
          </Button>
        </div>
      ))}
      {newcomers > 0 && (
        <div role="status" className={`${said} border-rule`}>
          {newcomers === 1 ? 'Somebody' : `${newcomers} people`} sat down since this page came.
          <Button look="line" onClick={() => window.location.reload()}>
            Take them up
          </Button>
        </div>
      )}
      {away && (
        <p role="status" className={`${said} border-watch`}>
          The server does not answer. Go on: what is called and measured here is kept in this browser and goes out by
          itself.
        </p>
      )}
      {others > 0 && !away && (
        <p className="mt-2 text-sm">
          {others === 1 ? 'Another board is' : `${others} other boards are`} open on this day; all show the same within
          two seconds.
        </p>
      )}
    </>
  );
}

interface StationProps {
  readonly station: StationNow;
  readonly name: string;
  readonly may: DayStaff | undefined;
  readonly mine: boolean;
  readonly namesOf: (ids: readonly string[]) => string;
  readonly nowMs: number;
  readonly beHere: () => void;
  readonly call: (of: Call) => void;
  readonly open: () => void;
  readonly notNow: (id: string) => void;
  readonly paper: () => void;
  readonly close: () => void;
  readonly show: (id: string) => void;
}

/** One station as half a court: who is there now, next and then. */
function Station({ station, name, may, mine, namesOf, nowMs, call, open, notNow, paper, close }: StationProps) {
  const { now, queue } = station;
  const [next, then] = queue;
  return (
    <section
      aria-label={name}
      data-station={station.staff}
      className={`relative flex min-w-0 flex-col bg-board px-4 pt-1 pb-7 ${mine ? 'border-4 border-ink' : 'border-2 border-ink'}`}
    >
      <div className="flex items-center gap-x-3">
        <h2 className="min-w-0 flex-1 truncate text-xl font-extrabold lg:flex-none">{name}</h2>
        <p className="min-w-0 flex-1 truncate max-lg:hidden">{may && mayWords(may)}</p>
        <Button look="plain" className="min-h-11 shrink-0" onClick={close} aria-label={`Close ${name}`}>
          Close
        </Button>
      </div>
      <div className="min-h-28 border-t-2 border-ink pt-1.5">
        {now ? (
          <>
            <p className="text-lg">
              Now{nowMs > now.wallMs + 30_000 && `, for ${minutesWords((nowMs - now.wallMs) / 1000)}`}:{' '}
              <b>{testsWords(now.open)}</b>
            </p>
            <p className="text-3xl leading-tight font-extrabold" data-now>
              {namesOf(now.people)}
            </p>
            {!mine && nowMs - now.wallMs > silentMs && (
              <p role="status" className="font-semibold">
                Nothing came from there for {minutesWords((nowMs - now.wallMs) / 1000)}: test here, take it from paper,
                or close the station; its queue goes to the others.
              </p>
            )}
            <div className="mt-1.5 flex flex-wrap gap-2">
              {!mine && (
                <Button look="line" onClick={open}>
                  Test here
                </Button>
              )}
              {now.people.map((id) => (
                <Button key={id} look="line" onClick={() => notNow(id)}>
                  Not now{now.people.length > 1 && `: ${namesOf([id])}`}
                </Button>
              ))}
              <Button look="line" onClick={paper}>
                On paper
              </Button>
            </div>
          </>
        ) : (
          <>
            <p className="text-lg">Free{next && next.startS > soonS && ` for ${minutesWords(next.startS)}`}</p>
            {next && next.startS <= soonS && !mine && (
              <Button className="mt-2 min-h-16 whitespace-normal!" onClick={() => call(next)}>
                Call {namesOf(next.people)}
              </Button>
            )}
            {!next && <p className="mt-2 font-semibold">Nobody is left for this station.</p>}
          </>
        )}
      </div>
      <ol className="mt-1">
        {[next, then].map(
          (of, i) =>
            of && (
              <li key={i === 0 ? 'next' : 'then'} className="flex min-h-12 items-center gap-3 border-t border-rule">
                <span
                  aria-hidden
                  className={`size-5 shrink-0 rounded-full border-[3px] border-ink ${i === 0 ? 'bg-ink' : ''}`}
                />
                <span className="min-w-0">
                  <span className="sr-only">{i === 0 ? 'Next: ' : 'Then: '}</span>
                  <b className="text-lg" data-next={i === 0 || undefined}>
                    {namesOf(of.people)}
                  </b>{' '}
                  <span>{testsWords(of.tests)}</span>
                </span>
                {of.startS > soonS && <span className="ml-auto shrink-0">in {minutesWords(of.startS)}</span>}
              </li>
            ),
        )}
        {queue.length > 2 && <li className="border-t border-rule pt-0.5 text-sm">and {queue.length - 2} more calls</li>}
      </ol>
      <span
        aria-hidden
        className="absolute bottom-0 left-1/2 h-6 w-12 -translate-x-1/2 rounded-t-full border-2 border-b-0 border-ink"
      />
    </section>
  );
}

/** Somebody on their chair: how far they are; hatched with the reason where they may not start anything. */
function Seated({
  person,
  name,
  board,
  left,
  idle,
  show,
}: {
  person: StationPerson;
  name: string;
  board: Board;
  left: boolean;
  idle: boolean;
  show: () => void;
}) {
  const sitting = board.sittings.get(person.id) ?? [];
  const over = sitting.filter((s) => s.state !== 'open');
  const closed = sitting.filter((s) => s.state === 'closed');
  const held = closed.length > 0 && closed.length === sitting.length ? (closed[0]?.why ?? null) : null;
  const at = board.stations.find((s) => s.now?.people.includes(person.id));
  const words = left
    ? 'left'
    : held !== null
      ? held.split(':')[0]
      : at
        ? 'at a station'
        : `${over.length} of ${sitting.length}${over.length === sitting.length ? ', done' : ''}`;
  return (
    <li>
      <button
        type="button"
        data-listed-person={person.id}
        data-person-name={person.name}
        data-held={held !== null || undefined}
        onClick={show}
        className={`flex min-h-16 w-full cursor-pointer flex-col items-start justify-center rounded-md border-2 border-ink px-3 text-left ${
          held !== null ? 'hatched border-dashed' : 'bg-board'
        } ${idle ? 'border-4' : ''}`}
      >
        <b className="bg-board px-0.5 text-lg">{name}</b>
        <span className="flex items-center gap-1.5 bg-board px-0.5">
          {held !== null && <SignMark sign="stop" />}
          {words}
        </span>
      </button>
    </li>
  );
}
