'use client';
import { useCallback } from 'react';
import { unitAfter } from '../../core/math/amount';
import { evenPace, paceOf } from '../../core/measure/pace';
import { clockMs } from '../../core/measure/phase';
import { countedIn, repsIn } from '../../core/measure/trial';
import type { NormRow } from '../../core/shapes/norms';
import type { Protocol } from '../../core/shapes/protocol';
import { SignMark } from '../drawing/stateMark';
import type { LaneShown } from './bench/runner';
import { Countdown, Level } from './laneClock';
import { LaneRule } from './laneRule';

/** Slower by this much in the last third than in the first is said while it can still be acted on. */
const slowingFrom = 1.2;

/** One huge number on its plate, the time as a level draining behind it, and for the instructor the pace of the median. */
export function CountBody({ lane, protocol, row }: { lane: LaneShown; protocol: Protocol; row: NormRow | null }) {
  const { trial, goMs } = lane;
  const lastMs = clockMs(protocol);
  const durationS = lastMs === null ? null : lastMs / 1000;
  const counted = countedIn(trial);
  const pace = useCallback(
    (now: number) =>
      row && goMs !== null && durationS !== null ? evenPace((row.p25 + row.p75) / 2, durationS, now - goMs) : null,
    [durationS, goMs, row],
  );
  const slowing = trial.state === 'running' && (paceOf(repsIn(trial), durationS ?? 1).slowing ?? 0) >= slowingFrom;
  return (
    <div className="relative min-h-24 flex-1 [container-type:size]">
      <Level goMs={goMs} durationS={durationS} />
      <div className="absolute inset-y-2 left-2 w-24 @max-[400px]:left-1 @max-[400px]:w-20 @max-[260px]:hidden low:hidden">
        <LaneRule counted={counted} row={row} pace={pace} />
      </div>
      <div className="absolute inset-0 flex items-center justify-center @min-[260px]:pl-22 @min-[400px]:pl-27 @4xl:px-27 low:px-0!">
        <div className="relative flex flex-col items-center rounded-lg border-2 data-counting:*:not-aria-hidden:invisible border-ink bg-board py-1 @min-[400px]:border-4 @min-[400px]:px-3 @xl:min-w-[420px] @xl:px-10 low:py-0">
          <output
            className={`num min-w-[2ch] text-center leading-[1.02] font-bold ${counted > 99 ? 'text-[max(48px,min(100cqh-92px,300px,38cqw))]' : 'text-[max(56px,min(100cqh-92px,340px,55cqw))] @min-[380px]:text-[max(56px,min(100cqh-92px,340px,50cqw))]'}`}
            aria-live="off"
            data-testid="count"
          >
            {counted}
          </output>
          <p className="pb-2 text-center text-xl font-semibold low:pb-0 low:text-base" data-testid="lane-words">
            {words(lane, protocol)}
          </p>
          {slowing && (
            <p className="flex items-center gap-2 pb-2 text-lg font-bold low:hidden">
              <SignMark sign="watch" /> slowing, a fifth
            </p>
          )}
          <Countdown
            goMs={goMs}
            className="num absolute inset-0 flex items-center justify-center rounded-lg bg-board text-[max(56px,min(100cqh-48px,340px,55cqw))] leading-none font-bold"
          />
        </div>
      </div>
    </div>
  );
}

function words({ trial }: LaneShown, { unit, handsMakeZero, capture }: Protocol): string {
  if (trial.state === 'half-way-open') return 'Time. Sit and rest.';
  if (trial.handsUsed && handsMakeZero) return `with hands · ${trial.cleanBeforeHands} clean before`;
  const most =
    capture.kind === 'count' && capture.ends !== 'stop-sign' && 'count' in capture.ends ? capture.ends.count : null;
  if (most !== null) return trial.state === 'waiting' ? 'Tap to begin' : `of ${most} ${unit}`;
  return lastOnes(repsIn(trial), unitAfter(1, unit));
}

function lastOnes(repsMs: readonly number[], one: string): string {
  const times = repsMs.map((ms, i) => (ms - (repsMs[i - 1] ?? 0)) / 1000).slice(-3);
  return times.length === 0 ? `waiting for the first ${one}` : `${times.map((s) => s.toFixed(1)).join('  ')} s`;
}
