'use client';
import { useState } from 'react';
import { amount, unitAfter } from '../../core/math/amount';
import { toResult } from '../../core/measure/attempt';
import { liveEvents } from '../../core/measure/live';
import { paceOf } from '../../core/measure/pace';
import { dropsIn } from '../../core/measure/drops';
import { clockMs, countsFor, longestGapMs, hasCountdown } from '../../core/measure/phase';
import { countedIn, repsIn, type Trial } from '../../core/measure/trial';
import { scoreResult } from '../../core/score/scoreResult';
import { protocolIn, resultIn } from '../../core/score/shownUnits';
import type { StopReason } from '../../core/shapes/attempt';
import type { Protocol } from '../../core/shapes/protocol';
import { holdEverything } from '../frame/holding';
import { useUnits } from '../frame/units';
import { ScoreRail } from '../scores/rail';
import { resultWords, sideName } from '../scores/testWords';
import { Button, Key } from '../touch/button';
import { FootBar } from '../touch/footBar';
import { Step } from '../touch/step';
import { slowingWords, stopReasonWords, told } from '../words';
import { Afterwards } from './afterwards';
import { Agree } from './agree';
import { sendAttempt, serverAnswers } from './bench/sending';
import type { RunNow } from './bench/useLanes';
import { Rest } from './laneClock';
import { laneLetters, type LaneNow } from './lanes';
import { NotKept } from './notKept';
import { Opens } from './opens';
import type { StationPerson } from './station';

interface OutcomeProps {
  readonly lanes: readonly LaneNow[];
  readonly protocol: Protocol;
  readonly emergencyNumber: string;
  readonly again: (people: readonly StationPerson[]) => void;
  readonly checkAgain: (person: StationPerson) => void;
  readonly next: () => void;
  readonly onward: Onward | null;
}

/** What comes next where it is known, and how it is gone to. */
export interface Onward {
  readonly words: string;
  readonly go: () => void;
  /** On a testing day it is what everybody goes on with. */
  readonly main?: boolean;
}

/** After these nobody goes on as if nothing had been: somebody looks after them first. */
const looksAfter: ReadonlySet<StopReason> = new Set(['unwell', 'pain', 'unsteady']);
const isUnwell = ({ runs }: LaneNow): boolean =>
  runs.some(({ lane }) => lane.trial.stopReason !== null && looksAfter.has(lane.trial.stopReason));

const fallWords = (by: number, which: 'upper' | 'lower'): string =>
  by < 0
    ? `the ${which} figure rose by ${-by}`
    : by === 0
      ? `the ${which} figure stayed`
      : `the ${which} figure fell by ${by}`;

