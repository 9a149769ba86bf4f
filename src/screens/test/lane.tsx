'use client';
import { useCallback, useEffect, useRef, useState, type PointerEvent, type ReactNode } from 'react';
import { evenPace } from '../../core/measure/pace';
import { stopReasons, type EventBy, type StopReason } from '../../core/shapes/attempt';
import type { NormRow } from '../../core/shapes/norms';
import { holdEverything, onHold } from '../frame/holding';
import { settleMs, useKeys } from '../frame/keys';
import { lettersAreOn } from '../frame/singleLetters';
import { Key } from '../touch/button';
import { rowWords, stopReasonWords } from '../words';
import { moveTo, useFrames } from './frames';
import { FullScreen } from './fullScreen';
import { LaneRule } from './laneRule';
import { NotKept } from './notKept';
import type { RunningAttempt } from './useAttempt';

/** So long after go somebody may be said to have gone too early. */
const tooEarlyMs = 5000;

interface Props {
  readonly attempt: RunningAttempt;
  readonly personId: string;
  readonly name: string;
  /** Known from the intake, for the sheet of an incident. */
  readonly bloodThinners: boolean;
  readonly title: string;
  readonly durationS: number;
  readonly row: NormRow | null;
}

/**
 * One participant in a running test. The whole strip is the tap target; the instructor's eyes are on the person, so
 * there is one huge number, the time as a draining level behind its plate, and three keys.
 */
