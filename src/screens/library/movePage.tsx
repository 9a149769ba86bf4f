import { Heading } from '../touch/heading';
import Link from 'next/link';
import { formChecks } from '../../catalogue/form-checks/formChecks';
import { checksFirst, type Coached } from '../../core/level/coaching';
import { setPatterns } from '../../core/shapes/facts';
import { placeFor, usualHeightCm, withHands } from '../../core/figure/held';
import { sentenceIn } from '../../core/math/units';
import { loadedJoints, type Ladder, type LevelRules, type Rung } from '../../core/shapes/ladder';
import type { FormCheck, FormCheckCode, Move } from '../../core/shapes/move';
import type { RungPoses } from '../../core/shapes/pose';
import type { UnitSystem } from '../../core/shapes/person';
import { CourtLine, lookOf } from '../drawing/patterns';
import { SolvedFigure } from '../drawing/solvedFigure';
import { SignMark } from '../drawing/stateMark';
import { needWords } from './ladderTables';

interface Props {
  readonly rules: LevelRules;
  readonly ladder: Ladder;
  readonly rung: Rung;
  readonly move: Move | null;
  /** How it looks; of a usual body. */
  readonly poses: RungPoses | null;
  /** How it is coached in this hall, or by the instructor of this device. */
  readonly coached: readonly Coached[];
  readonly units: UnitSystem;
}

const link = 'inline-flex min-h-11 items-center text-squat underline underline-offset-4';

/** All there is of one rung: how it is taught, what to look at, what it trains and loads, what it asks for and what closes it. */
export function MovePage({ rules, ladder, rung, move, poses, coached, units }: Props) {
  const { pattern, rungs } = ladder;
  const closing = rules.limiters.filter((row) =>
    row.closes[pattern]?.some(([from, to]) => from <= rung.rung && rung.rung <= to),
  );
  const asks = rung.needs.map((need) => sentenceIn(needWords(need, rules.measured), units));
  const at = (by: number) => (setPatterns.has(pattern) ? undefined : rungs.find((r) => r.rung === rung.rung + by));
  return (
    <div className="pt-5">
      <p className="flex flex-wrap gap-x-6">
        <Link href="/library" className={link}>
          Library
        </Link>
        {[at(-1), at(1)].map(
          (other, i) =>
            other && (
              <Link key={other.rung} href={`/library/moves/${pattern}${other.rung}`} className={link}>
                {i === 0 ? 'Easier' : 'Harder'}: {other.name}
              </Link>
            ),
        )}
      </p>
      <h1 className="flex flex-wrap items-baseline gap-x-4 text-2xl font-extrabold">
        <span className={`num ${lookOf(pattern).words}`}>
          {pattern}
          {rung.rung}
        </span>
        {move?.name ?? rung.name}
      </h1>
      <p className="text-lg">{sentenceIn(rung.does, units)}</p>
      <CourtLine pattern={pattern} />
      <div className="mt-4 grid gap-x-12 gap-y-6 lg:grid-cols-[1.1fr_1fr]">
        <div>
          {poses && (
            <SolvedFigure
              poses={withHands(poses, rung.freest ?? rung.support?.is ?? '0')}
              place={placeFor(usualHeightCm, { rung: rung.rung, targetCm: null })}
              pattern={pattern}
              title={`${move?.name ?? rung.name}: start and end, from the ${poses.view === 'above' ? 'top' : poses.view}`}
              className="mb-4 h-52 w-full"
            />
          )}
          {move && <Taught move={move} coached={coached} />}
          {rung.within && (
            <section aria-labelledby="within" className="mt-5">
              <Heading id="within">How far, least first</Heading>
              <ol className="mt-1 list-decimal pl-6">
                {rung.within.map(({ words }) => (
                  <li key={words} className="py-1">
                    {sentenceIn(words, units)}
                  </li>
                ))}
              </ol>
            </section>
          )}
        </div>
        <div className="space-y-6">
          {move && <LookAt move={move} checks={checksFirst(move.checks, coached)} />}
          <section aria-labelledby="loads">
            <Heading id="loads">What works and what is loaded</Heading>
            {move && <p className="mt-2 first-letter:uppercase">{move.trains.join(', ')}.</p>}
            <ul className="mt-2 flex flex-wrap gap-x-6 gap-y-1">
              {loadedJoints.map((joint) => (
                <li key={joint}>
                  {joint} <b>{rung.loads[joint] ?? 'none'}</b>
                </li>
              ))}
            </ul>
          </section>
          <section aria-labelledby="asks">
            <Heading id="asks">What it asks for</Heading>
            <p className="mt-2 first-letter:uppercase">
              {asks.length === 0 ? 'Nothing beyond the rungs under it.' : `${asks.join('; ')}.`}
            </p>
            <h3 className="mt-3 font-bold">What closes it</h3>
            {closing.length === 0 ? (
              <p>Nothing that is known of a person.</p>
            ) : (
              <p className="first-letter:uppercase">{[...new Set(closing.map((row) => row.title))].join('; ')}.</p>
            )}
          </section>
        </div>
      </div>
      <p className="mt-6 text-sm text-ink-soft">
        Common practice, no published source. What a licensed professional says of somebody comes first.
      </p>
    </div>
  );
}

