'use client';
import { useRef, useState } from 'react';
import type { Protocol } from '../../core/shapes/protocol';
import { useKeys } from '../frame/keys';
import { Button } from '../touch/button';
import { Step, useSettled } from '../touch/step';
import { FullScreen } from './fullScreen';
import { laneKey } from './laneKeys';
import { laneLetters, sleepsWords, type LaneNow } from './lanes';

/** A few slow ones each, tapped as in the test, with no clock; then one start for all. */
export function Practice({
  lanes,
  protocol,
  leave,
  swap,
  sleeps,
}: {
  lanes: readonly LaneNow[];
  protocol: Protocol;
  leave: () => void;
  /** They sit the other way round; offered where two are tested. */
  swap: (() => void) | null;
  /** The screen may go dark by itself. */
  sleeps: boolean;
}) {
  const [reps, setReps] = useState<readonly number[]>(lanes.map(() => 0));
  const begun = useRef(false);
  const many = lanes.length > 1;
  const more = (place: number) => setReps((now) => now.map((n, i) => (i === place ? n + 1 : n)));
  const begin = (atMs: number) => {
    // A second press comes sooner than the lane does.
    if (begun.current) return;
    begun.current = true;
    for (const { active, place } of lanes) {
      active.press({ do: 'mark', mark: { kind: 'practice', reps: Math.min(20, reps[place] ?? 0) } }, 'key', atMs);
      active.press({ do: 'begin' }, 'key', atMs);
    }
  };
  const settled = useSettled();
  useKeys('screen', (event) => {
    const key = laneKey(event.code, false, lanes.length, true);
    if (event.code === 'Enter') {
      if (!event.repeat && settled()) begin(event.timeStamp);
    } else if (event.code === 'Escape') leave();
    else if (key?.deed === 'tap') {
      if (!event.repeat) key.lanes.forEach(more);
    } else return false;
    return true;
  });
  return (
    <FullScreen data-testid="practice">
      <Step className="flex min-h-full flex-1 flex-col">
        <header className="flex flex-wrap items-center gap-x-5 border-b-4 border-ink px-7 py-2 max-md:px-4 low:py-1">
          <h1 className="text-xl font-bold low:text-base">
            {protocol.title}: practice{many ? '' : ` with ${lanes[0]?.name ?? ''}`}
          </h1>
          <Button look="plain" className="ml-auto" onClick={leave} data-at-once>
            Leave
          </Button>
        </header>
        <p className="bg-wood-pale px-7 py-1.5 text-lg max-md:px-4 low:text-base">
          {protocol.practice} Tap{many ? ' their half, or press its number,' : ', or press Space,'} for each; nothing is
          counted yet.{sleeps && ' ' + sleepsWords}
        </p>
        <div className="flex flex-1 max-md:flex-col low:flex-row!">
          {lanes.map(({ place, name, short }) => (
            <button
              key={place}
              type="button"
              data-at-once
              className="@container flex min-h-24 flex-1 shrink-0 cursor-pointer flex-col items-center justify-center gap-2 border-ink px-4 not-first:border-l-4 max-md:not-first:border-t-4 max-md:not-first:border-l-0 low:gap-0 low:not-first:border-t-0! low:not-first:border-l-4!"
              onPointerDown={(event) => {
                if (event.button === 0) more(place);
              }}
            >
              <span className="text-[clamp(24px,9cqw,54px)] leading-tight font-extrabold low:text-lg">
                {many ? `${laneLetters[place] ?? ''} ${short}` : name}
              </span>
              <span className="num text-[clamp(40px,14vh,200px)] leading-none font-bold">{reps[place]}</span>
            </button>
          ))}
        </div>
        <footer className="flex items-center gap-4 border-t-4 border-ink bg-board px-7 py-2 max-md:px-4 low:py-1">
          <Button
            className="min-h-24 flex-1 text-2xl whitespace-normal! max-sm:px-2 max-sm:text-lg sm:max-w-[30rem]"
            hotkey="Enter"
            onClick={(event) => begin(event.timeStamp)}
          >
            Start{many ? ' all' : ''}: 3, 2, 1, go
          </Button>
          {swap && (
            <Button
              look="line"
              className="min-h-24 text-xl whitespace-normal! max-sm:px-2 max-sm:text-base"
              onClick={swap}
            >
              Swap names
            </Button>
          )}
          <p className="text-lg max-lg:hidden low:hidden">
            Somebody may go too early: the way back stands on the next screen.
          </p>
        </footer>
      </Step>
    </FullScreen>
  );
}