export function Lane({ attempt, personId, name, bloodThinners, title, durationS, row }: Props) {
  const { trial, goMs, mark, falseStart } = attempt;
  const [stopAsked, setStopAsked] = useState<number | null>(null);
  const flash = useRef<HTMLDivElement>(null);
  const lastPressMs = useRef(-Infinity);
  const asking = trial.state === 'half-way-open';
  const early = useEarly(asking ? null : goMs);

  const count = (by: EventBy, timeStamp: number) => {
    if (flash.current) light(flash.current);
    mark({ kind: 'rep' }, by, timeStamp);
  };
  // Right after the tone a press was meant for a stand, not for the answer.
  const mayAnswer = (timeStamp: number) => asking && goMs !== null && timeStamp >= goMs + durationS * 1000 + settleMs;
  const answer = (counts: boolean, by: EventBy, timeStamp: number) => {
    if (mayAnswer(timeStamp)) mark({ kind: 'half-rep', counts }, by, timeStamp);
  };
  const stop = (reason: StopReason, by: EventBy) => mark({ kind: 'stop', reason }, by, stopAsked ?? undefined);

  const undo = (by: EventBy, timeStamp: number) =>
    mayAnswer(timeStamp) ? answer(false, by, timeStamp) : mark({ kind: 'undo' }, by, timeStamp);
  const askStop = (event: KeyboardEvent) => setStopAsked((asked) => (asked === null ? event.timeStamp : null));
  const countKey = (event: KeyboardEvent) =>
    mayAnswer(event.timeStamp) ? answer(true, 'key', event.timeStamp) : count('key', event.timeStamp);
  const undoKey = (event: KeyboardEvent) => undo('key', event.timeStamp);
  const keys: Readonly<Record<string, (event: KeyboardEvent) => void>> = {
    Space: countKey,
    PageDown: countKey,
    Digit1: countKey,
    Backspace: undoKey,
    PageUp: undoKey,
    Escape: askStop,
    F8: () => {
      if (!asking) falseStart();
    },
    // A page made anew in a running test would lose it.
    F5: () => undefined,
  };
  const letters: typeof keys = {
    KeyQ: undoKey,
    KeyA: (event) => mark({ kind: 'hands' }, 'key', event.timeStamp),
    KeyZ: askStop,
    KeyY: (event) => answer(true, 'key', event.timeStamp),
    KeyN: (event) => answer(false, 'key', event.timeStamp),
  };
  const reasons: typeof keys = Object.fromEntries(
    stopReasons.map((reason, i) => [`Digit${i + 1}`, () => stop(reason, 'key')]),
  );
  useKeys(
    'screen',
    (event) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return false;
      const presses = event.target instanceof HTMLButtonElement && ['Space', 'Enter'].includes(event.code);
      if (presses && (asking || stopAsked !== null)) return false;
      const act =
        (stopAsked !== null && reasons[event.code]) || keys[event.code] || (lettersAreOn() && letters[event.code]);
      if (!act) return false;
      // A held key repeats; one press is one stand.
      if (!event.repeat) act(event);
      return true;
    },
    { overButtons: true },
  );

  useEffect(() => onHold(() => mark({ kind: 'hold' }, 'key')), [mark]);

  const pace = useCallback(
    (now: number) => (row && goMs !== null ? evenPace((row.p25 + row.p75) / 2, durationS, now - goMs) : null),
    [durationS, goMs, row],
  );
  const undoControl = (
    <Control hotkey="Backspace" press={(t) => mark({ kind: 'undo' }, 'touch', t)}>
      Undo
    </Control>
  );
  const handsControl = (
    <Control hotkey="A" press={(t) => mark({ kind: 'hands' }, 'touch', t)} pressed={trial.handsUsed}>
      Hands
    </Control>
  );
  const tap = (event: PointerEvent) => {
    // A second finger is never primary, and counts all the same.
    if (event.button !== 0 || isControl(event.target)) return;
    lastPressMs.current = event.timeStamp;
    count('touch', event.timeStamp);
  };
  return (
    <FullScreen
      className="touch-none overflow-x-hidden overflow-y-auto select-none"
      onPointerDown={tap}
      onClick={(event) => {
        // A switch or a screen reader clicks without a pointer.
        if (event.timeStamp - lastPressMs.current > 1000 && !isControl(event.target)) count('key', event.timeStamp);
      }}
      data-testid="lane"
      data-person-id={personId}
      data-person-name={name}
      data-blood-thinners={bloodThinners ? 'yes' : undefined}
    >
      <NotKept keeping={attempt.keeping} />
      <div
        ref={flash}
        aria-hidden
        className="pointer-events-none absolute inset-0 z-20 border-[16px] border-squat opacity-0 will-change-[opacity]"
      />
      <header className="relative z-10 flex flex-wrap items-baseline gap-x-5 border-b-4 border-ink bg-board px-7 py-3 max-md:px-4 low:py-1">
        <h1 className="text-3xl font-extrabold max-md:text-2xl">{name}</h1>
        <p className="text-lg max-lg:order-last max-lg:w-full low:hidden">
          {title}
          {row && <span> · {rowWords(row)}</span>}
        </p>
        <TimeLeft goMs={goMs} durationS={durationS} />
      </header>
      <div className="relative min-h-24 flex-1 [container-type:size]">
        <Level goMs={goMs} durationS={durationS} />
        <div className="absolute inset-y-4 left-4 w-32 max-md:hidden [@media(max-height:760px)]:hidden">
          <LaneRule counted={trial.counted} row={row} pace={pace} />
        </div>
        <div className="absolute inset-0 flex items-center justify-center">
          <div className="relative flex min-w-[min(420px,56vw)] flex-col items-center rounded-lg border-4 border-ink bg-board px-10 py-2 low:py-0">
            <output
              className="num text-[max(56px,min(100cqh-92px,340px,44cqw))] leading-[1.02] font-bold"
              aria-live="off"
              data-testid="count"
            >
              {trial.counted}
            </output>
            <p className="pb-2 text-xl font-semibold low:pb-0 low:text-base" data-testid="lane-words">
              {asking
                ? 'Time. Sit and rest.'
                : trial.handsUsed
                  ? `with hands · ${trial.cleanBeforeHands} clean before`
                  : lastStands(trial.repsMs)}
            </p>
          </div>
        </div>
      </div>
      <footer
        className="sticky bottom-0 z-10 border-t-4 border-ink bg-board px-7 py-3 max-md:px-3 low:py-1.5"
        data-control
      >
        {stopAsked !== null ? (
          <StopReasons stop={stop} back={() => setStopAsked(null)} />
        ) : asking ? (
          <HalfWay answer={answer}>
            {undoControl}
            {handsControl}
          </HalfWay>
        ) : (
          <div className="grid grid-cols-5 gap-3 max-sm:gap-1.5 lg:grid-cols-[1.6fr_1.15fr_1fr_1fr_1fr] lg:gap-4">
            {early ? (
              <Control hotkey="F8" press={falseStart}>
                Too early: again
              </Control>
            ) : (
              // Keeps its place where the way back stood, so that nothing moves under a finger.
              <p className="self-center text-xl max-lg:invisible">
                <Key>Space</Key> or a tap anywhere counts
              </p>
            )}
            {undoControl}
            {handsControl}
            <Control hotkey="Esc" press={(t) => setStopAsked(t)}>
              Stop
            </Control>
            <Control hotkey="F9" press={holdEverything}>
              Hold
            </Control>
          </div>
        )}
      </footer>
    </FullScreen>
  );
}

/** True until some seconds after go: so long somebody may be said to have gone too early. */
function useEarly(goMs: number | null): boolean {
  const [overFor, setOverFor] = useState<number | null>(null);
  useEffect(() => {
    if (goMs === null) return;
    const timer = setTimeout(() => setOverFor(goMs), Math.max(0, goMs + tooEarlyMs - performance.now()));
    return () => {
      clearTimeout(timer);
    };
  }, [goMs]);
  return goMs !== null && overFor !== goMs;
}

const isControl = (target: EventTarget): boolean =>
  target instanceof Element && target.closest('[data-control]') !== null;

/** Straight to the page, as the press must show in the next frame and not wait for a render. */
function light(edge: HTMLElement): void {
  edge.style.opacity = '1';
  setTimeout(() => {
    edge.style.opacity = '0';
  }, 110);
}