/** What came of it for everybody who was tested together, and the one next thing. */
export function Outcome({ lanes, protocol, emergencyNumber, again, checkAgain, next, onward }: OutcomeProps) {
  const [away, setAway] = useState(false);
  const many = lanes.length > 1;
  const unwell = lanes.filter(isUnwell);
  const [first] = lanes;
  const done = lanes.every((l) => l.runs.some((r) => r.lane.trial.state === 'finished'));
  const toRepeat = lanes.filter(
    (l) => !isUnwell(l) && !l.runs.some((r) => ['finished', 'to-agree'].includes(r.lane.trial.state)),
  );
  const leave = async () => {
    const kept = first?.active.kept;
    if (kept && (await serverAnswers())) {
      // Sent again it is the same; what is on its way arrives first, so that there is a score to be seen.
      await sendAttempt(kept);
      window.location.assign(`/people/${kept.personId}/scores/${kept.test}`);
    } else setAway(true);
  };
  const people = toRepeat.flatMap((l) => l.person ?? []);
  const swap = swapOf(lanes);
  return (
    <Step className="pt-4">
      <div
        className={`grid gap-x-8 gap-y-6 ${many ? 'md:grid-cols-2' : ''} ${lanes.length > 2 ? 'xl:grid-cols-4' : ''}`}
      >
        {lanes.map((lane) => (
          <LaneOutcome
            key={lane.place}
            {...{ lane, lanes, protocol, many, emergencyNumber }}
            checkAgain={lane.person ? () => lane.person && checkAgain(lane.person) : null}
          />
        ))}
      </div>
      <FootBar>
        {unwell.length > 0 && (
          <Button className="min-h-24 text-2xl" onClick={holdEverything} data-at-once>
            Hold: open the sheet <Key>F9</Key>
          </Button>
        )}
        {done && !many && (
          <Button
            look={onward?.main ? 'line' : 'main'}
            className="min-h-16 text-xl"
            hotkey="S"
            onClick={() => void leave()}
          >
            See the score
          </Button>
        )}
        {people.length > 0 && (
          <Button className="min-h-16 text-xl whitespace-normal!" hotkey="R" onClick={() => again(people)}>
            Repeat the test{many ? `: ${toRepeat.map((l) => l.short).join(', ')}` : ''}
          </Button>
        )}
        {onward && (
          <Button
            look={(many && done) || onward.main ? 'main' : 'line'}
            className="min-h-16 text-xl whitespace-normal!"
            hotkey="N"
            onClick={onward.go}
          >
            Next: {onward.words}
          </Button>
        )}
        <Button
          look={onward ? 'plain' : many && done ? 'main' : 'line'}
          className="min-h-16 text-xl"
          hotkey={onward ? 'O' : 'N'}
          onClick={next}
        >
          {onward ? 'Somebody else' : many ? 'Next people' : 'Next person'}
        </Button>
        {swap && (
          <Button look="line" className="min-h-16 text-xl" onClick={swap.press}>
            {swap.done ? 'Swap names back' : 'Swap names'}
          </Button>
        )}
      </FootBar>
      {away && (
        <p role="alert" className="mt-4 border-l-8 border-watch bg-board p-4 font-semibold">
          The server does not answer. The result is safe in this browser and goes out by itself; stay on this page and
          go on testing.
        </p>
      )}
    </Step>
  );
}

function LaneOutcome({
  lane,
  lanes,
  protocol,
  many,
  emergencyNumber,
  checkAgain,
}: {
  lane: LaneNow;
  lanes: readonly LaneNow[];
  protocol: Protocol;
  many: boolean;
  emergencyNumber: string;
  checkAgain: (() => void) | null;
}) {
  const finished = lane.runs.filter((r) => r.lane.trial.state === 'finished');
  const toAgree = lane.runs.filter((r) => r.lane.trial.state === 'to-agree');
  const others = lane.runs.filter((r) => !finished.includes(r) && !toAgree.includes(r));
  const to = lane.active.lane.trial.movedTo;
  const givenTo = to === null ? null : (lanes.find((l) => l.active.kept.personId === to)?.name ?? 'somebody else');
  const drops = dropsIn(protocol, lane.active.lane.events);
  const fell = drops?.past === true;
  const reopened = lane.runs.length > 1 ? finished.at(-1) : lane.active;
  return (
    <section
      aria-label={lane.name}
      className="min-w-0 overflow-x-clip"
      data-testid="outcome"
      data-person-id={lane.active.kept.personId}
      data-person-name={lane.name}
    >
      {lane.runs.map((run) => (
        <NotKept key={run.kept.clientKey} keeping={run.lane.keeping} />
      ))}
      <h1 className="text-3xl font-extrabold">
        {many && `${laneLetters[lane.place] ?? ''} `}
        {many ? lane.short : lane.name}
      </h1>
      {givenTo && <p className="text-lg font-bold">Kept for {givenTo}: the names were swapped.</p>}
      {finished.length > 0 && <Results runs={finished} protocol={protocol} many={many} person={lane.person} />}
      {finished[0] && <Opens run={finished[0]} />}
      {drops && (
        <p
          className={`mt-3 text-lg ${fell ? 'border-l-8 border-stop bg-board p-4 font-bold' : ''}`}
          data-testid="drops"
        >
          {fallWords(drops.upper, 'upper')}
          {drops.lower !== null && `, ${fallWords(drops.lower, 'lower')}`}.
          {fell &&
            ` From ${protocol.dropLimits?.upper ?? ''} of the upper or ${protocol.dropLimits?.lower ?? ''} of the lower: not today. Seat them, stay with them; somebody licensed is told.`}
          {protocol.dropLimits && <span className="text-sm font-normal"> {protocol.dropLimits.source}</span>}
        </p>
      )}
      {toAgree.map((run) => (
        <Agree key={run.kept.clientKey} run={run} protocol={protocol} many={many} />
      ))}
      {others.slice(0, finished.length + toAgree.length > 0 ? 0 : 1).map((run) => (
        <NoResult key={run.kept.clientKey} run={run} protocol={protocol} emergencyNumber={emergencyNumber} />
      ))}
      <div className="mt-3 flex flex-wrap items-center gap-3">
        {reopened && finished.includes(reopened) && mayReopen(reopened, protocol) && (
          <Button look="plain" onClick={() => reopened.press({ do: 'reopen' }, 'touch')}>
            Take the last answer back
          </Button>
        )}
        {checkAgain && !isUnwell(lane) && fell && (
          <Button look="line" className="min-h-16 text-xl" onClick={checkAgain}>
            To the check of the day
          </Button>
        )}
        {checkAgain && isUnwell(lane) && (
          <Button look="line" className="min-h-16 text-xl" onClick={checkAgain}>
            Seated, well again: check of the day
          </Button>
        )}
      </div>
      <Afterwards run={lane.active} protocol={protocol} person={lane.person} />
    </section>
  );
}

