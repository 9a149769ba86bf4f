'use client';
import { memo, useEffect, useRef, useState, type PointerEvent, type Ref } from 'react';
import { countsFor, isOver } from '../../core/measure/phase';
import { seenIn } from '../../core/measure/trial';
import type { EventBy, StopReason } from '../../core/shapes/attempt';
import type { NormRow } from '../../core/shapes/norms';
import type { Protocol } from '../../core/shapes/protocol';
import { Key } from '../touch/button';
import { sideName } from '../scores/testWords';
import { rowWords } from '../words';
import { ClockBody } from './clockBody';
import { Control, Controls, HalfWay, StopReasons } from './controls';
import { CountBody } from './countBody';
import { DistanceBody } from './distanceBody';
import { TimeLeft } from './laneClock';
import { laneKeys } from './laneKeys';
import { laneLetters, type LaneNow } from './lanes';
import { NotKept } from './notKept';
import { StagedBody } from './stagedBody';

/** So long after go somebody may be said to have gone too early, or to begin later than the others. */
export const tooEarlyMs = 5000;

export interface StripDeeds {
  readonly tap: (by: EventBy, atMs: number) => void;
  readonly undo: (by: EventBy, atMs: number) => void;
  /** Asks why; the lane stands still meanwhile. */
  readonly askStop: (by: EventBy, atMs?: number) => void;
  readonly stop: (reason: StopReason, by: EventBy) => void;
  readonly pickSide: (side: number) => void;
}

interface Props {
  readonly lane: LaneNow;
  readonly protocol: Protocol;
  readonly row: NormRow | null;
  readonly seatsCm: readonly number[];
  /** What is said of the device that counts here. */
  readonly device: string | null;
  /** Others are tested beside them. */
  readonly many: boolean;
  /** They began at another moment than the others. */
  readonly ownClock: boolean;
  /** Whether digits choose the reason: while another lane runs they count there. */
  readonly digits: boolean;
  readonly deeds: StripDeeds;
  readonly flash: Ref<HTMLDivElement>;
}

/**
 * One participant in a running test. The whole strip is the tap target; the instructor’s eyes are on the person, so
 * there is one huge number, the time as a draining level behind its plate, and a few keys.
 */
export const Strip = memo(function Strip({
  lane,
  protocol,
  row,
  seatsCm,
  device,
  many,
  ownClock,
  digits,
  deeds,
  flash,
}: Props) {
  const { active, runs, person, place } = lane;
  const lastPressMs = useRef(-Infinity);
  const tap = (event: PointerEvent) => {
    // A second finger is never primary, and counts all the same.
    if (event.button !== 0 || isControl(event.target)) return;
    lastPressMs.current = event.timeStamp;
    deeds.tap('touch', event.timeStamp);
  };
  return (
    <section
      aria-label={lane.name}
      className={`@container relative flex min-w-0 flex-1 flex-col ${many ? 'bg-board max-lg:basis-[40%] max-md:min-h-[25rem] max-md:basis-auto max-md:shrink-0 low:min-h-[19rem]' : 'min-h-0 overflow-x-hidden overflow-y-auto'}`}
      onPointerDown={tap}
      onClick={(event) => {
        // A switch or a screen reader clicks without a pointer.
        if (event.timeStamp - lastPressMs.current > 1000 && !isControl(event.target)) deeds.tap('key', event.timeStamp);
      }}
      data-testid="lane"
      data-person-id={active.kept.personId}
      data-person-name={lane.name}
      data-blood-thinners={person?.record.intakes.at(-1)?.bloodThinners === true ? 'yes' : undefined}
    >
      {[...new Set(runs.map((r) => r.lane.keeping))].map((keeping) => (
        <NotKept key={keeping} keeping={keeping} />
      ))}
      <div
        ref={flash}
        aria-hidden
        className="pointer-events-none absolute inset-0 z-20 border-[16px] border-squat opacity-0 will-change-[opacity]"
      />
      <div className="relative z-10 flex items-center gap-x-4 gap-y-0 bg-board px-4 pt-2 pb-1 low:py-0">
        {many && (
          <span className="flex size-12 shrink-0 items-center justify-center rounded-md border-4 border-ink text-3xl font-extrabold low:size-8 low:text-lg">
            {laneLetters[place]}
          </span>
        )}
        <div className="min-w-0">
          <h2
            className="leading-[1.08] font-extrabold whitespace-nowrap low:text-xl!"
            style={{ fontSize: wide(many ? lane.short : lane.name, many) }}
          >
            {many ? lane.short : lane.name}
          </h2>
          <p className={`text-lg leading-tight low:hidden ${many ? 'max-sm:hidden' : ''}`}>
            {[person && row ? rowWords(row) : '', many && active.kept.side ? sideName(active.kept.side) : '']
              .filter(Boolean)
              .join(' · ')}
          </p>
        </div>
        {ownClock && <TimeLeft goMs={active.lane.goMs} durationS={countsFor(protocol.capture)} />}
      </div>
      {device && !lane.over && (
        <p role="status" className="z-10 bg-board px-4 pb-1 text-lg leading-tight font-semibold" data-testid="device">
          {device}
        </p>
      )}
      {runs.length > 1 && <Sides lane={lane} pick={deeds.pickSide} />}
      <Body lane={lane} protocol={protocol} row={row} seatsCm={seatsCm} />
      <footer
        className={`z-10 border-t-4 border-ink bg-board px-3 py-2 max-md:px-2 low:py-1 ${many || typed(protocol) ? '' : 'sticky bottom-0'}`}
        data-control
      >
        <Foot {...{ lane, protocol, many, digits, deeds }} />
      </footer>
    </section>
  );
}, sameStrip);

