'use client';
import { useCallback, useEffect, useRef, useState, type PointerEvent } from 'react';
import { evenPace } from '../../core/measure/pace';
import { clockMs } from '../../core/measure/phase';
import { countedIn, repsIn } from '../../core/measure/trial';
import { stopReasons, type EventBy, type StopReason } from '../../core/shapes/attempt';
import type { NormRow } from '../../core/shapes/norms';
import type { Protocol } from '../../core/shapes/protocol';
import { holdEverything, onHold } from '../frame/holding';
import { useKeys } from '../frame/keys';
import { lettersAreOn } from '../frame/singleLetters';
import { Key } from '../touch/button';
import { rowWords } from '../words';
import type { LaneShown } from './bench/runner';
import type { Press } from './bench/useLane';
import { FullScreen } from './fullScreen';
import { Level, TimeLeft } from './laneClock';
import { Control, HalfWay, StopReasons } from './laneControls';
import { LaneRule } from './laneRule';
import { NotKept } from './notKept';

/** So long after go somebody may be said to have gone too early. */
const tooEarlyMs = 5000;

interface Props {
  readonly lane: LaneShown;
  readonly press: Press;
  readonly personId: string;
  readonly name: string;
  /** Known from the intake, for the sheet of an incident. */
  readonly bloodThinners: boolean;
  readonly protocol: Protocol;
  readonly row: NormRow | null;
}

/**
 * One participant in a running test. The whole strip is the tap target; the instructor's eyes are on the person, so
 * there is one huge number, the time as a draining level behind its plate, and three keys.
 */
export function Lane({ lane, press, personId, name, bloodThinners, protocol, row }: Props) {
  const { trial, goMs } = lane;
  const lastMs = clockMs(protocol);
  const durationS = lastMs === null ? null : lastMs / 1000;
  const counted = countedIn(trial);
  const [stopAsked, setStopAsked] = useState<number | null>(null);
  const flash = useRef<HTMLDivElement>(null);
  const lastPressMs = useRef(-Infinity);
  const asking = trial.state === 'half-way-open';
  const early = useEarly(asking ? null : goMs);

  const count = (by: EventBy, atMs: number) => {
    if (flash.current && !asking) light(flash.current);
    press({ do: 'tap' }, by, atMs);
  };
  const answer = (counts: boolean, by: EventBy, atMs: number) => press({ do: 'half', counts }, by, atMs);
  const stop = (reason: StopReason, by: EventBy) =>
    press({ do: 'stop', reason, ...(stopAsked === null ? {} : { atMs: stopAsked }) }, by);
  const hands = (by: EventBy, atMs: number) => press({ do: 'mark', mark: { kind: 'hands' } }, by, atMs);
  const tooEarly = (by: EventBy) => press({ do: 'again' }, by);
  const askStop = (event: KeyboardEvent) => setStopAsked((asked) => (asked === null ? event.timeStamp : null));
  const countKey = (event: KeyboardEvent) => count('key', event.timeStamp);
  const undoKey = (event: KeyboardEvent) => press({ do: 'undo' }, 'key', event.timeStamp);
  const keys: Readonly<Record<string, (event: KeyboardEvent) => void>> = {
    Space: countKey,
    PageDown: countKey,
    Digit1: countKey,
    Backspace: undoKey,
    PageUp: undoKey,
    Escape: askStop,
    F8: () => {
      if (!asking) tooEarly('key');
    },
    // A page made anew in a running test would lose it.
    F5: () => undefined,
  };
  const letters: typeof keys = {
    KeyQ: undoKey,
    KeyA: (event) => hands('key', event.timeStamp),
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

  useEffect(() => onHold(() => press({ do: 'mark', mark: { kind: 'halt' } }, 'key')), [press]);

  const pace = useCallback(
    (now: number) =>
      row && goMs !== null && durationS !== null ? evenPace((row.p25 + row.p75) / 2, durationS, now - goMs) : null,
    [durationS, goMs, row],
  );
  const undoControl = (
    <Control hotkey="Backspace" press={(t) => press({ do: 'undo' }, 'touch', t)}>
      Undo
    </Control>
  );
  const handsControl = (
    <Control hotkey="A" press={(t) => hands('touch', t)} pressed={trial.handsUsed}>
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
      <NotKept keeping={lane.keeping} />
      <div
        ref={flash}
        aria-hidden
        className="pointer-events-none absolute inset-0 z-20 border-[16px] border-squat opacity-0 will-change-[opacity]"
      />
      <header className="relative z-10 flex flex-wrap items-baseline gap-x-5 border-b-4 border-ink bg-board px-7 py-3 max-md:px-4 low:py-1">
        <h1 className="text-3xl font-extrabold max-md:text-2xl">{name}</h1>
        <p className="text-lg max-lg:order-last max-lg:w-full low:hidden">
          {protocol.title}
          {row && <span> · {rowWords(row)}</span>}
        </p>
        <TimeLeft goMs={goMs} durationS={durationS} />
      </header>
      <div className="relative min-h-24 flex-1 [container-type:size]">
        <Level goMs={goMs} durationS={durationS} />
        <div className="absolute inset-y-4 left-4 w-32 max-md:hidden [@media(max-height:760px)]:hidden">
          <LaneRule counted={counted} row={row} pace={pace} />
        </div>
        <div className="absolute inset-0 flex items-center justify-center">
          <div className="relative flex min-w-[min(420px,56vw)] flex-col items-center rounded-lg border-4 border-ink bg-board px-10 py-2 low:py-0">
            <output
              className="num text-[max(56px,min(100cqh-92px,340px,44cqw))] leading-[1.02] font-bold"
              aria-live="off"
              data-testid="count"
            >
              {counted}
            </output>
            <p className="pb-2 text-xl font-semibold low:pb-0 low:text-base" data-testid="lane-words">
              {asking
                ? 'Time. Sit and rest.'
                : trial.handsUsed
                  ? `with hands · ${trial.cleanBeforeHands} clean before`
                  : lastStands(repsIn(trial))}
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
              <Control hotkey="F8" press={() => tooEarly('touch')}>
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