/**
 * Two who sat the other way round: each attempt is given to the other, so that both files keep the trace; pressed again
 * that is taken back. `null` where there are not two with one attempt each.
 */
function swapOf(lanes: readonly LaneNow[]): { readonly done: boolean; readonly press: () => void } | null {
  const [a, b] = lanes;
  if (!a || !b || lanes.length !== 2 || lanes.some((l) => l.runs.length !== 1)) return null;
  const moves = (lane: LaneNow) => liveEvents(lane.active.lane.events).findLast((e) => e.kind === 'move');
  const done = moves(a) !== undefined;
  const give = (lane: LaneNow, to: LaneNow) => {
    const move = moves(lane);
    const reason = 'the names were swapped at the station';
    const toPersonId = to.active.kept.personId;
    lane.active.press(
      { do: 'mark', mark: move ? { kind: 'strike', ofSeq: move.seq, reason } : { kind: 'move', toPersonId, reason } },
      'touch',
    );
  };
  return {
    done,
    press: () => {
      give(a, b);
      give(b, a);
    },
  };
}

/** Counted against the clock and without a question at the tone there is no answer to take back. */
const mayReopen = ({ lane }: RunNow, { capture }: Protocol): boolean =>
  !lane.trial.fromPaper || lane.events.some((e) => e.kind === 'entered' && e.by !== 'hand')
    ? capture.kind !== 'count' || capture.halfAtTone || !hasCountdown(capture)
    : false;

function Results({
  runs,
  protocol,
  many,
  person,
}: {
  runs: readonly RunNow[];
  protocol: Protocol;
  many: boolean;
  person: StationPerson | undefined;
}) {
  const units = useUnits();
  const shown = protocolIn(units, protocol);
  return (
    <>
      {runs.map((run) => {
        const { trial } = run.lane;
        const { kept } = run;
        const own = toResult({ ...kept, trial });
        const result = own && resultIn(shown, own);
        const score =
          person && result && scoreResult(shown, result, { ageYears: person.ageYears, sex: person.normTable });
        return (
          <div key={kept.clientKey} className="mt-2 border-t-2 border-rule pt-2 first:border-t-0">
            <div className={many || runs.length > 1 ? '' : 'grid items-end gap-8 md:grid-cols-[auto_1fr]'}>
              <p>
                {result?.outcome === 'done' && result.value !== null ? (
                  <>
                    <span
                      className={`num leading-none font-bold ${many || runs.length > 1 ? 'text-[96px]' : 'text-[clamp(88px,36vw,160px)]'}`}
                      data-testid="result"
                    >
                      {told(result.value, shown.unit)}
                    </span>
                    <span className="ml-4 text-2xl font-bold">
                      {unitAfter(result.value, shown.unit)}
                      {kept.side && ` ${sideName(kept.side)}`}
                      {trial.handsUsed && protocol.handsMakeZero ? ', with hands' : ofTime(protocol)}
                    </span>
                  </>
                ) : (
                  <span className="text-3xl font-bold first-letter:uppercase" data-testid="result">
                    {result ? resultWords(shown, { result }) : ''}
                  </span>
                )}
              </p>
              <Details trial={trial} protocol={protocol} />
            </div>
            {score && (
              <div className="mt-2 max-w-4xl">
                <ScoreRail
                  score={score}
                  protocol={shown}
                  on={kept.sittingDate}
                  earlier={[]}
                  small
                  start={many ? 560 : 880}
                />
              </div>
            )}
          </div>
        );
      })}
    </>
  );
}

