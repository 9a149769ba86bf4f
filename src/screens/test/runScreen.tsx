'use client';
import { useCallback, useEffect, useRef } from 'react';
import { countsFor, hasCountdown, isOver } from '../../core/measure/phase';
import { paceRow } from '../../core/score/rank';
import { stopReasons, type EventBy, type StopReason } from '../../core/shapes/attempt';
import type { Protocol } from '../../core/shapes/protocol';
import { holdEverything, onHold } from '../frame/holding';
import { useKeys } from '../frame/keys';
import { lettersAreOn } from '../frame/singleLetters';
import { Button, Key } from '../touch/button';
import { FullScreen } from './fullScreen';
import { TimeLeft } from './laneClock';
import type { DeviceNow } from './devices/ears';
import { deviceLine } from './devices/useDevices';
import { laneKey, type LaneDeed } from './laneKeys';
import { sleepsWords, type LaneNow } from './lanes';
import { Sound } from './sound';
import { Strip, useEarly } from './strip';

interface Props {
  readonly lanes: readonly LaneNow[];
  readonly protocol: Protocol;
  readonly seatsCm: readonly number[];
  /** What is heard of the devices that count here. */
  readonly devices: readonly DeviceNow[];
  readonly pickSide: (lane: number, side: number) => void;
  /** Back to the people, while nothing was measured yet. */
  readonly leave: () => void;
  /** The screen may go dark by itself. */
  readonly sleeps: boolean;
}

