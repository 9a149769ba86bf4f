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
  main = false,
  label,
}: {
  children: ReactNode;
  hotkey?: string | undefined;
  press: (timeStamp: number) => void;
  pressed?: boolean | undefined;
  /** The one next thing to do. */
  main?: boolean;
  /** Where the words alone would not say whose it is. */
  label?: string | undefined;
}) {
  return (
    <button
      type="button"
      tabIndex={main ? 0 : -1}
      aria-pressed={pressed}
      aria-label={label}
      className={`flex min-h-24 cursor-pointer flex-wrap content-center items-center justify-center gap-x-3 gap-y-0.5 rounded-md border-2 border-ink px-1 text-center text-xl leading-tight font-bold aria-pressed:border-4 @max-[400px]:text-base max-sm:text-base ${main ? 'bg-ink text-board' : 'bg-board'}`}
      onClick={(event) => {
        press(event.timeStamp);
      }}
    >
      {children}
      {hotkey && (
        <span className="max-lg:hidden">
          <Key>{hotkey}</Key>
        </span>
      )}
    </button>
  );
}

/** The keys of a lane, as many beside each other as it is wide. */
export function Controls({ children, many = false }: { children: ReactNode; many?: boolean }) {
  return (
    <div
      className={`grid gap-2 ${many ? 'grid-cols-2 @md:grid-cols-4 @5xl:grid-cols-7' : 'auto-cols-fr grid-cols-2 @min-[280px]:grid-cols-3 @xl:grid-flow-col @xl:grid-cols-none'}`}
    >
      {children}
    </div>
  );
}

/** What the tone asks. */
export function HalfWay({
  answer,
  many,
  children,
}: {
  answer: (counts: boolean, by: EventBy, timeStamp: number) => void;
  /** The keys that answer, of several lanes. */
  many: { readonly yes: string; readonly no: string } | null;
  /** What may still have to be put right, as hands and slips are noticed late. */
  children: ReactNode;
}) {
  return (
    <div role="group" aria-label="At the tone">
      <p className="pb-1.5 text-xl font-bold @max-xl:text-base low:text-base">
        Half up?{' '}
        {!many && <span className="font-normal">More than half-way up at the tone, in a stand not yet counted.</span>}
      </p>
      <Controls>
        <Control main hotkey={many?.yes ?? 'Y'} press={(t) => answer(true, 'touch', t)}>
          Yes, one more
        </Control>
        <Control hotkey={many?.no ?? 'N'} press={(t) => answer(false, 'touch', t)}>
          No
        </Control>
        {children}
      </Controls>
    </div>
  );
}

/** Why it is stopped; the lane stands still meanwhile. */
export function StopReasons({
  stop,
  back,
  digits,
}: {
  stop: (reason: StopReason, by: EventBy) => void;
  back: () => void;
  /** Whether digits choose: while another lane runs they count there. */
  digits: boolean;
}) {
  return (
    <div role="group" aria-label="Why is it stopped?">
      <p className="pb-1.5 text-lg font-bold low:text-base">Stopped. Why?</p>
      <Controls many>
        {stopReasons.map((reason, i) => (
          <Control key={reason} hotkey={digits ? String(i + 1) : undefined} press={() => stop(reason, 'touch')}>
            {stopReasonWords[reason]}
          </Control>
        ))}
        <Control hotkey="Esc" press={back}>
          Go on
        </Control>
      </Controls>
    </div>
  );
}