function ofTime(protocol: Protocol): string {
  const seconds = countsFor(protocol.capture);
  return seconds === null ? '' : ` in ${seconds} s`;
}

function Details({ trial, protocol }: { trial: Trial; protocol: Protocol }) {
  const counted = countsFor(protocol.capture) !== null;
  const { firstFiveS, perTenS, slowing } = paceOf(repsIn(trial), (clockMs(protocol) ?? 30_000) / 1000);
  const values = trial.tries.map((t) => t.value ?? '–');
  return (
    <dl className="grid max-w-xl grid-cols-[auto_1fr] gap-x-6 gap-y-1 text-lg">
      {trial.handsUsed && protocol.handsMakeZero && (
        <Line term="Clean before hands" value={String(trial.cleanBeforeHands)} />
      )}
      {counted && (
        <>
          <Line term="First five" value={firstFiveS === null ? 'fewer than five' : `${firstFiveS.toFixed(1)} s`} />
          {perTenS.length <= 6 && <Line term="Each ten seconds" value={perTenS.join(' · ')} />}
          <Line term="Pace" value={slowingWords(slowing)} />
        </>
      )}
      {values.length > 1 && <Line term="Tries" value={values.join(' · ')} />}
      {trial.seconds && (
        <Line
          term="Seconds held"
          value={[trial.seconds.sideBySide, trial.seconds.semiTandem, trial.seconds.tandem, trial.seconds.oneLeg].join(
            ' · ',
          )}
        />
      )}
      {trial.halfRepCounted && <Line term="At the tone" value="half-way stand counted" />}
      {trial.marks.touches > 0 && <Line term="Touched" value={amount(trial.marks.touches, 'times')} />}
      {trial.marks.rests > 0 && <Line term="Rested" value={amount(trial.marks.rests, 'times')} />}
      {trial.gapMs > 0 && <Line term="Page was away" value={`${(trial.gapMs / 1000).toFixed(1)} s, marked`} />}
    </dl>
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

function NoResult({ run, protocol, emergencyNumber }: { run: RunNow; protocol: Protocol; emergencyNumber: string }) {
  const { trial } = run.lane;
  const [since] = useState(() => performance.now());
  const broken = trial.state === 'to-repeat';
  const held = trial.gapMs <= longestGapMs;
  const counts = protocol.capture.kind === 'count';
  const counted = amount(countedIn(trial), protocol.unit);
  const { againAfterS } = protocol.station;
  return (
    <div className="mt-5 border-l-8 border-watch bg-board p-5">
      <p className="text-xl font-bold">
        {broken
          ? held
            ? 'This try was held.'
            : 'This try broke off: the page was away for more than two seconds.'
          : `Stopped${counts ? ` after ${counted}` : ''}: ${stopReasonWords[trial.stopReason ?? 'other'].toLowerCase()}.`}
      </p>
      <p className="mt-2 text-lg">
        {!broken
          ? 'The record is kept, without a result. Seat them and stay with them.'
          : `What was ${counts ? `counted, ${counted},` : 'taken down'} is kept in the record, without a result. ${againAfterS === null ? 'Not again today.' : `Repeat after ${againAfterS < 120 ? `${againAfterS} seconds` : `${againAfterS / 60} minutes`} of rest.`}`}
        {broken && againAfterS !== null && (
          <>
            {' '}
            <Rest fromMs={since} seconds={againAfterS} />
          </>
        )}
      </p>
      {!broken && (
        <p className="mt-2 text-lg">
          Chest pain, dizziness, confusion, new weakness: call <b className="num">{emergencyNumber}</b>, note the time.
        </p>
      )}
    </div>
  );
}