/** The words an instructor says, in the order they are said. */
function Taught({ move, coached }: { move: Move; coached: readonly Coached[] }) {
  const lines = [
    ['Start', move.start],
    ['There', move.down],
    ['Back', move.up],
    ['Breath', move.breath],
    ['Tempo', move.tempo],
  ] as const;
  return (
    <section aria-labelledby="taught">
      <Heading id="taught">How it is taught</Heading>
      <dl className="mt-1">
        {lines
          .filter(([, words]) => words !== '')
          .map(([name, words]) => (
            <div key={name} className="grid grid-cols-[5.5rem_1fr] items-baseline gap-3 border-b border-rule py-2.5">
              <dt className="font-bold">{name}</dt>
              <dd className="text-xl font-semibold first-letter:uppercase">{words}</dd>
            </div>
          ))}
      </dl>
      {coached.length > 0 && (
        <>
          <h3 className="mt-4 font-bold">Coached here</h3>
          <ul className="mt-1 space-y-1">
            {coached.map(({ question, option }) => (
              <li key={question.id}>
                {question.title}: <b>{option.name.toLowerCase()}</b>. “{option.cue}”
              </li>
            ))}
          </ul>
          <p>
            <Link href="/library/coaching" className={link}>
              Who says what, and how to choose otherwise
            </Link>
          </p>
        </>
      )}
      {move.note !== undefined && (
        <p className="mt-3">
          <b>Mind:</b> {move.note}.
        </p>
      )}
    </section>
  );
}

/** The checks that matter most, the first one first, and the one that stops anything. */
function LookAt({ move, checks }: { move: Move; checks: readonly FormCheckCode[] }) {
  const own = checks.flatMap((code) => formChecks.find((c) => c.code === code) ?? []);
  const stops = formChecks.filter((c) => c.stopSign === true);
  return (
    <section aria-labelledby="look">
      <Heading id="look">{`What to look at, from the ${move.lookFrom.join(', then the ')}`}</Heading>
      <ul>
        {[...own, ...stops].map((check, i) => (
          <li key={check.code} className="flex gap-3 border-b border-rule py-2">
            {check.stopSign ? <SignMark sign="stop" /> : <span className="num w-5 text-center font-bold">{i + 1}</span>}
            <span className="min-w-0 flex-1">
              <b className="inline-block first-letter:uppercase">{check.seen}</b>
              {check.from && !move.lookFrom.includes(check.from) && ` (from the ${check.from})`}
              <span className="block">
                “{check.cue}” Then: {check.action}.
              </span>
            </span>
            <span className="shrink-0">{endsWords(check)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

const endsWords = ({ ends, endsWith }: FormCheck): string =>
  ends === 'yes' ? 'ends the set' : ends === 'stays' ? 'ends it if it stays' : endsWith ? 'ends it for some' : '';
