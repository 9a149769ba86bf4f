'use client';
import { amount } from '../../core/math/amount';
import { liveEvents } from '../../core/measure/live';
import { fullReps, marksOf } from '../../core/measure/marks';
import { countedIn } from '../../core/measure/trial';
import type { AttemptEvent } from '../../core/shapes/attempt';
import type { Protocol } from '../../core/shapes/protocol';
import { Button } from '../touch/button';
import { deviceName } from '../words';
import type { RunNow } from './bench/useLanes';

const notOne = 'not one, said at the station';

/**
 * What a device counted, for whoever saw it to say yes to: each repetition can be overruled, by a tap, and put back by
 * another.
 */
export function Agree({ run, protocol, many }: { run: RunNow; protocol: Protocol; many: boolean }) {
  const { lane, press } = run;
  const counted = countedIn(lane.trial);
  const notes = lane.events.flatMap((e) => (e.kind === 'note' && e.by === 'page' ? [e.text] : []));
  const reps = overruled(lane.events);
  return (
    <div className="mt-4 max-w-4xl border-4 border-dashed border-ink bg-board p-4" data-testid="agree">
      <p className="text-2xl font-bold">
        <span className="num" data-testid="told">
          {amount(counted, protocol.unit)}
        </span>{' '}
        by the {deviceName(run.kept.device ?? 'seat')}. Is that what you saw?
      </p>
      {notes.map((text) => (
        <p key={text} className="mt-1 text-lg font-semibold">
          {text}
        </p>
      ))}
      <div role="group" aria-label="Seconds of each; a tap leaves one out" className="mt-3 flex flex-wrap gap-2">
        {reps.map(({ rep, strike }, i) => (
          <button
            key={rep.seq}
            type="button"
            aria-pressed={strike === undefined}
            className="num min-h-12 min-w-16 cursor-pointer rounded-md border-2 border-ink px-2 text-lg not-aria-pressed:border-dashed not-aria-pressed:line-through aria-pressed:font-bold"
            aria-label={`Number ${i + 1}, at ${(rep.atMs / 1000).toFixed(1)} s`}
            onClick={() =>
              press({ do: 'mark', mark: { kind: 'strike', ofSeq: (strike ?? rep).seq, reason: notOne } }, 'touch')
            }
          >
            {(rep.atMs / 1000).toFixed(1)}
          </button>
        ))}
      </div>
      <div className="mt-3 flex flex-wrap items-center gap-4">
        <Button
          className="min-h-24 text-2xl"
          hotkey={many ? undefined : 'Y'}
          onClick={() => press({ do: 'mark', mark: { kind: 'agree' } }, 'touch')}
        >
          Yes: {amount(counted, protocol.unit)}
        </Button>
        <p className="min-w-0 flex-1 basis-64">
          A tap on a time leaves it out. Until you say yes it is kept and is no result.
        </p>
      </div>
    </div>
  );
}

interface Overruled {
  readonly rep: AttemptEvent;
  /** That left it out, while it is. */
  readonly strike: AttemptEvent | undefined;
}

/** The repetitions that count, and those that were left out here, in the order of their times. */
function overruled(events: readonly AttemptEvent[]): Overruled[] {
  const live = liveEvents(events);
  const strikes = live.filter((e) => e.kind === 'strike' && e.reason === notOne);
  const out = strikes.flatMap((strike): Overruled[] => {
    const rep = events.find((e) => strike.kind === 'strike' && e.seq === strike.ofSeq && e.kind === 'rep');
    return rep ? [{ rep, strike }] : [];
  });
  const counting = fullReps(marksOf(live, 0).marks).filter((e) => e.atMs >= 0);
  return [...counting.map((rep) => ({ rep, strike: undefined })), ...out].sort((a, b) => a.rep.atMs - b.rep.atMs);
}
