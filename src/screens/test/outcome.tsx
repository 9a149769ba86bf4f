'use client';
import { useState } from 'react';
import { amount, unitAfter } from '../../core/math/amount';
import { paceOf } from '../../core/measure/pace';
import { longestGapMs } from '../../core/measure/phase';
import { countedIn, repsIn, type Trial } from '../../core/measure/trial';
import type { Keeping } from '../../core/measure/bench/bench';
import type { StopReason } from '../../core/shapes/attempt';
import { holdEverything } from '../frame/holding';
import { Button, Key } from '../touch/button';
import { Step } from '../touch/step';
import { slowingWords, stopReasonWords } from '../words';
import { serverAnswers } from './bench/sending';
import type { KeptAttempt } from './bench/store';
import { NotKept } from './notKept';

interface OutcomeProps {
  readonly trial: Trial;
  readonly durationS: number;
  readonly kept: KeptAttempt;
  readonly emergencyNumber: string;
  readonly again: (() => void) | undefined;
  readonly checkAgain: (() => void) | undefined;
  readonly keeping: Keeping;
  readonly next: () => void;
  readonly reopen: () => void;
}

/** What came of it, and the one next thing. */
export function Outcome({
  trial,
  durationS,
  kept,
  emergencyNumber,
  again,
  checkAgain,
  keeping,
  next,
  reopen,
}: OutcomeProps) {
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
      {finished ? (
        <Result trial={trial} durationS={durationS} />
      ) : (
        <NoResult trial={trial} emergencyNumber={emergencyNumber} />
      )}
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

function Result({ trial, durationS }: { trial: Trial; durationS: number }) {
  const { firstFiveS, perTenS, slowing } = paceOf(repsIn(trial), durationS);
  return (
    <div className="mt-4 grid items-end gap-8 md:grid-cols-[auto_1fr]">
      <p>
        <span className="num text-[160px] leading-none font-bold" data-testid="result">
          {countedIn(trial)}
        </span>
        <span className="ml-4 text-2xl font-bold">
          {unitAfter(countedIn(trial), 'stands')}
          {trial.handsUsed ? ', with hands' : ' in 30 s'}
        </span>
      </p>
      <dl className="grid max-w-xl grid-cols-[auto_1fr] gap-x-6 gap-y-1 text-lg">
        {trial.handsUsed && <Line term="Clean before hands" value={String(trial.cleanBeforeHands)} />}
        <Line term="First five stands" value={firstFiveS === null ? 'fewer than five' : `${firstFiveS.toFixed(1)} s`} />
        <Line term="Each ten seconds" value={perTenS.join(' · ')} />
        <Line term="Pace" value={slowingWords(slowing)} />
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

function NoResult({ trial, emergencyNumber }: { trial: Trial; emergencyNumber: string }) {
  const broken = trial.state === 'to-repeat';
  const held = trial.gapMs <= longestGapMs;
  const counted = countedIn(trial);
  return (
    <div className="mt-5 border-l-8 border-watch bg-board p-5">
      <p className="text-xl font-bold">
        {broken
          ? held
            ? 'This try was held.'
            : 'This try broke off: the page was away for more than two seconds.'
          : `Stopped after ${amount(counted, 'stands')}: ${stopReasonWords[trial.stopReason ?? 'other'].toLowerCase()}.`}
      </p>
      <p className="mt-2 text-lg">
        {broken
          ? `What was counted, ${amount(counted, 'stands')}, is kept in the record, without a result. Repeat after 5 minutes of rest.`
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
