import type { ReactNode } from 'react';
import { painsToAsk, type Known } from '../../core/intake/known';
import { sentencesIn, shortLengthWords, unitsOf } from '../../core/math/units';
import type { UnitSystem } from '../../core/shapes/person';
import type { Step } from '../../core/steps';
import { StateMark } from '../drawing/stateMark';
import { lookOf } from '../drawing/patterns';
import { levelWords } from '../levels/levelWords';
import { levelsOfToday } from '../../core/level/standing';
import { waitWords } from '../levels/waitWords';
import { Stool } from '../drawing/stool';
import { leadOf, type Lead } from '../scores/lead';
import { changeWords, ScoreRail, resultMark, shortly } from '../scores/rail';
import { resultWords } from '../scores/testWords';
import type { AttemptView, MovedAway } from '../../core/measure/attempt';
import { ToDecide, type Correct } from './toDecide';
import { countedIn } from '../../core/measure/trial';
import { protocolById } from '../../catalogue/protocols';
import type { Standing } from '../../core/level/standing';
import type { TrainedPattern } from '../../core/train/past';
import type { PersonView } from '../../core/view/personView';
import { Training } from '../class/training';
import { ButtonLink } from '../touch/button';
import { states, stateOfReadiness } from '../states';
import { dayWords, placeWords, sectionWords, stopReasonWords } from '../words';
import { PersonHead, personHrefs } from './personHead';

const nextButton: Readonly<Record<Step, string>> = {
  intake: 'See what is noted',
  test: 'Set up the test',
  scores: 'See the score',
  levels: 'See the levels',
  train: 'Train',
  retest: 'See the retest',
};

/** One person: the next thing first, then where they stand, what they do, what there was. */
export function PersonScreen({
  view,
  correct,
  training = [],
}: {
  view: PersonView;
  correct: Correct;
  training?: readonly TrainedPattern[];
}) {
  const { person, known, path, otherAttempts } = view;
  const levels = sentencesIn(view.levels, view.units);
  const hrefs = personHrefs(person.id, path.next);
  const lead = leadOf(view);
  const held = path.steps.some((s) => s.step === 'test' && s.state === 'blocked');
  return (
    <>
      <PersonHead {...view} here={null} />
      <section
        aria-label="Next"
        className={`mt-5 flex flex-wrap items-center gap-5 border-l-8 bg-board p-4 ${held ? 'border-stop' : 'border-squat'}`}
      >
        {held && <StateMark state="held" silent />}
        <p className="text-xl font-bold first-letter:uppercase" data-testid="next">
          {path.next.words}
        </p>
        <div className="ml-auto flex flex-wrap gap-3">
          {path.next.step !== 'test' && !held && (
            <ButtonLink look="line" href={hrefs.test} hard hotkey="T">
              Test
            </ButtonLink>
          )}
          <ButtonLink href={hrefs[path.next.step]} hard={path.next.step === 'test'} hotkey="N" className="min-w-52">
            {path.next.at === 'questions' ? 'Ask the questions' : nextButton[path.next.step]}
          </ButtonLink>
        </div>
      </section>
      <ToDecide personId={person.id} atOnce={view.atOnce} attempts={otherAttempts} correct={correct} />
      <div className="mt-6 grid gap-10 lg:grid-cols-[1.7fr_1fr]">
        <section aria-labelledby="stand">
          <Heading
            id="stand"
            more={
              lead && (
                <ButtonLink look="plain" href={hrefs.scores}>
                  All about the score
                </ButtonLink>
              )
            }
          >
            {lead?.protocol.title ?? 'Results'}
          </Heading>
          {lead ? (
            <Latest {...lead} />
          ) : (
            <p className="py-4">
              No result yet. The first test takes two minutes; its score, level and retest date follow from it.
            </p>
          )}
          {lead && <Results lead={lead} units={view.units} />}
          <Others attempts={otherAttempts} movedAway={view.movedAway} />
          <div className="flex flex-wrap gap-x-4">
            <ButtonLink look="plain" href={`/people/${person.id}/paper`}>
              Enter a result from paper
            </ButtonLink>
            <ButtonLink look="plain" href={`/people/${person.id}/intake`}>
              Change the intake
            </ButtonLink>
            <ButtonLink look="plain" href={`/people/${person.id}/tests`}>
              Tests open today
            </ButtonLink>
            <ButtonLink look="plain" href={`/people/${person.id}/record`}>
              All that is noted
            </ButtonLink>
          </div>
        </section>
        <section aria-labelledby="does">
          <Heading
            id="does"
            more={
              <ButtonLink look="plain" href={hrefs.levels}>
                Why these
              </ButtonLink>
            }
          >
            Levels
          </Heading>
          <LevelLine view={view} />
          <Training personId={person.id} patterns={training} />
          <Readiness known={known} personId={person.id} />
          {levels.cautions.length > 1 && (
            <>
              <Heading id="mind">Mind</Heading>
              <ul className="mt-2 list-disc space-y-2 pl-5" aria-labelledby="mind">
                {levels.cautions.slice(0, -1).map((c) => (
                  <li key={c.text}>{c.text}</li>
                ))}
              </ul>
            </>
          )}
        </section>
      </div>
    </>
  );
}

