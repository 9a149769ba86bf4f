'use client';
import { useState } from 'react';
import type { Known } from '../../core/intake/known';
import { useRules } from '../frame/rules';
import { readingsOf, secondReadingFrom, type FirstReading } from '../../core/intake/pressure';
import type { DaySign, EntryContent } from '../../core/shapes/intake';
import { Button } from '../touch/button';
import { Step } from '../touch/step';
import { typedNumber } from '../touch/typed';
import { dayWords, placeWords } from '../words';
import { Choice, TextBox } from '../touch/field';

interface Props {
  readonly name: string;
  readonly known: Known;
  /** A first high reading of pressure, made five minutes ago or still waiting. */
  readonly first: FirstReading | null;
  readonly save: (contents: EntryContent[]) => void;
  readonly back: () => void;
}

/**
 * Read out, answered with one press by somebody well; never passed over without saying why. Its key is its own: a
 * bounce of Space or Enter from the step before must not say that somebody is well.
 */
export function DayCheck({ name, known, first, save, back }: Props) {
  const [signs, setSigns] = useState<readonly DaySign[]>(known.dayCheck?.content.signs ?? []);
  const [levels, setLevels] = useState<Readonly<Record<string, number>>>({});
  const [typed, setTyped] = useState({ pulse: '', systolic: '', diastolic: '' });
  const [skipping, setSkipping] = useState(false);
  const [because, setBecause] = useState('');
  const [fault, setFault] = useState('');
  const readinessRules = useRules().readiness;
  const shown = readinessRules.signs.filter((s) => s.id !== 'no-food' || known.intake.sugarLowering);
  const any = signs.length > 0 || Object.keys(levels).length > 0;
  const finish = (skippedBecause: string | null) => {
    const numbers = {
      pulse: typedNumber(typed.pulse, null),
      systolic: typedNumber(typed.systolic, null),
      diastolic: typedNumber(typed.diastolic, null),
    };
    const wrong = faultOf(numbers);
    const silent = skippedBecause !== null && skippedBecause.trim().length < 3;
    if (wrong !== null || silent) {
      setFault(wrong ?? 'Write in a few words why it is left out.');
      return;
    }
    const { pulse, systolic, diastolic } = numbers as Record<string, number | null>;
    const reading = typeof systolic === 'number' && typeof diastolic === 'number' ? { systolic, diastolic } : null;
    const readings = readingsOf(first, reading, Date.now(), readinessRules.secondReadingAfterS);
    if (readings.kind === 'too-soon') {
      setFault(`The second reading counts from ${clock(readings.fromMs)} on, after five minutes seated.`);
      return;
    }
    const pains = known.pains
      .filter((p) => levels[keyOf(p)] !== undefined)
      .map(({ joint, side, since, ...p }): EntryContent => ({
        kind: 'pain',
        joint,
        side,
        since,
        level: levels[keyOf({ joint, side })] ?? p.level,
      }));
    save([
      ...pains,
      {
        kind: 'day-check',
        signs,
        pulse: pulse ?? null,
        pressures: [...readings.pressures],
        skippedBecause: skippedBecause === null ? null : skippedBecause.trim(),
      },
    ]);
  };
  const tick = (id: DaySign) => setSigns((now) => (now.includes(id) ? now.filter((s) => s !== id) : [...now, id]));
  const number = (id: keyof typeof typed, label: string) => (
    <label className="font-semibold">
      {label}
      <TextBox
        num
        className="mt-1 block w-24"
        inputMode="numeric"
        value={typed[id]}
        onChange={(event) => setTyped((t) => ({ ...t, [id]: event.target.value }))}
      />
    </label>
  );
  return (
    <Step className="pt-5" data-testid="day-check">
      <div className="flex flex-wrap items-baseline gap-4">
        <h1 className="text-3xl font-extrabold">{name}</h1>
        <p className="text-xl">Anything of this today?</p>
        <Button look="plain" className="ml-auto" onClick={back}>
          Somebody else
        </Button>
      </div>
      <div className="mt-4 grid gap-x-10 gap-y-5 lg:grid-cols-[1.5fr_1fr]">
        <div role="group" aria-label="Anything of this today?" className="grid content-start gap-2 sm:grid-cols-2">
          {shown.map((s) => {
            const on = signs.includes(s.id);
            return (
              <button
                key={s.id}
                type="button"
                aria-pressed={on}
                onClick={() => tick(s.id)}
                className={`flex min-h-16 cursor-pointer items-center gap-3 rounded-md border-2 px-4 text-left text-lg font-semibold ${on ? 'border-ink bg-ink text-board' : 'border-ink bg-board'}`}
              >
                <span
                  aria-hidden
                  className={`size-5 shrink-0 border-2 ${on ? 'border-board bg-board' : 'border-ink'}`}
                />
                <span>
                  {s.asks}
                  {on && <span className="block text-base font-normal">{s.nextStep}</span>}
                </span>
              </button>
            );
          })}
        </div>
        <div className="space-y-4">
          {known.pains.length > 0 && (
            <div>
              <p className="border-b-2 border-ink pb-1 font-bold">How much today, 0 to 10?</p>
              {known.pains.map((p) => (
                <label key={keyOf(p)} className="flex min-h-12 items-center gap-3 border-b border-rule">
                  <span className="flex-1 first-letter:uppercase">
                    {placeWords(p.joint, p.side)}
                    {p.stale && <span className="block text-sm">asked {dayWords(p.askedOn)}, ask again</span>}
                  </span>
                  <Choice
                    size="line"
                    num
                    value={levels[keyOf(p)] ?? p.level}
                    onChange={(event) => setLevels((l) => ({ ...l, [keyOf(p)]: Number(event.target.value) }))}
                  >
                    {Array.from({ length: 11 }, (_, n) => (
                      <option key={n} value={n}>
                        {n} of 10
                      </option>
                    ))}
                  </Choice>
                </label>
              ))}
            </div>
          )}
          <div>
            <p className="border-b-2 border-ink pb-1 font-bold">If it was measured, seated</p>
            <div className="mt-2 flex flex-wrap gap-4">
              {number('pulse', 'Pulse')}
              {number('systolic', 'Pressure, upper')}
              {number('diastolic', 'lower')}
            </div>
            {first && (
              <p className="mt-2 font-semibold">
                First reading {first.pressure.systolic}/{first.pressure.diastolic} at {clock(first.atMs)}. Seated until{' '}
                {clock(secondReadingFrom(first, readinessRules.secondReadingAfterS))}, then the second one counts.
              </p>
            )}
          </div>
        </div>
      </div>
      <div className="mt-5 flex flex-wrap items-center gap-5 border-t-4 border-ink pt-4">
        <Button className="min-h-24 text-2xl max-sm:w-full sm:min-w-96" hotkey="W" onClick={() => finish(null)}>
          {any || typed.pulse !== '' || typed.systolic !== '' ? 'Save the check' : 'Nothing of it: all well'}
        </Button>
        {skipping ? (
          <div className="flex flex-wrap items-end gap-3">
            <label className="font-semibold">
              Left out, because
              <TextBox
                className="mt-1 block w-72 max-w-full"
                autoFocus
                value={because}
                onChange={(event) => setBecause(event.target.value)}
              />
            </label>
            <Button look="line" onClick={() => finish(because)}>
              Go on without
            </Button>
          </div>
        ) : (
          <Button look="plain" onClick={() => setSkipping(true)}>
            Leave the check out
          </Button>
        )}
        <p role="alert" className="font-semibold text-stop">
          {fault}
        </p>
      </div>
    </Step>
  );
}

const keyOf = ({ joint, side }: { joint: string; side: string | null }): string => `${joint}/${side ?? ''}`;

const clock = (ms: number): string => new Date(ms).toTimeString().slice(0, 5);

/** What is wrong with the numbers as typed, in a sentence. */
function faultOf({ pulse, systolic, diastolic }: Record<'pulse' | 'systolic' | 'diastolic', unknown>): string | null {
  const within = (v: unknown, low: number, high: number) =>
    v === null || (typeof v === 'number' && Number.isInteger(v) && v >= low && v <= high);
  if (!within(pulse, 30, 220)) return 'The pulse is a whole number from 30 to 220.';
  if (!within(systolic, 60, 260) || !within(diastolic, 30, 160))
    return 'Pressure is two whole numbers, such as 135 and 80.';
  if ((systolic === null) !== (diastolic === null)) return 'Pressure has an upper and a lower number: write both.';
  if (typeof systolic === 'number' && typeof diastolic === 'number' && systolic <= diastolic)
    return 'The upper number of the pressure is the higher one: look again.';
  return null;
}
