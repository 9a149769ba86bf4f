import { Heading } from '../touch/heading';
import Link from 'next/link';
import type { ComponentProps } from 'react';
import { FirstStep } from './firstStep';
import { shortLengthWords, unitsOf } from '../../core/math/units';
import type { Place } from '../../core/shapes/person';
import { StateMark } from '../drawing/stateMark';
import { RetestWeeks } from '../retest/weeks';
import type { RegisterLine, RegisterState } from '../../core/view/registerLine';
import { ButtonLink } from '../touch/button';
import { states, stateOfLine } from '../states';
import { dayWords, longDay, newestWords } from '../words';
import { StillReadPage } from '../frame/stillRead';
import { SeatGroup } from './seatGroup';

interface Props {
  readonly today: string;
  readonly place: Place;
  readonly lines: readonly RegisterLine[];
  /** Whose line is still from before. */
  readonly behind: number;
  /** Day of the newest copy of the register where it is over a week old, `never` where there is none; else `null`. */
  readonly copyToMiss: string | null;
  /** How many were put into today's sitting. */
  readonly sitting: number;
  /** Groups that come today. */
  readonly groups: readonly { readonly id: string; readonly name: string; readonly people: number }[];
  /** Puts a whole group into today's sitting. */
  readonly seat: (groupId: string) => Promise<void>;
  /** Tells of a hall of which nobody has told yet; `null` where it is known. */
  readonly tellOfHall: ComponentProps<typeof FirstStep>['save'] | null;
}

const notFree: readonly RegisterState[] = ['not-today', 'ask-first', 'to-ask', 'being-read'];

