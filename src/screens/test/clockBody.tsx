'use client';
import { hasCountdown } from '../../core/measure/phase';
import type { Protocol } from '../../core/shapes/protocol';
import { told } from '../words';
import type { LaneShown } from './bench/runner';
import type { Press } from './bench/useLanes';
import { Control } from './controls';
import { Countdown, Rest, Running } from './laneClock';

/** A hold or a time: the clock huge, when to press under it, the tries that were had beside it. */
export function ClockBody({ lane, protocol, press }: { lane: LaneShown; protocol: Protocol; press: Press }) {
  const { trial, now, goMs } = lane;
  const runs = now.sinceMs !== null;
  const { capture, tries, taps, station } = protocol;
  const of = tries?.count ?? 1;
  const last = trial.tries.findLast((t) => t.value !== null);
  const reps = capture.kind === 'timed' && capture.reps !== undefined ? capture.reps : null;
  const counted = trial.tries[now.nth]?.atMs.length ?? 0;
  const waitsForWord = !runs && hasCountdown(capture);
  return (
    <div className="relative min-h-40 flex-1 bg-wood-pale [container-type:size]">
      <div className="absolute inset-0 flex flex-col items-center justify-center gap-3 px-3">
        <div className="relative flex min-w-[min(520px,92cqw)] flex-col data-counting:*:not-aria-hidden:invisible items-center rounded-lg border-4 border-ink bg-board px-6 py-2 low:py-0">
          {runs ? (
            <Running
              lane={lane}
              className="num text-[max(56px,min(100cqh-290px,300px,26cqw))] leading-[1.02] font-bold"
            />
          ) : (
            <span
              className="num text-[max(56px,min(100cqh-290px,300px,26cqw))] leading-[1.02] font-bold"
              data-testid="clock"
            >
              {last?.value === undefined || last.value === null ? '0.0' : told(last.value, 's').toFixed(1)}
            </span>
          )}
          <p className="text-center text-2xl font-bold low:text-lg" data-testid="lane-words">
            {runs
              ? reps === null
                ? `Tap when ${taps?.end ?? 'it ends'}`
                : `${counted} of ${reps}: tap at each full stand`
              : waitsForWord
                ? 'Ready?'
                : `Tap when ${taps?.start ?? 'it begins'}`}
          </p>
          {of > 1 && (
            <p className="text-xl" data-testid="tries">
              {Array.from({ length: of }, (_, nth) => (
                <span
                  key={nth}
                  className={`mx-2 inline-block ${nth === now.nth ? 'font-bold underline underline-offset-4' : ''}`}
                >
                  {nth + 1}: <span className="num">{trial.tries[nth]?.value ?? '–'}</span>
                </span>
              ))}
            </p>
          )}
          {!runs && now.endedMs !== null && goMs !== null && station.betweenTriesS > 0 && (
            <p className="text-xl">
              <Rest key={now.endedMs} fromMs={goMs + now.endedMs} seconds={station.betweenTriesS} />
            </p>
          )}
          <Countdown
            goMs={goMs === null || now.sinceMs === null ? null : goMs + now.sinceMs}
            className="num absolute inset-0 flex items-center justify-center rounded-lg bg-board text-[max(56px,min(100cqh-220px,260px))] leading-none font-bold"
          />
        </div>
        {waitsForWord && (
          <div className="w-full max-w-xl" data-control>
            <Starts press={() => press({ do: 'begin' }, 'touch')} words="Start: 3, 2, 1, go" />
          </div>
        )}
      </div>
    </div>
  );
}

/** The one next thing where a clock waits for a word. */
function Starts({ press, words }: { press: () => void; words: string }) {
  return (
    <div className="grid">
      <Control main hotkey="Enter" press={press}>
        {words}
      </Control>
    </div>
  );
}