function Readiness({ known, personId }: { known: Known; personId: string }) {
  const { outcome, asked, reasons, limits, until } = known.readiness;
  const state = stateOfReadiness(outcome, asked === 'current');
  const ask = painsToAsk(known);
  return (
    <>
      <Heading
        id="may"
        more={
          <ButtonLink look="plain" href={`/people/${personId}/readiness`}>
            Questions and answers
          </ButtonLink>
        }
      >
        Readiness
      </Heading>
      <ul className="mt-2 space-y-2" aria-labelledby="may">
        <li className="flex gap-3">
          <StateMark state={state} silent />
          <span>
            <b>{states[state].word}</b>
            {asked === 'current' &&
              until !== null &&
              outcome !== 'not-today' &&
              `, questions hold until ${dayWords(until)}`}
          </span>
        </li>
        {reasons.map((r) => (
          <li key={r.id} className="pl-8 first-letter:uppercase">
            {r.text}. {r.nextStep}
          </li>
        ))}
        {limits.map((line) => (
          <li key={line} className="pl-8">
            {line}
          </li>
        ))}
        {ask.map((p) => (
          <li key={`${p.joint}${p.side ?? ''}`} className="pl-8">
            Ask again how much the {placeWords(p.joint, p.side)} hurts: last asked {dayWords(p.askedOn)}.
          </li>
        ))}
        {known.intake.toComplete.length > 0 && (
          <li className="pl-8">To complete: {known.intake.toComplete.map((s) => sectionWords[s]).join(', ')}.</li>
        )}
      </ul>
    </>
  );
}

function Heading({ id, more, children }: { id: string; more?: ReactNode; children: ReactNode }) {
  return (
    <div className="mt-2 flex min-h-12 items-end justify-between border-b-2 border-ink pb-1">
      <h2 id={id} className="text-lg font-bold">
        {children}
      </h2>
      {more}
    </div>
  );
}

function Latest({ protocol, results: [latest, ...earlier] }: Lead) {
  if (!latest) return null;
  return (
    <div className="pt-3">
      <p>
        <span className="num text-3xl font-bold">{resultWords(protocol, latest)}</span> on {dayWords(latest.on)}
      </p>
      <ScoreRail
        score={latest.score}
        protocol={protocol}
        on={latest.on}
        earlier={earlier.slice(0, 3).map((s) => resultMark(protocol, s))}
        start={760}
      />
    </div>
  );
}