/** Who must not be tested, who is due, what was left open: the morning read at arm's length. */
export function TodayScreen({ today, place, lines, behind, copyToMiss, sitting, groups, seat, tellOfHall }: Props) {
  const asked = lines.filter((p) => p.state === 'not-today' || p.state === 'ask-first');
  const toAsk = lines.filter((p) => p.state === 'to-ask');
  const free = lines.filter((p) => !notFree.includes(p.state));
  const due = free
    .filter((p) => p.dueOn === null || p.dueOn <= today)
    .sort((a, b) => (a.dueOn ?? '').localeCompare(b.dueOn ?? ''));
  const waiting = free.filter((p) => p.waitingCodes.length > 0 && !due.includes(p));
  const broken = free.filter((p) => p.toRepeat);
  const lapsing = lines
    .filter((p) => p.lapsesOn !== null)
    .sort((a, b) => (a.lapsesOn ?? '').localeCompare(b.lapsesOn ?? ''));
  const toComplete = lines.filter((p) => p.toComplete > 0);
  if (tellOfHall && lines.length === 0) return <FirstStep place={place} save={tellOfHall} />;
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-4 pt-5">
        <div>
          <h1 className="text-2xl font-extrabold">{longDay(today)}</h1>
          <p className="text-ink-soft">
            {[place.name, place.town].filter((w) => w !== '').join(', ')} · {lines.length}{' '}
            {lines.length === 1 ? 'person' : 'people'} in the register
            {sitting > 0 && `, ${sitting} in today’s sitting`}
          </p>
        </div>
        <div className="flex flex-wrap gap-3">
          {groups.map((g) => (
            <SeatGroup key={g.id} group={g} seat={seat} />
          ))}
          <ButtonLink look="line" href="/people/walk-in" hotkey="W">
            Walk-in
          </ButtonLink>
          <ButtonLink look={lines.length === 0 ? 'main' : 'line'} href="/people/new" hotkey="N">
            Add a person
          </ButtonLink>
          {lines.length > 0 && (
            <ButtonLink look="line" href="/test/day" hotkey="D">
              Plan the day
            </ButtonLink>
          )}
          {lines.length > 0 && (
            <ButtonLink href="/test" hard hotkey="T">
              Start testing
            </ButtonLink>
          )}
        </div>
      </div>
      {behind > 0 && <StillReadPage behind={behind} />}
      {copyToMiss !== null && (
        <p role="status" className="my-2 border-l-8 border-watch bg-board px-4 py-2">
          {copyToMiss === 'never'
            ? 'There is no copy of this register yet.'
            : `The newest copy of this register is of ${dayWords(copyToMiss)}.`}{' '}
          One is made each day while Ready Stool runs: look whether the disk is full, or make one with{' '}
          <code>npm run backup</code>.
        </p>
      )}
      {lines.length === 0 ? (
        <div className="mt-8 max-w-2xl border-l-8 border-squat bg-board p-5 text-lg">
          <p className="font-bold">A first day in this hall.</p>
          <p className="mt-2">
            Add one person, say “Odile Brandvoll, 77, seat {shortLengthWords(43, unitsOf[place.units].length)}”. The
            chair stand test takes thirty seconds; the score, the level and the date of the retest follow from it.
          </p>
        </div>
      ) : (
        <div className="mt-5 grid gap-x-12 gap-y-6 lg:grid-cols-[1.5fr_1fr]">
          <section aria-labelledby="due">
            <Heading id="due">Due for a test</Heading>
            {due.length === 0 && <p className="py-3">Nobody is due today.</p>}
            <ul>
              {due.slice(0, 5).map((p) => (
                <li key={p.id} className="flex min-h-12 flex-wrap items-center gap-x-3 border-b border-rule">
                  <StateMark state={p.dueOn ? 'due' : 'not-tested'} silent />
                  <Link href={`/people/${p.id}`} className="flex min-h-11 min-w-44 items-center font-bold">
                    {p.name}
                  </Link>
                  <span className="text-ink-soft">
                    {p.dueOn ? `due since ${dayWords(p.dueOn)}, last time ${newestWords(p.newest)}` : 'not tested yet'}
                  </span>
                  <a
                    href={`/test?person=${p.id}`}
                    className="ml-auto flex min-h-11 items-center font-bold text-squat underline underline-offset-4"
                    aria-label={`Test ${p.name}`}
                  >
                    Test
                  </a>
                </li>
              ))}
            </ul>
            {due.length > 5 && <More href="/retest" words={`and ${due.length - 5} more`} />}
            <div className="mt-3">
              <Heading id="weeks">Retests by week</Heading>
              <div className="pt-2">
                <RetestWeeks dueOn={lines.flatMap((p) => p.dueOn ?? [])} today={today} />
              </div>
            </div>
          </section>
          <section aria-labelledby="before">
            <Heading id="before">Before anyone starts</Heading>
            <ul>
              {asked.slice(0, 6).map((p) => (
                <li key={p.id} className="flex min-h-12 flex-wrap items-center gap-x-3 border-b border-rule">
                  <StateMark state={stateOfLine(p.state)} silent />
                  <Link href={`/people/${p.id}`} className="flex min-h-11 min-w-40 items-center font-bold">
                    {p.name}
                  </Link>
                  <span>{states[stateOfLine(p.state)].word}</span>
                </li>
              ))}
              {asked.length > 6 && <More href="/people" words={`and ${asked.length - 6} more held back`} />}
              {toAsk.slice(0, 3).map((p) => (
                <li key={p.id} className="flex min-h-12 flex-wrap items-center gap-x-3 border-b border-rule">
                  <StateMark state="not-asked" silent />
                  <Link href={`/people/${p.id}/readiness`} className="flex min-h-11 min-w-40 items-center font-bold">
                    {p.name}
                  </Link>
                  <span>{states['not-asked'].word}</span>
                </li>
              ))}
              {toAsk.length > 3 && <More href="/people" words={`and ${toAsk.length - 3} more not asked yet`} />}
              <li className="flex min-h-12 flex-wrap items-center gap-x-3 border-b border-rule">
                <StateMark state="ready" silent />
                <span>
                  {free.length} {asked.length + toAsk.length > 0 ? 'others ' : ''}may be tested
                </span>
              </li>
            </ul>
            <div className="mt-6">
              <Heading id="open">Left open</Heading>
              <ul>
                {broken.slice(0, 3).map((p) => (
                  <Open key={p.id} name={p.name} words="a test to be repeated" href={`/people/${p.id}`} />
                ))}
                {lapsing.slice(0, 3).map((p) => (
                  <Open
                    key={p.id}
                    name={p.name}
                    words={`an answer lapses ${dayWords(p.lapsesOn ?? '')}`}
                    href={`/people/${p.id}/readiness`}
                  />
                ))}
                {toComplete.slice(0, 3).map((p) => (
                  <Open key={p.id} name={p.name} words="the intake to complete" href={`/people/${p.id}/intake`} />
                ))}
                {waiting.slice(0, 4).map((p) => (
                  <Open
                    key={p.id}
                    name={p.name}
                    words={
                      p.waitingCodes.length === 1 ? `1 level to confirm` : `${p.waitingCodes.length} levels to confirm`
                    }
                    href={`/people/${p.id}/levels`}
                  />
                ))}
              </ul>
              {waiting.length > 4 && (
                <More href="/levels" words={`and ${waiting.length - 4} more with levels to confirm`} />
              )}
              {waiting.length + broken.length + lapsing.length + toComplete.length === 0 && (
                <p className="py-3">Nothing.</p>
              )}
            </div>
          </section>
        </div>
      )}
    </>
  );
}

function More({ href, words }: { href: string; words: string }) {
  return (
    <Link href={href} className="flex min-h-11 items-center font-semibold text-squat underline underline-offset-4">
      {words}
    </Link>
  );
}

function Open({ name, words, href }: { name: string; words: string; href: string }) {
  return (
    <li className="border-b border-rule">
      <Link href={href} className="flex min-h-12 items-center gap-3">
        <b className="min-w-40">{name}</b>
        <span>{words}</span>
      </Link>
    </li>
  );
}
