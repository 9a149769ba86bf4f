'use client';
import { useRef, useState } from 'react';
import { type CountRule, type CountTrial } from '../../core/measure/countTrial';
import { longestGapMs } from '../../core/measure/phase';
import type { AttemptEvent, StopReason } from '../../core/shapes/attempt';
import type { Protocol } from '../../core/shapes/protocol';
import { holdEverything } from '../frame/holding';
import { useKeys } from '../frame/keys';
import { Button, Key } from '../touch/button';
import { Step, useSettled } from '../touch/step';
import { slowingWords, stopReasonWords } from '../words';
import type { KeptAttempt } from './attemptStore';
import { FullScreen } from './fullScreen';
import { Lane } from './lane';
import { serverAnswers } from './sending';
import type { StationPerson } from './station';
import { NotKept } from './notKept';
import { useAttempt, type Keeping, type RunningAttempt } from './useAttempt';

interface Props {
  readonly kept: KeptAttempt;
  readonly earlier: readonly AttemptEvent[];
  readonly rule: CountRule;
  readonly protocol: Protocol;
  readonly person: StationPerson | undefined;
  readonly emergencyNumber: string;
  readonly again: (person: StationPerson) => void;
  /** Opens the check of the day of somebody who sat down and says they are well again. */
  readonly checkAgain: (person: StationPerson) => void;
  readonly next: () => void;
}

/** One attempt from the practice to what came of it. */
export function AttemptRun({ kept, earlier, rule, protocol, person, emergencyNumber, again, checkAgain, next }: Props) {
  const attempt = useAttempt(rule, kept, earlier);
  const { trial } = attempt;
  if (attempt.lost) return <RunElsewhere name={kept.personName} next={next} />;
  if (trial.state === 'waiting')
    return <Practice attempt={attempt} name={kept.personName} protocol={protocol} leave={next} />;
  if (trial.state === 'running' || trial.state === 'half-way-open')
    return (
      <Lane
        attempt={attempt}
        personId={kept.personId}
        name={kept.personName}
        bloodThinners={person?.record.intakes.at(-1)?.bloodThinners === true}
        title={protocol.title}
        durationS={rule.durationS}
        row={person?.row ?? null}
      />
    );
  return (
    <Outcome
      trial={trial}
      kept={kept}
      emergencyNumber={emergencyNumber}
      again={
        person &&
        (() => {
          again(person);
        })
      }
      checkAgain={
        person &&
        (() => {
          checkAgain(person);
        })
      }
      keeping={attempt.keeping}
      next={next}
      reopen={attempt.reopen}
    />
  );
}

/** One to three slow stands, tapped as in the test, with no clock. */
function Practice({
  attempt,
  name,
  protocol,
  leave,
}: {
  attempt: RunningAttempt;
  name: string;
  protocol: Protocol;
  leave: () => void;
}) {
  const [reps, setReps] = useState(0);
  const begun = useRef(false);
  const begin = () => {
    // A second press comes sooner than the lane does.
    if (begun.current) return;
    begun.current = true;
    attempt.mark({ kind: 'practice', reps }, 'key');
    attempt.begin();
  };
  const settled = useSettled();
  useKeys('screen', (event) => {
    if (event.code === 'Space') setReps((n) => (event.repeat ? n : n + 1));
    else if (event.code === 'Enter') {
      if (!event.repeat && settled()) begin();
    } else if (event.code === 'Escape') leave();
    else return false;
    return true;
  });
  return (
    <FullScreen data-testid="practice">
      <Step className="flex min-h-full flex-1 flex-col">
        <header className="flex flex-wrap items-baseline gap-x-5 border-b-4 border-ink px-7 py-3 max-md:px-4 low:py-1">
          <h1 className="text-3xl font-extrabold max-md:text-2xl">{name}</h1>
          <p className="text-lg">{protocol.title}</p>
          <Button look="plain" className="ml-auto" onClick={leave} data-at-once>
            Leave
          </Button>
        </header>
        <button
          type="button"
          data-at-once
          className="flex flex-1 cursor-pointer flex-col items-center justify-center gap-2 px-4"
          onPointerDown={(event) => {
            if (event.button === 0) setReps((n) => n + 1);
          }}
        >
          <span className="text-2xl font-bold low:text-lg">Practice</span>
          <span className="num text-[clamp(56px,25vh,200px)] leading-none font-bold">{reps}</span>
          <span className="max-w-xl text-lg low:text-base">
            {protocol.practice} Tap here or press Space for each; nothing is counted yet.
          </span>
        </button>
        <footer className="sticky bottom-0 flex flex-wrap items-center gap-5 border-t-4 border-ink bg-board px-7 py-3 max-md:px-4">
          <Button className="min-h-24 text-2xl max-sm:w-full sm:min-w-96" hotkey="Enter" onClick={begin}>
            Start: 3, 2, 1, go
          </Button>
          <p className="text-lg max-md:hidden low:hidden">
            Somebody may go too early: the way back stands on the next screen.
          </p>
        </footer>
      </Step>
    </FullScreen>
  );
}

/** Two pages of one browser on one test: the newer one counts, this one says so and counts nothing. */
function RunElsewhere({ name, next }: { name: string; next: () => void }) {
  return (
    <div className="mt-6 border-l-8 border-watch bg-board p-5" role="alert">
      <p className="text-xl font-bold">The test of {name} runs on another page of this browser now.</p>
      <p className="mt-2 text-lg">What was counted here is in it. Nothing more is counted on this page.</p>
      <Button className="mt-4" onClick={next}>
        To the people
      </Button>
    </div>
  );
}