/**
 * A press on one lane draws that lane and no other. Its deeds are left out: they speak of this lane alone, and what they
 * know of it is compared.
 */
function sameStrip(a: Props, b: Props): boolean {
  return (
    a.lane.active === b.lane.active &&
    a.lane.over === b.lane.over &&
    a.lane.short === b.lane.short &&
    a.lane.runs.length === b.lane.runs.length &&
    a.lane.runs.every((run, i) => run === b.lane.runs[i]) &&
    a.row === b.row &&
    a.protocol === b.protocol &&
    a.many === b.many &&
    a.ownClock === b.ownClock &&
    a.device === b.device &&
    a.digits === b.digits
  );
}

/** As large as the strip is wide enough for, up to 54 px: read across a hall, never cut off. */
const wide = (name: string, many: boolean): string =>
  `clamp(20px, calc((100cqw - ${many ? 96 : 40}px) / ${(0.58 * name.length).toFixed(2)}), 54px)`;

/** What is typed or answered needs its room; nothing there has to be stopped within a breath. */
const typed = ({ capture }: Protocol): boolean => capture.kind === 'distance' || capture.kind === 'staged';

export const isControl = (target: EventTarget): boolean =>
  target instanceof Element && target.closest('[data-control]') !== null;

/** Both sides with what they did so far; a tap goes to the other one while no clock runs. */
function Sides({ lane, pick }: { lane: LaneNow; pick: (side: number) => void }) {
  return (
    <div className="flex gap-2 bg-board px-4 pb-2" role="group" aria-label="Side" data-control>
      {lane.runs.map((run, i) => {
        const { trial } = run.lane;
        const values = trial.tries.map((t) => t.value ?? '–').join(' · ');
        return (
          <button
            key={run.kept.clientKey}
            type="button"
            aria-pressed={run === lane.active}
            disabled={isOver(trial.state)}
            className="flex min-h-14 flex-1 cursor-pointer flex-wrap items-baseline justify-center gap-x-3 rounded-md border-2 border-ink px-3 text-lg aria-pressed:border-4 aria-pressed:bg-wood-pale disabled:border-dashed"
            onClick={() => pick(i)}
          >
            <b className="first-letter:uppercase">{sideName(run.kept.side)}</b>
            <span className="num">{values || 'not yet'}</span>
            {isOver(trial.state) && <b>done</b>}
          </button>
        );
      })}
    </div>
  );
}

function Body({ lane, protocol, row, seatsCm }: Pick<Props, 'lane' | 'protocol' | 'row' | 'seatsCm'>) {
  const { active, over } = lane;
  if (over) return <Done lane={lane} protocol={protocol} />;
  switch (protocol.capture.kind) {
    case 'count':
      return <CountBody lane={active.lane} protocol={protocol} row={row} />;
    case 'hold':
    case 'timed':
      return <ClockBody lane={active.lane} protocol={protocol} press={active.press} />;
    case 'distance':
      return <DistanceBody key={active.kept.clientKey} lane={active.lane} protocol={protocol} press={active.press} />;
    case 'staged':
      return <StagedBody run={active} protocol={protocol} seatsCm={seatsCm} />;
  }
}

