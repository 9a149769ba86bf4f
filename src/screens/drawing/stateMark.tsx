'use client';
import { states, type Sign, type State } from '../states';

/** The sign of a state; its word stands beside it, or is read out where it does not. */
export function StateMark({ state, silent = false }: { state: State; silent?: boolean }) {
  const { sign, word } = states[state];
  return <SignMark sign={sign} label={silent ? undefined : word} />;
}

/** A state as it is said everywhere: its sign and its word. */
export function StateWord({ state }: { state: State }) {
  return (
    <span className="flex items-center gap-2">
      <StateMark state={state} silent /> {states[state].word}
    </span>
  );
}

/** Shape and tone of a sign; in forced colours the shape alone, in the colour of the words. */
export function SignMark({ sign, label }: { sign: Sign; label?: string | undefined }) {
  return (
    <svg
      width="20"
      height="20"
      viewBox="0 0 20 20"
      className="shrink-0"
      role={label === undefined ? undefined : 'img'}
      aria-label={label}
      aria-hidden={label === undefined || undefined}
      data-sign={sign}
    >
      <Shape sign={sign} />
    </svg>
  );
}

function Shape({ sign }: { sign: Sign }) {
  switch (sign) {
    case 'ready':
      return <circle cx="10" cy="10" r="7.5" fill="none" stroke="var(--color-ready)" strokeWidth="3" />;
    case 'watch':
      return (
        <>
          <path d="M10 1.5 18.5 10 10 18.5 1.5 10Z" fill="none" stroke="var(--color-watch)" strokeWidth="2.2" />
          <path d="M10 1.5V18.5L1.5 10Z" fill="var(--color-watch)" />
        </>
      );
    case 'stop':
      return <rect x="2.5" y="2.5" width="15" height="15" fill="var(--color-stop)" />;
    case 'unknown':
      return <Dashed />;
    case 'due':
      return (
        <g fill="none" stroke="var(--color-ink)" strokeLinecap="round" strokeLinejoin="round">
          <circle cx="10" cy="10" r="8" strokeWidth="2" />
          <path d="M10 5v5l3.4 2" strokeWidth="2.4" />
        </g>
      );
    case 'waits':
      return (
        <>
          <Dashed />
          <circle cx="10" cy="10" r="3" fill="var(--color-ink)" />
        </>
      );
  }
}

const Dashed = () => (
  <circle cx="10" cy="10" r="7.5" fill="none" stroke="var(--color-ink-soft)" strokeWidth="2.5" strokeDasharray="4 3" />
);