function lastStands(repsMs: readonly number[]): string {
  const times = repsMs.map((ms, i) => (ms - (repsMs[i - 1] ?? 0)) / 1000).slice(-3);
  return times.length === 0 ? 'waiting for the first stand' : `${times.map((s) => s.toFixed(1)).join('  ')} s`;
}

function Control({
  children,
  hotkey,
  press,
  pressed,
}: {
  children: ReactNode;
  hotkey: string;
  press: (timeStamp: number) => void;
  pressed?: boolean;
}) {
  return (
    <button
      type="button"
      tabIndex={-1}
      aria-pressed={pressed}
      className="flex min-h-24 cursor-pointer items-center justify-center gap-3 rounded-md border-2 border-ink bg-board px-1 text-center text-xl font-bold aria-pressed:border-4 max-sm:text-base"
      onClick={(event) => {
        press(event.timeStamp);
      }}
    >
      {children}
      <span className="max-lg:hidden">
        <Key>{hotkey}</Key>
      </span>
    </button>
  );
}

interface HalfWayProps {
  readonly answer: (counts: boolean, by: EventBy, timeStamp: number) => void;
  /** What may still have to be put right, as hands and slips are noticed late. */
  readonly children: ReactNode;
}

function HalfWay({ answer, children }: HalfWayProps) {
  const choice = (counts: boolean, words: string, hotkey: string) => (
    <button
      type="button"
      className="flex min-h-24 cursor-pointer items-center justify-center gap-3 rounded-md border-4 border-ink bg-board px-2 text-center text-xl font-bold"
      onClick={(event) => {
        answer(counts, 'touch', event.timeStamp);
      }}
    >
      {words}
      <span className="max-sm:hidden">
        <Key>{hotkey}</Key>
      </span>
    </button>
  );
  return (
    <div
      role="group"
      aria-label="At the tone"
      className="grid grid-cols-2 gap-3 lg:grid-cols-[1.7fr_1.3fr_0.9fr_1.15fr_0.9fr] lg:gap-4 low:grid-cols-4 low:gap-x-3 low:gap-y-1"
    >
      <p className="self-center text-xl font-bold max-lg:col-span-2 low:col-span-4 low:text-base">
        At the tone: more than half-way up in a stand not yet counted?
      </p>
      {choice(true, 'Yes, one more', 'Y')}
      {choice(false, 'No', 'N')}
      {children}
    </div>
  );
}

function StopReasons({ stop, back }: { stop: (reason: StopReason, by: EventBy) => void; back: () => void }) {
  return (
    <div
      role="group"
      aria-label="Why is it stopped?"
      className="grid grid-cols-2 gap-3 sm:grid-cols-4 lg:grid-cols-7 low:grid-cols-7 low:gap-1.5"
    >
      {stopReasons.map((reason, i) => (
        <button
          key={reason}
          type="button"
          className="flex min-h-24 cursor-pointer flex-col items-center justify-center gap-1 rounded-md border-2 border-ink bg-board text-center text-lg font-bold low:text-sm"
          onClick={() => {
            stop(reason, 'touch');
          }}
        >
          {stopReasonWords[reason]}
          <span className="max-sm:hidden">
            <Key>{i + 1}</Key>
          </span>
        </button>
      ))}
      <button
        type="button"
        className="min-h-24 cursor-pointer rounded-md border-2 border-dashed border-ink bg-board text-lg font-bold"
        onClick={back}
      >
        Go on <Key>Esc</Key>
      </button>
    </div>
  );
}

function TimeLeft({ goMs, durationS }: { goMs: number | null; durationS: number }) {
  const text = useRef<HTMLSpanElement>(null);
  useFrames(
    useCallback(
      (now: number) => {
        if (!text.current || goMs === null) return;
        const elapsed = (now - goMs) / 1000;
        const words =
          elapsed < 0 ? `starts in ${Math.ceil(-elapsed)}` : `${Math.max(0, durationS - elapsed).toFixed(1)} s left`;
        if (text.current.textContent !== words) text.current.textContent = words;
      },
      [durationS, goMs],
    ),
  );
  return (
    <span
      ref={text}
      role="timer"
      className="num ml-auto text-3xl font-bold whitespace-nowrap max-md:text-2xl"
      data-testid="time-left"
    />
  );
}

/** What is left of the time, as a level that drains behind the plate. */
function Level({ goMs, durationS }: { goMs: number | null; durationS: number }) {
  const level = useRef<HTMLDivElement>(null);
  useFrames(
    useCallback(
      (now: number) => {
        if (!level.current || goMs === null) return;
        const gone = Math.min(1, Math.max(0, (now - goMs) / (durationS * 1000)));
        moveTo(level.current, 0, gone * level.current.clientHeight);
      },
      [durationS, goMs],
    ),
  );
  return (
    <div className="absolute inset-0 overflow-hidden" aria-hidden>
      <div ref={level} className="absolute inset-0 border-t-2 border-ink bg-wood-pale will-change-transform" />
    </div>
  );
}