/** A lane that is over while others go on. */
function Done({ lane, protocol }: Pick<Props, 'lane' | 'protocol'>) {
  const { trial } = lane.active.lane;
  return (
    <div className="flex flex-1 flex-col items-center justify-center bg-board p-4 text-center">
      <p className="num text-[clamp(56px,40cqw,176px)] leading-none font-bold">{seenIn(trial) ?? '–'}</p>
      <p className="text-2xl font-bold">{trial.state === 'finished' ? `Done. Sit and rest.` : 'Stopped. Seat them.'}</p>
      <p className="text-lg">{protocol.short}</p>
    </div>
  );
}

/** The keys of a lane: what may be marked, what takes it back, what ends it. */
function Foot({ lane, protocol, many, digits, deeds }: Pick<Props, 'lane' | 'protocol' | 'many' | 'digits' | 'deeds'>) {
  const { active, place } = lane;
  const { press } = active;
  const { trial, now, goMs } = active.lane;
  const { capture } = protocol;
  const early = useEarly(trial.state === 'running' ? goMs : null);
  if (active.lane.stopAsked && !lane.over)
    return <StopReasons stop={deeds.stop} back={() => deeds.askStop('touch')} digits={digits} />;
  if (lane.over) return <p className="min-h-10 text-lg">Nothing more is counted here.</p>;
  const whose = (words: string) => (many ? `${words}: ${lane.short}` : undefined);
  const undo = (
    <Control
      key="undo"
      hotkey={many ? laneKeys.undo[place] : 'Backspace'}
      label={whose('Undo')}
      press={(t) => deeds.undo('touch', t)}
    >
      Undo
    </Control>
  );
  const offers = protocol.offers.map(({ mark, word }, i) => (
    <Control
      key={mark}
      hotkey={mark === 'not-full' ? `⇧${place + 1}` : i === 0 ? laneKeys.mark[place] : undefined}
      label={whose(word)}
      pressed={mark === 'hands' ? trial.handsUsed : undefined}
      press={(t) => press(mark === 'not-full' ? { do: 'not-full' } : { do: 'mark', mark: { kind: mark } }, 'touch', t)}
    >
      {word}
    </Control>
  ));
  if (trial.state === 'half-way-open')
    return (
      <HalfWay
        many={many ? { yes: String(place + 1), no: laneKeys.undo[place] ?? '' } : null}
        answer={(counts, by, t) => press({ do: 'half', counts }, by, t)}
      >
        {undo}
        {offers[0]}
      </HalfWay>
    );
  const timed = countsFor(capture) !== null;
  const measured = trial.state === 'running';
  return (
    <Controls>
      {!many && timed && (
        <p className="self-center text-center text-lg @max-2xl:hidden">
          <Key>Space</Key> or a tap anywhere counts
        </p>
      )}
      {undo}
      {offers}
      {many && early && timed && (
        <Control label={whose('Own start')} press={() => press({ do: 'again' }, 'touch')}>
          Own start
        </Control>
      )}
      {!timed && measured && now.sinceMs !== null && capture.kind !== 'count' && (
        <Control
          press={() =>
            press({ do: 'mark', mark: { kind: 'false-start', ...(now.nth > 0 ? { try: now.nth } : {}) } }, 'touch')
          }
        >
          Does not count
        </Control>
      )}
      {!timed && measured && now.sinceMs === null && (
        <Control press={() => press({ do: 'end' }, 'touch')}>That is enough</Control>
      )}
      {capture.kind === 'count' && !timed && measured && (
        <Control main press={() => press({ do: 'end' }, 'touch')}>
          Finish
        </Control>
      )}
      {!measured && (
        <>
          <Control press={() => unable('unable')}>Could not do it</Control>
          <Control press={() => unable('not-tried')}>Not tried</Control>
        </>
      )}
      {measured && (
        <Control
          hotkey={many ? laneKeys.stop[place] : 'Esc'}
          label={whose('Stop')}
          press={(t) => deeds.askStop('touch', t)}
        >
          <span aria-hidden className="size-4 bg-stop" /> Stop
        </Control>
      )}
    </Controls>
  );
  function unable(outcome: 'unable' | 'not-tried') {
    press({ do: 'mark', mark: { kind: 'entered', value: null, handsUsed: false, outcome } }, 'touch');
  }
}

/** True until some seconds after go: so long somebody may be said to have gone too early. */
export function useEarly(goMs: number | null): boolean {
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
