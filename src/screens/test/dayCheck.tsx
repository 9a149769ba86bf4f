'use client';
import { useState } from 'react';
import {
  askedToday,
  contentsOfCheck,
  isNewSign,
  painsUnsaid,
  placeKey,
  unsaid,
  type CheckSaid,
  type FallSaid,
  type SorePlace,
  type Unsaid,
} from '../../core/intake/dayCheck';
import type { Known } from '../../core/intake/known';
import { useRules } from '../frame/rules';
import { addDays } from '../../core/math/days';
import type { IsoDate } from '../../core/shapes/facts';
import { readingsOf, secondReadingFrom, type FirstReading } from '../../core/intake/pressure';
import { joints, middleJoints, type DaySign, type EntryContent } from '../../core/shapes/intake';
import { Button } from '../touch/button';
import { Step } from '../touch/step';
import { typedNumber } from '../touch/typed';
import { dayWords, placeWords } from '../words';
import { TextBox } from '../touch/field';
import { PainKeys, painOf } from '../touch/painKeys';
import { useKeys } from '../frame/keys';

interface Props {
  readonly name: string;
  readonly known: Known;
  readonly today: IsoDate;
  /** A first high reading of pressure, made five minutes ago or still waiting. */
  readonly first: FirstReading | null;
  readonly save: (contents: EntryContent[]) => void;
  readonly back: () => void;
}

/**
 * Read out, answered with one press by somebody well; never passed over without saying why. Its key is its own: a
 * bounce of Space or Enter from the step before must not say that somebody is well. Nothing is chosen before somebody
 * says: how much a sore joint hurts is asked anew, and *the same* is an answer of this day.
 */
