import Link from 'next/link';
import type { ReactNode } from 'react';
import type { Place } from '../../core/shapes/person';
import { StateMark } from '../drawing/stateMark';
import { RetestWeeks } from '../retest/weeks';
import type { PersonView } from '../../core/personView';
import { ButtonLink } from '../touch/button';
import { dayWords, longDay, readinessWords, standsWords } from '../words';
import { OpenTests } from './openTests';

interface Props {
  readonly today: string;
  readonly place: Place;
  readonly people: readonly PersonView[];
}

/** Who must not be tested, who is due, what was left open: the morning read at arm's length. */
export function TodayScreen({ today, place, people }: Props) {
  const held = people.filter((p) => p.intake.readiness === 'not-today' || p.intake.readiness === 'ask-first');
  const free = people.filter((p) => !held.includes(p));
  const due = free
    .filter((p) => p.due === null || p.due.on <= today)
    .sort((a, b) => (a.due?.on ?? '').localeCompare(b.due?.on ?? ''));
  const waiting = free.filter((p) => p.levelWaiting !== null && !due.includes(p));
  const broken = free.filter((p) => p.path.next.words.startsWith('Repeat'));
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-4 pt-5">
        <div>
          <h1 className="text-2xl font-extrabold">{longDay(today)}</h1>
          <p className="text-ink-soft">
            {[place.name, place.town].filter((w) => w !== '').join(', ')} · {people.length}{' '}
            {people.length === 1 ? 'person' : 'people'} in the register
          </p>
        </div>
        <div className="flex flex-wrap gap-3">
          <ButtonLink look={people.length === 0 ? 'main' : 'line'} href="/people/new" hotkey="N">
            Add a person
          </ButtonLink>
          {people.length > 0 && (
            <ButtonLink href="/test" hard hotkey="T">
              Start testing
            </ButtonLink>
          )}
        </div>
      </div>
      {people.length === 0 ? (
        <div className="mt-8 max-w-2xl border-l-8 border-squat bg-board p-5 text-lg">
          <p className="font-bold">A first day in this hall.</p>
          <p className="mt-2">
            Add one person, say “Odile Brandvoll, 77, seat 43 cm”. The chair stand test takes thirty seconds; the score,
            the level and the date of the retest follow from it.
          </p>
        </div>
      ) : (
        <div className="mt-5 grid gap-x-12 gap-y-6 lg:grid-cols-[1.5fr_1fr]">
          <section aria-labelledby="due">
            <Heading id="due">Due for a test</Heading>
            {due.length === 0 && <p className="py-3">Nobody is due today.</p>}
            <ul>
              {due.slice(0, 5).map((p) => (
                <li key={p.person.id} className="flex min-h-12 flex-wrap items-center gap-x-3 border-b border-rule">
                  <StateMark mark={p.due ? 'watch' : 'unknown'} silent />
                  <Link href={`/people/${p.person.id}`} className="flex min-h-11 min-w-44 items-center font-bold">
                    {p.person.name}
                  </Link>
                  <span className="text-ink-soft">
                    {p.due ? `due since ${dayWords(p.due.on)}, last time ${lastWords(p)}` : 'not tested yet'}
                  </span>
                  <a
                    href={`/test?person=${p.person.id}`}
                    className="ml-auto flex min-h-11 items-center font-bold text-squat underline underline-offset-4"
                    aria-label={`Test ${p.person.name}`}
                  >
                    Test
                  </a>
                </li>
              ))}
            </ul>
            {due.length > 5 && (
              <Link
                href="/retest"
                className="flex min-h-11 items-center font-semibold text-squat underline underline-offset-4"
              >
                and {due.length - 5} more
              </Link>
            )}
            <div className="mt-3">
              <Heading id="weeks">Retests by week</Heading>
              <div className="pt-2">
                <RetestWeeks dueOn={free.flatMap((p) => p.due?.on ?? [])} today={today} />
              </div>
            </div>
          </section>
          <section aria-labelledby="before">
            <Heading id="before">Before anyone starts</Heading>
            <ul>
              {held.map((p) => (
                <li key={p.person.id} className="flex min-h-12 flex-wrap items-center gap-x-3 border-b border-rule">
                  <StateMark mark={p.intake.readiness === 'not-today' ? 'stop' : 'watch'} silent />
                  <Link href={`/people/${p.person.id}`} className="flex min-h-11 min-w-40 items-center font-bold">
                    {p.person.name}
                  </Link>
                  <span>{readinessWords[p.intake.readiness]}</span>
                </li>
              ))}
              <li className="flex min-h-12 flex-wrap items-center gap-x-3 border-b border-rule">
                <StateMark mark="ready" silent />
                <span>
                  {free.length} {held.length > 0 ? 'others ' : ''}may be tested
                </span>
              </li>
            </ul>
            <div className="mt-6">
              <Heading id="open">Left open</Heading>
              <OpenTests />
              <ul>
                {broken.map((p) => (
                  <Open key={p.person.id} view={p} words="a test to be repeated" href={`/people/${p.person.id}`} />
                ))}
                {waiting.slice(0, 5).map((p) => (
                  <Open
                    key={p.person.id}
                    view={p}
                    words={`level ${p.levelWaiting?.code ?? ''} to confirm`}
                    href={`/people/${p.person.id}/levels`}
                  />
                ))}
              </ul>
              {waiting.length > 5 && (
                <Link
                  href="/levels"
                  className="flex min-h-11 items-center font-semibold text-squat underline underline-offset-4"
                >
                  and {waiting.length - 5} more levels
                </Link>
              )}
              {waiting.length + broken.length === 0 && <p className="py-3">Nothing.</p>}
            </div>
          </section>
        </div>
      )}
    </>
  );
}

function Heading({ id, children }: { id: string; children: ReactNode }) {
  return (
    <h2 id={id} className="border-b-2 border-ink pb-1 text-lg font-bold">
      {children}
    </h2>
  );
}

function lastWords({ sittings }: PersonView): string {
  const latest = sittings[0];
  return latest ? standsWords(latest.attempt.trial) : '–';
}

function Open({ view, words, href }: { view: PersonView; words: string; href: string }) {
  return (
    <li className="border-b border-rule">
      <Link href={href} className="flex min-h-12 items-center gap-3">
        <b className="min-w-40">{view.person.name}</b>
        <span>{words}</span>
      </Link>
    </li>
  );
}
