'use client';
import { useRef, useState } from 'react';
import type { Protocol } from '../../core/shapes/protocol';
import { useKeys } from '../frame/keys';
import { Button } from '../touch/button';
import { Step, useSettled } from '../touch/step';
import type { Press } from './bench/useLane';
import { FullScreen } from './fullScreen';

/** One to three slow stands, tapped as in the test, with no clock. */
export function Practice({
  press,
  name,
  protocol,
  leave,
}: {
  press: Press;
  name: string;
  protocol: Protocol;
  leave: () => void;
}) {
  const [reps, setReps] = useState(0);
  const begun = useRef(false);
  const begin = () => {
    // A second press comes sooner than the lane does.
    if (begun.current) return;
    begun.current = true;
    press({ do: 'mark', mark: { kind: 'practice', reps } }, 'key');
    press({ do: 'begin' }, 'key');
  };
  const settled = useSettled();
  useKeys('screen', (event) => {
    if (event.code === 'Space') setReps((n) => (event.repeat ? n : n + 1));
    else if (event.code === 'Enter') {
      if (!event.repeat && settled()) begin();
    } else if (event.code === 'Escape') leave();
    else return false;
    return true;
  });
  return (
    <FullScreen data-testid="practice">
      <Step className="flex min-h-full flex-1 flex-col">
        <header className="flex flex-wrap items-baseline gap-x-5 border-b-4 border-ink px-7 py-3 max-md:px-4 low:py-1">
          <h1 className="text-3xl font-extrabold max-md:text-2xl">{name}</h1>
          <p className="text-lg">{protocol.title}</p>
          <Button look="plain" className="ml-auto" onClick={leave} data-at-once>
            Leave
          </Button>
        </header>
        <button
          type="button"
          data-at-once
          className="flex flex-1 cursor-pointer flex-col items-center justify-center gap-2 px-4"
          onPointerDown={(event) => {
            if (event.button === 0) setReps((n) => n + 1);
          }}
        >
          <span className="text-2xl font-bold low:text-lg">Practice</span>
          <span className="num text-[clamp(56px,25vh,200px)] leading-none font-bold">{reps}</span>
          <span className="max-w-xl text-lg low:text-base">
            {protocol.practice} Tap here or press Space for each; nothing is counted yet.
          </span>
        </button>
        <footer className="sticky bottom-0 flex flex-wrap items-center gap-5 border-t-4 border-ink bg-board px-7 py-3 max-md:px-4">
          <Button className="min-h-24 text-2xl max-sm:w-full sm:min-w-96" hotkey="Enter" onClick={begin}>
            Start: 3, 2, 1, go
          </Button>
          <p className="text-lg max-md:hidden low:hidden">
            Somebody may go too early: the way back stands on the next screen.
          </p>
        </footer>
      </Step>
    </FullScreen>
  );
}