export function DayCheck({ name, known, today, first, save, back }: Props) {
  const [signs, setSigns] = useState<readonly DaySign[]>(known.dayCheck?.content.signs ?? []);
  const [levels, setLevels] = useState(() => askedToday(known, today));
  const [fall, setFall] = useState<FallSaid>({ fellOn: null, lookedAt: null, hurt: null, headStruck: null });
  const [hot, setHot] = useState<SorePlace | null>(null);
  const [typed, setTyped] = useState({ pulse: '', systolic: '', diastolic: '' });
  const [skipping, setSkipping] = useState(false);
  const [because, setBecause] = useState('');
  const [fault, setFault] = useState('');
  const readinessRules = useRules().readiness;
  const shown = readinessRules.signs.filter(
    (s) => (s.id !== 'no-food' || known.intake.sugarLowering) && (s.id !== 'worse' || known.pains.length > 0),
  );
  const said: CheckSaid = { signs, levels, fall, hot };
  const toAsk = painsUnsaid(known, said);
  const any = signs.length > 0 || known.pains.length > toAsk.length;
  const say = (at: SorePlace, level: number) => setLevels((l) => ({ ...l, [placeKey(at)]: level }));
  useKeys('page', (event) => {
    const [next] = toAsk;
    if (!next || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return false;
    const level = event.key.toLowerCase() === 's' ? next.level : painOf(event.key);
    if (level === null) return false;
    say(next, level);
    return true;
  });
  const finish = (skippedBecause: string | null, nowMs: number) => {
    const numbers = {
      pulse: typedNumber(typed.pulse, null),
      systolic: typedNumber(typed.systolic, null),
      diastolic: typedNumber(typed.diastolic, null),
    };
    const wrong = faultOf(numbers);
    const silent = skippedBecause !== null && skippedBecause.trim().length < 3;
    const left = skippedBecause === null ? unsaid(known, said) : null;
    if (wrong !== null || silent || left !== null) {
      setFault(wrong ?? (left && unsaidWords(left)) ?? 'Write in a few words why it is left out.');
      return;
    }
    const { pulse, systolic, diastolic } = numbers as Record<string, number | null>;
    const reading = typeof systolic === 'number' && typeof diastolic === 'number' ? { systolic, diastolic } : null;
    const readings = readingsOf(first, reading, nowMs, readinessRules.secondReadingAfterS);
    if (readings.kind === 'too-soon') {
      setFault(`The second reading counts from ${clock(readings.fromMs)} on, after five minutes seated.`);
      return;
    }
    const measured = {
      pulse: pulse ?? null,
      pressures: [...readings.pressures],
      skippedBecause: skippedBecause === null ? null : skippedBecause.trim(),
    };
    save(contentsOfCheck(known, said, measured, today, readinessRules.hotJointPain));
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
                  {on && s.id !== 'fall' && <span className="block text-base font-normal">{s.nextStep}</span>}
                </span>
              </button>
            );
          })}
        </div>
        <div className="space-y-4">
          {isNewSign('fall', known, said) && <FallAsked fall={fall} set={setFall} today={today} />}
          {isNewSign('hot-joint', known, said) && <WhichJoint hot={hot} set={setHot} />}
          {known.pains.length > 0 && (
            <div>
              <p className="border-b-2 border-ink pb-1 font-bold">How much today, 0 to 10?</p>
              {known.pains.map((p) => {
                const level = levels[placeKey(p)] ?? null;
                const next = p === toAsk[0];
                return (
                  <div
                    key={placeKey(p)}
                    data-testid="pain"
                    className={`border-b border-rule py-2 ${next ? '-ml-3 border-l-8 border-l-ink pl-1' : ''}`}
                  >
                    <p className="flex flex-wrap items-center gap-x-3">
                      <b className="first-letter:uppercase">{placeWords(p.joint, p.side)}</b>
                      <span className="text-ink-soft">
                        {p.level} on {dayWords(p.askedOn)}
                      </span>
                      <Button
                        look={level === p.level ? 'main' : 'line'}
                        className="ml-auto min-h-11!"
                        aria-pressed={level === p.level}
                        onClick={() => say(p, p.level)}
                        {...(next ? { hotkey: 'S' } : {})}
                      >
                        the same
                      </Button>
                    </p>
                    <div className="mt-1.5">
                      <PainKeys place={placeWords(p.joint, p.side)} level={level} say={(n) => say(p, n)} />
                    </div>
                  </div>
                );
              })}
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
        <Button
          className="min-h-24 text-2xl max-sm:w-full sm:min-w-96"
          hotkey="W"
          onClick={() => finish(null, Date.now())}
        >
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
            <Button look="line" onClick={() => finish(because, Date.now())}>
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

/** About when, for who does not know the day; days back from today. */
const agos = [
  [0, 'today'],
  [1, 'yesterday'],
  [7, 'a week ago'],
  [30, 'a month ago'],
] as const;

const asks = [
  ['lookedAt', 'Did somebody look at it?'],
  ['hurt', 'Hurt?'],
  ['headStruck', 'Head struck?'],
] as const;

const answer = (on: boolean): string =>
  `min-h-12 min-w-16 cursor-pointer rounded-md border-2 border-ink px-3 font-bold ${on ? 'bg-ink text-board' : 'bg-board'}`;

/** Of a fall since last time: about when, and whether it was looked at, hurt, or struck the head. */
function FallAsked({ fall, set, today }: { fall: FallSaid; set: (fall: FallSaid) => void; today: IsoDate }) {
  return (
    <div className="border-l-8 border-ink bg-board p-3" data-testid="fall-asked">
      <div role="group" aria-label="About when?" className="flex flex-wrap items-center gap-2">
        <b className="w-full">About when?</b>
        {agos.map(([days, words]) => (
          <button
            key={days}
            type="button"
            aria-pressed={fall.fellOn === addDays(today, -days)}
            onClick={() => set({ ...fall, fellOn: addDays(today, -days) })}
            className={answer(fall.fellOn === addDays(today, -days))}
          >
            {words}
          </button>
        ))}
      </div>
      {asks.map(([name, words]) => (
        <div key={name} role="group" aria-label={words} className="mt-2 flex flex-wrap items-center gap-2">
          <b className="min-w-48 flex-1">{words}</b>
          {([true, false] as const).map((yes) => (
            <button
              key={String(yes)}
              type="button"
              aria-pressed={fall[name] === yes}
              onClick={() => set({ ...fall, [name]: yes })}
              className={answer(fall[name] === yes)}
            >
              {yes ? 'yes' : 'no'}
            </button>
          ))}
        </div>
      ))}
    </div>
  );
}

function WhichJoint({ hot, set }: { hot: SorePlace | null; set: (at: SorePlace) => void }) {
  const places = joints.flatMap((joint): SorePlace[] =>
    middleJoints.includes(joint)
      ? [{ joint, side: null }]
      : (['R', 'L'] as const).map((side): SorePlace => ({ joint, side })),
  );
  return (
    <div
      role="group"
      aria-label="Which joint is hot or swollen?"
      className="flex flex-wrap items-center gap-2 border-l-8 border-ink bg-board p-3"
    >
      <b className="w-full">Which joint?</b>
      {places.map((at) => {
        const on = hot !== null && placeKey(hot) === placeKey(at);
        return (
          <button key={placeKey(at)} type="button" aria-pressed={on} onClick={() => set(at)} className={answer(on)}>
            {placeWords(at.joint, at.side)}
          </button>
        );
      })}
    </div>
  );
}

const clock = (ms: number): string => new Date(ms).toTimeString().slice(0, 5);

function unsaidWords(left: Unsaid): string {
  switch (left.kind) {
    case 'fall':
      return 'Of the fall say about when, and whether it was looked at, hurt, or struck the head.';
    case 'hot-joint':
      return 'Say which joint is hot or swollen.';
    case 'pain':
      return `Ask how much the ${placeWords(left.pain.joint, left.pain.side)} hurts: 0 to 10, or the same.`;
  }
}

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