function Results({ lead: { protocol, results }, units }: { lead: Lead; units: UnitSystem }) {
  return (
    <table className="mt-2 w-full text-left max-md:cards">
      <caption className="sr-only">{protocol.title}, newest first</caption>
      <thead className="text-sm text-ink-soft">
        <tr>
          <th className="py-1 font-semibold">Day</th>
          <th className="font-semibold">Result</th>
          {protocol.seatCm !== undefined && <th className="font-semibold">Seat</th>}
          <th className="font-semibold">Against the time before</th>
        </tr>
      </thead>
      <tbody>
        {results.slice(0, 6).map((scored) => {
          const words = changeWords(scored.change);
          const { seatHeightCm } = scored.conditions;
          return (
            <tr key={scored.key} className="border-t border-rule">
              <td className="py-1.5 max-md:font-bold">{dayWords(scored.on)}</td>
              <td className="num" data-head="Result">
                {resultWords(protocol, scored)}
              </td>
              {protocol.seatCm !== undefined && (
                <td className="num" data-head="Seat">
                  {seatHeightCm === undefined ? '–' : shortLengthWords(seatHeightCm, unitsOf[units].length)}
                </td>
              )}
              <td data-head="Change">
                <span>
                  {words.verdict} <span className="text-sm text-ink-soft">{shortly(words.size)}</span>
                  {scored.fromPaper && <span className="text-sm text-ink-soft"> · from paper</span>}
                </span>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

const otherWords: Readonly<Record<string, string>> = {
  'to-repeat': 'broke off, to be repeated',
  'to-agree': 'by a device; waits for a yes',
  finished: 'a repeat of the same day, not counted for levels',
};

function Others({ attempts, movedAway }: { attempts: readonly AttemptView[]; movedAway: readonly MovedAway[] }) {
  if (attempts.length + movedAway.length === 0) return null;
  return (
    <ul className="mt-2 text-sm" aria-label="Tries without a result">
      {attempts.slice(0, 4).map(({ clientKey, sittingDate, test, trial }) => (
        <li key={clientKey}>
          {dayWords(sittingDate)}, {protocolById(test)?.short ?? test}:{' '}
          {trial.kind === 'count' ? `${countedIn(trial)} counted, ` : ''}
          {trial.stopReason !== null
            ? `stopped, ${stopReasonWords[trial.stopReason].toLowerCase()}; no result`
            : (otherWords[trial.state] ?? 'not finished')}
        </li>
      ))}
      {movedAway.map(({ attempt, toName }) => (
        <li key={attempt.clientKey}>
          {dayWords(attempt.sittingDate)}: a try taken down here was moved to the file of {toName}
        </li>
      ))}
    </ul>
  );
}

function LevelLine({ view }: { view: PersonView }) {
  if (view.levels.refused) return <p className="py-4">{view.levels.refused.text}</p>;
  const shown = levelsOfToday(view);
  const of = (state: Standing['state']) =>
    view.standings.flatMap((s) => (s.state === state && s.inForce ? [s.inForce.level.name] : []));
  const [closed, aside] = [of('closed'), of('aside')];
  const [first] = shown;
  if (!first) return <p className="py-4">Levels follow from the first result.</p>;
  return (
    <div className="flex items-center gap-4 py-3">
      <Stool heightCm={first.targetCm} support={first.support} units={view.units} size={84} />
      <div className="min-w-0 flex-1">
        <ul className="space-y-1">
          {shown.map((level) => (
            <li key={level.pattern}>
              <span className={`font-semibold ${lookOf(level.pattern).words}`}>{levelWords(level, view.units)}</span>{' '}
              <span className="num text-sm whitespace-nowrap text-ink-soft">{level.code}</span>
              {level.byHand && <span className="text-sm"> set by hand</span>}
            </li>
          ))}
        </ul>
        <p className="text-sm">{waitWords(view)}</p>
        {closed.length > 0 && <p className="text-sm">Not today: {closed.join(', ')}</p>}
        {aside.length > 0 && <p className="text-sm">Left out by hand: {aside.join(', ')}</p>}
      </div>
    </div>
  );
}