interface OutcomeProps {
  readonly trial: CountTrial;
  readonly kept: KeptAttempt;
  readonly emergencyNumber: string;
  readonly again: (() => void) | undefined;
  readonly checkAgain: (() => void) | undefined;
  readonly keeping: Keeping;
  readonly next: () => void;
  readonly reopen: () => void;
}

/** What came of it, and the one next thing. */
function Outcome({ trial, kept, emergencyNumber, again, checkAgain, keeping, next, reopen }: OutcomeProps) {
  const [away, setAway] = useState(false);
  const finished = trial.state === 'finished';
  const unwell = trial.stopReason !== null && looksAfter.has(trial.stopReason);
  const leave = async () => {
    if (await serverAnswers()) window.location.assign(`/people/${kept.personId}/scores/${kept.test}`);
    else setAway(true);
  };
  return (
    <Step className="pt-6" data-testid="outcome" data-person-id={kept.personId} data-person-name={kept.personName}>
      <NotKept keeping={keeping} />
      <h1 className="text-3xl font-extrabold">{kept.personName}</h1>
      {finished ? <Result trial={trial} /> : <NoResult trial={trial} emergencyNumber={emergencyNumber} />}
      <div className="mt-8 flex flex-wrap items-center gap-4 border-t-4 border-ink pt-5">
        {finished ? (
          <>
            <Button className="min-h-16 text-xl" hotkey="S" onClick={() => void leave()}>
              See the score
            </Button>
            <Button look="line" className="min-h-16 text-xl" hotkey="N" onClick={next}>
              Next person
            </Button>
            {!trial.fromPaper && (
              <Button look="plain" onClick={reopen}>
                Take the last answer back
              </Button>
            )}
          </>
        ) : (
          <>
            {unwell ? (
              <>
                <Button className="min-h-24 text-2xl" onClick={holdEverything} data-at-once>
                  Hold: open the sheet <Key>F9</Key>
                </Button>
                {checkAgain && (
                  <Button look="line" className="min-h-16 text-xl" onClick={checkAgain}>
                    Seated, well again: check of the day
                  </Button>
                )}
              </>
            ) : (
              again && (
                <Button className="min-h-16 text-xl" hotkey="R" onClick={again}>
                  Repeat the test
                </Button>
              )
            )}
            <Button look="line" className="min-h-16 text-xl" hotkey="N" onClick={next}>
              Next person
            </Button>
          </>
        )}
      </div>
      {away && (
        <p role="alert" className="mt-4 border-l-8 border-watch bg-board p-4 font-semibold">
          The server does not answer. The result is safe in this browser and goes out by itself; stay on this page and
          go on testing.
        </p>
      )}
    </Step>
  );
}

/** After these nobody goes on as if nothing had been: somebody looks after them first. */
const looksAfter: ReadonlySet<StopReason> = new Set(['unwell', 'pain', 'unsteady']);

function Result({ trial }: { trial: CountTrial }) {
  return (
    <div className="mt-4 grid items-end gap-8 md:grid-cols-[auto_1fr]">
      <p>
        <span className="num text-[160px] leading-none font-bold" data-testid="result">
          {trial.counted}
        </span>
        <span className="ml-4 text-2xl font-bold">{trial.handsUsed ? 'stands, with hands' : 'stands in 30 s'}</span>
      </p>
      <dl className="grid max-w-xl grid-cols-[auto_1fr] gap-x-6 gap-y-1 text-lg">
        {trial.handsUsed && <Line term="Clean before hands" value={String(trial.cleanBeforeHands)} />}
        <Line
          term="First five stands"
          value={trial.firstFiveS === null ? 'fewer than five' : `${trial.firstFiveS.toFixed(1)} s`}
        />
        <Line term="Each ten seconds" value={trial.perTenS.join(' · ')} />
        <Line term="Slowing" value={slowingWords(trial.slowing)} />
        {trial.halfRepCounted && <Line term="At the tone" value="half-way stand counted" />}
        {trial.gapMs > 0 && <Line term="Page was away" value={`${(trial.gapMs / 1000).toFixed(1)} s, marked`} />}
      </dl>
    </div>
  );
}

function Line({ term, value }: { term: string; value: string }) {
  return (
    <>
      <dt className="text-ink-soft">{term}</dt>
      <dd className="num font-semibold">{value}</dd>
    </>
  );
}

function NoResult({ trial, emergencyNumber }: { trial: CountTrial; emergencyNumber: string }) {
  const broken = trial.state === 'to-repeat';
  const held = trial.gapMs <= longestGapMs;
  return (
    <div className="mt-5 border-l-8 border-watch bg-board p-5">
      <p className="text-xl font-bold">
        {broken
          ? held
            ? 'This try was held.'
            : 'This try broke off: the page was away for more than two seconds.'
          : `Stopped after ${trial.counted === 1 ? '1 stand' : `${trial.counted} stands`}: ${stopReasonWords[trial.stopReason ?? 'other'].toLowerCase()}.`}
      </p>
      <p className="mt-2 text-lg">
        {broken
          ? `Its ${trial.counted} stands are kept in the record, without a result. Repeat after 5 minutes of rest.`
          : 'The record is kept, without a result. Seat them and stay with them.'}
      </p>
      {!broken && (
        <p className="mt-2 text-lg">
          Chest pain, dizziness, confusion, new weakness: call <b className="num">{emergencyNumber}</b>, note the time.
        </p>
      )}
    </div>
  );
}
