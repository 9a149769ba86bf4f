'use client';
import type { ReactNode } from 'react';
import { stopReasons, type EventBy, type StopReason } from '../../core/shapes/attempt';
import { Key } from '../touch/button';
import { stopReasonWords } from '../words';

/** One key of the lane, for a thumb. */
export function Control({
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

/** What the tone asks. */
export function HalfWay({ answer, children }: HalfWayProps) {
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

/** Why it is stopped; the lane stands still meanwhile. */
export function StopReasons({ stop, back }: { stop: (reason: StopReason, by: EventBy) => void; back: () => void }) {
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