/** A test as it runs: a strip each, side by side, one clock over them. */
export function RunScreen({ lanes, protocol, seatsCm, devices, pickSide, leave, sleeps }: Props) {
  const many = lanes.length > 1;
  const flashes = useRef(new Map<number, HTMLDivElement>());
  // A lane whose stop was pressed stands still until somebody says why, or that it goes on.
  const isAsked = ({ active }: LaneNow): boolean => active.lane.stopAsked !== null;
  const first = lanes[0]?.active.lane;
  const seconds = countsFor(protocol.capture);
  const counts = seconds !== null;
  const asking = lanes.every((l) => l.active.lane.trial.state === 'half-way-open');
  const begun = lanes.some((l) => l.runs.some((r) => r.lane.trial.state !== 'waiting'));
  const early = useEarly(counts && !asking ? (first?.goMs ?? null) : null);
  const live = lanes.filter((l) => !l.over);

  /** Both sides are stopped with the person. */
  const stoppedOf = ({ runs, active }: LaneNow) =>
    runs.filter((r) => !isOver(r.lane.trial.state) && (r === active || r.lane.trial.state !== 'waiting'));
  /** Asks why, or, pressed again, goes on. */
  const askStop = (lane: LaneNow, by: EventBy, atMs?: number) => {
    const act = { do: isAsked(lane) ? 'go-on' : 'ask-stop' } as const;
    for (const run of stoppedOf(lane)) run.press(act, by, atMs);
  };
  const stop = (lane: LaneNow, reason: StopReason, by: EventBy) => {
    for (const run of stoppedOf(lane)) run.press({ do: 'stop', reason }, by);
  };
  const tap = (lane: LaneNow, by: EventBy, atMs: number) => {
    if (lane.over || isAsked(lane)) return;
    const flash = flashes.current.get(lane.place);
    if (flash && lane.active.lane.trial.state !== 'half-way-open') light(flash);
    lane.active.press({ do: 'tap' }, by, atMs);
  };
  const undo = (lane: LaneNow, by: EventBy, atMs: number) => lane.active.press({ do: 'undo' }, by, atMs);
  const tooEarly = (by: EventBy, atMs?: number) => {
    if (asking || !counts) return;
    for (const lane of live) lane.active.press({ do: 'again' }, by, atMs);
  };
  const deed = (lane: LaneNow, what: LaneDeed, event: KeyboardEvent) => {
    const at = event.timeStamp;
    const { press, lane: now } = lane.active;
    switch (what) {
      case 'tap':
        tap(lane, 'key', at);
        return;
      case 'undo':
        undo(lane, 'key', at);
        return;
      case 'first-mark': {
        const offered = protocol.offers.find((o) => o.mark !== 'not-full');
        if (offered) press({ do: 'mark', mark: { kind: offered.mark as 'hands' } }, 'key', at);
        return;
      }
      case 'not-full':
        press({ do: 'not-full' }, 'key', at);
        return;
      case 'stop':
        askStop(lane, 'key', at);
        return;
      case 'yes':
      case 'no':
        answer(lane, what === 'yes', at);
        return;
      case 'main':
        if (now.now.sinceMs === null && hasCountdown(protocol.capture) && protocol.capture.kind === 'timed')
          press({ do: 'begin' }, 'key', at);
        return;
      case 'again':
        return;
    }
  };
  const answer = ({ active }: LaneNow, yes: boolean, at: number) => {
    const { capture } = protocol;
    const stage = capture.kind === 'staged' ? capture.stages[active.lane.now.nth] : undefined;
    if (capture.kind === 'count') active.press({ do: 'half', counts: yes }, 'key', at);
    else if (stage && capture.kind === 'staged' && capture.ends === 'all' && stage.afterS === undefined)
      active.press({ do: 'mark', mark: { kind: 'stage', id: stage.id, held: yes } }, 'key', at);
  };
  useKeys(
    'screen',
    (event) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return false;
      // A page made anew in a running test would lose it.
      if (event.code === 'F5') return begun;
      const asked = lanes.filter((l) => isAsked(l) && !l.over);
      const runs = lanes.some((l) => !l.over && !isAsked(l));
      const presses = event.target instanceof HTMLButtonElement && ['Space', 'Enter'].includes(event.code);
      if (presses && (asking || asked.length > 0 || !counts)) return false;
      const reason = runs ? undefined : stopReasons[Number(/^Digit([1-9])$/.exec(event.code)?.[1]) - 1];
      const [first] = asked;
      if (first && reason) {
        if (!event.repeat) stop(first, reason, 'key');
        return true;
      }
      if (event.code === 'F8') {
        if (!event.repeat) tooEarly('key', event.timeStamp);
        return true;
      }
      const key = laneKey(event.code, event.shiftKey, lanes.length, lettersAreOn());
      if (!key) return false;
      // A held key repeats; one press is one stand.
      if (event.repeat) return true;
      // Escape where nothing runs yet goes back.
      if (key.deed === 'stop' && !begun) leave();
      else {
        const meant = key.lanes.flatMap((place) => lanes[place] ?? []).filter((lane) => !lane.over);
        // Of all at once those that still run are stopped first; only where all are asked they go on.
        const still = key.deed === 'stop' ? meant.filter((lane) => !isAsked(lane)) : [];
        for (const lane of still.length > 0 ? still : meant) deed(lane, key.deed, event);
      }
      return true;
    },
    { overButtons: true },
  );

  useEffect(
    () =>
      onHold(() => {
        for (const run of live.flatMap((l) => l.runs))
          if (run.lane.now.sinceMs !== null) run.press({ do: 'mark', mark: { kind: 'halt' } }, 'key');
      }),
    [live],
  );
  const flashRef = useCallback(
    (place: number) => (element: HTMLDivElement | null) => {
      if (element) flashes.current.set(place, element);
      else flashes.current.delete(place);
    },
    [],
  );

  return (
    <FullScreen className="touch-manipulation select-none" data-testid="run">
      <header className="relative z-10 flex flex-wrap items-center gap-x-4 gap-y-1 border-b-4 border-ink bg-board px-4 py-1.5 low:py-0.5">
        <h1 className="text-xl font-bold max-md:text-lg low:text-base">{protocol.title}</h1>
        {early && counts ? (
          <Button look="line" onClick={() => tooEarly('touch')}>
            Too early: again <Key>F8</Key>
          </Button>
        ) : (
          !begun && (
            <Button look="plain" onClick={leave}>
              Leave
            </Button>
          )
        )}
        {many && begun && (
          <Button
            look="line"
            onClick={(event) => {
              for (const lane of live) if (!isAsked(lane)) askStop(lane, 'touch', event.timeStamp);
            }}
          >
            <span aria-hidden className="size-4 bg-stop" /> Stop all <Key>Esc</Key>
          </Button>
        )}
        <span className="ml-auto flex items-center gap-5">
          <Sound />
          {counts && <TimeLeft goMs={first?.goMs ?? null} durationS={seconds} />}
          <button
            type="button"
            tabIndex={-1}
            className="flex min-h-12 cursor-pointer items-center gap-3 rounded-full border-4 border-double border-ink bg-board px-5 text-lg font-bold"
            onClick={holdEverything}
          >
            <span>
              Hold<span className="max-md:hidden">: help here</span>
            </span>
            <span className="max-sm:hidden">
              <Key>F9</Key>
            </span>
          </button>
        </span>
      </header>
      {sleeps && !begun && <p className="bg-wood-pale px-4 py-1">{sleepsWords}</p>}
      <div
        className={`flex flex-1 ${many ? 'gap-1 bg-ink max-lg:flex-wrap max-md:flex-col max-md:flex-nowrap' : 'min-h-0'}`}
      >
        {lanes.map((lane) => (
          <Strip
            key={lane.place}
            lane={lane}
            protocol={protocol}
            row={lane.person ? paceRow(protocol.norms, lane.person.ageYears, lane.person.normTable) : null}
            seatsCm={seatsCm}
            device={deviceLine(lane.active.kept.device, devices)}
            many={many}
            ownClock={many && counts && lane.active.lane.goMs !== first?.goMs}
            digits={live.every(isAsked)}
            flash={flashRef(lane.place)}
            deeds={{
              tap: (by, atMs) => tap(lane, by, atMs),
              undo: (by, atMs) => undo(lane, by, atMs),
              askStop: (by, atMs) => askStop(lane, by, atMs),
              stop: (reason, by) => stop(lane, reason, by),
              pickSide: (side) => pickSide(lane.place, side),
            }}
          />
        ))}
      </div>
    </FullScreen>
  );
}

/** Straight to the page, as the press must show in the next frame and not wait for a render. */
function light(edge: HTMLElement): void {
  edge.style.opacity = '1';
  setTimeout(() => {
    edge.style.opacity = '0';
  }, 110);
}
