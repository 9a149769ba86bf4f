'use client';
import { useState } from 'react';
import { cmPerInch, unitsOf } from '../../core/math/units';
import { roundTo } from '../../core/math/round';
import type { Protocol } from '../../core/shapes/protocol';
import { useUnits } from '../frame/units';
import { TextBox } from '../touch/field';
import { typedNumber } from '../touch/typed';
import type { LaneShown } from './bench/runner';
import type { Press } from './bench/useLanes';
import { Control } from './controls';
import { Rest } from './laneClock';

/** What the tape says, typed once a try; a reach is read before and after, and the difference is worked out. */
export function DistanceBody({ lane, protocol, press }: { lane: LaneShown; protocol: Protocol; press: Press }) {
  const { trial, now, goMs } = lane;
  const units = useUnits();
  const { length: unit } = unitsOf[units];
  const { capture, tries, range, readTo = 1, station } = protocol;
  const fromStart = capture.kind === 'distance' && capture.fromStart === true;
  // In inches a tape is read to the half, or the quarter where centimetres are read to the half.
  const step = unit === 'in' ? (readTo >= 1 ? 0.5 : 0.25) : readTo;
  const [before, setBefore] = useState('');
  const [typed, setTyped] = useState('');
  const read = readingOf(typed, fromStart ? before : '0', step);
  const [asked, setAsked] = useState(false);
  const least = unit === 'in' ? roundTo(range.min / cmPerInch, 0.1) : range.min;
  const most = unit === 'in' ? roundTo(range.max / cmPerInch, 0.1) : range.max;
  const fits = read !== null && read >= least && read <= most;
  const of = tries?.count ?? 1;
  const done = trial.tries.filter((t) => t.state === 'done').length;
  const keep = () => {
    setAsked(!fits);
    if (!fits) return;
    press({ do: 'mark', mark: { kind: 'reading', value: read, unit } }, 'touch');
    setTyped('');
    setBefore('');
  };
  const box = (name: string, label: string, value: string, set: (words: string) => void) => (
    <label className="flex flex-col items-center gap-1 text-xl font-semibold">
      {label}
      <TextBox
        size="big"
        num
        name={name}
        inputMode="decimal"
        className="w-44 text-center text-5xl! font-bold"
        value={value}
        aria-invalid={asked && !fits}
        aria-describedby="reading-fault"
        onChange={(event) => set(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') keep();
        }}
      />
    </label>
  );
  return (
    <div className="flex flex-1 flex-col items-center justify-center gap-4 bg-wood-pale p-4" data-control>
      <p className="text-2xl font-bold" data-testid="lane-words">
        Try {Math.min(done + 1, of)} of {of}
      </p>
      <div className="flex flex-wrap items-end justify-center gap-5 rounded-lg border-4 border-ink bg-board px-8 py-5">
        {fromStart && box('before', `Knuckle before, ${unit}`, before, setBefore)}
        {box('reading', fromStart ? `Knuckle after, ${unit}` : `The tape says, ${unit}`, typed, setTyped)}
        {fromStart && (
          <p className="min-w-28 text-center text-xl font-semibold">
            Reach
            <span className="num block text-5xl font-bold" data-testid="difference">
              {read ?? '–'}
            </span>
          </p>
        )}
        <div className="grid w-56">
          <Control main hotkey="Enter" press={keep}>
            Keep this reading
          </Control>
        </div>
      </div>
      <p id="reading-fault" className="min-h-7 text-lg font-bold" role={asked && !fits ? 'alert' : undefined}>
        {asked && !fits ? `Write what the tape says: ${least} to ${most} ${unit}. Nothing is kept yet.` : ''}
      </p>
      <p className="text-xl" data-testid="tries">
        {trial.tries.map((t, nth) => (
          <span key={nth} className="mx-2 inline-block">
            {nth + 1}:{' '}
            <span className="num">
              {t.state === 'not-counted' ? 'does not count' : (shownIn(t.value, unit) ?? '–')}
            </span>
          </span>
        ))}
        {now.endedMs !== null && goMs !== null && station.betweenTriesS > 0 && (
          <Rest key={now.endedMs} fromMs={goMs + now.endedMs} seconds={station.betweenTriesS} />
        )}
      </p>
    </div>
  );
}

/** The difference of two figures as they were typed, to the step of the tape; `null` while one is none. */
function readingOf(after: string, before: string, step: number): number | null {
  const [from, to] = [before, after].map((text) => typedNumber(text.replace('−', '-'), null));
  return typeof from === 'number' && typeof to === 'number' ? roundTo(to - from, step) : null;
}

const shownIn = (cm: number | null, unit: 'cm' | 'in'): number | null =>
  cm === null ? null : unit === 'in' ? roundTo(cm / cmPerInch, 0.25) : cm;
