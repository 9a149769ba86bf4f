'use client';
import { Check, Minus, X } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import {
  kgPerPound,
  lengthFigure,
  readLength,
  readMass,
  sentenceIn,
  unitsOf,
  type LengthUnit,
} from '../../core/math/units';
import { useUnits } from '../frame/units';
import { missingFor, thingWords, toKit } from '../../core/intake/cupboard';
import { things, type Cupboard, type Place } from '../../core/shapes/person';
import { protocols } from '../../catalogue/protocols';
import { putAt, type Clash } from '../../core/math/mergeChanges';
import type { FieldError } from '../../schemas/parse';
import { cupboardItem } from '../../schemas/place';
import { Button, ButtonLink } from '../touch/button';
import { Clashes } from '../touch/clashes';
import { typedNumber } from '../touch/typed';
import { useOneAtATime } from '../touch/useOneAtATime';
import { SeatRow } from './seatRow';
import { TextBox, TickBox } from '../touch/field';

interface Props {
  readonly place: Place;
  /** @param opened the place as this form showed it, so that what was changed on another device stays */
  readonly save: (place: unknown, opened: unknown) => Promise<SavePlaceAnswer>;
}

type SavePlaceAnswer =
  | { kind: 'saved' }
  | { kind: 'rejected'; errors: readonly FieldError[] }
  | { kind: 'changed'; theirs: Place; merged: Place; clashes: readonly Clash[] };

const counted = [
  ['bars', 'rails and bars'],
  ['railPlaces', 'rail places'],
  ['straps', 'strap pairs'],
  ['wedges', 'heel wedges'],
  ['bands', 'loop bands'],
  ['mats', 'mats'],
  ['tables', 'heavy tables'],
] as const;

/** What there is to sit on, hold and lift; beside it at once which seats and which tests come of it. */
export function CupboardScreen({ place, save }: Props) {
  const router = useRouter();
  const [hall, setHall] = useState<Omit<Place, 'cupboard'>>(headOf(place));
  const [cupboard, setCupboard] = useState<Cupboard>(place.cupboard);
  const { units } = place;
  const unit = unitsOf[units].length;
  const [weights, setWeights] = useState(weightsShown(place));
  const [faults, setFaults] = useState<readonly FieldError[]>([]);
  const [opened, setOpened] = useState(place);
  const [clashes, setClashes] = useState<readonly Clash[]>([]);
  // Boxes that keep what is typed to themselves are made anew with what was brought together.
  const [version, setVersion] = useState(0);
  const show = ({ cupboard: now, ...head }: Place) => {
    setHall(head);
    setCupboard(now);
    setWeights(weightsShown({ ...head, cupboard: now }));
    setVersion((v) => v + 1);
  };
  const settle = (clash: Clash, value: unknown) => {
    show(putAt<Place>({ ...hall, cupboard: { ...cupboard, weightsKg } }, clash.path, value, cupboardItem));
    setClashes((left) => left.filter((c) => c !== clash));
  };
  const put = (more: Partial<Cupboard>) => setCupboard((c) => ({ ...c, ...more }));
  const faultAt = (path: string) =>
    faults.find((f) => f.path === path || (path !== '' && f.path.startsWith(`${path}/`)))?.message;
  const weightsKg = weights
    .split(/[;\s]+/)
    .filter((w) => w !== '')
    .map((w) => keptWeight(w, place));
  // Only what can be read as numbers is drawn; the rest is told when it is saved.
  const drawn: Cupboard = {
    ...cupboard,
    chairs: cupboard.chairs.filter((c) => Number.isInteger(c.heightCm) && c.heightCm >= 25 && c.heightCm <= 80),
    pads: cupboard.pads.filter((p) => Number.isInteger(p.thickCm) && p.thickCm >= 1 && p.thickCm <= 20),
    weightsKg: weightsKg.filter((w) => typeof w === 'number'),
  };
  const submit = useOneAtATime(async () => {
    const say = (message: string) => setFaults([{ path: '', message }]);
    if (clashes.length > 0) {
      say('Say which is right, then save again.');
      return true;
    }
    const answer = await save({ ...hall, cupboard: { ...cupboard, weightsKg } }, opened).catch(() => null);
    switch (answer?.kind) {
      case 'saved':
        router.push('/hall');
        return false;
      case 'rejected':
        setFaults(answer.errors);
        return true;
      case 'changed':
        show(answer.merged);
        setOpened(answer.theirs);
        setClashes(answer.clashes);
        say('Not saved yet: say which is right.');
        return true;
      case undefined:
        say('The server did not answer. What you wrote is still here; save again.');
        return true;
    }
  });
  return (
    <form
      className="pt-5"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <div className="flex flex-wrap items-center justify-between gap-4">
        <h1 className="text-2xl font-extrabold">The cupboard of {place.name}</h1>
        <div className="flex flex-wrap items-center gap-4">
          <p role="alert" className="font-semibold text-stop">
            {faults.length === 0 ? '' : (faultAt('') ?? 'Nothing was saved yet: the marked fields need another look.')}
          </p>
          <ButtonLink look="plain" href="/hall">
            Leave without saving
          </ButtonLink>
          <Button type="submit" className="min-w-48">
            Save the cupboard
          </Button>
        </div>
      </div>
      <Clashes clashes={clashes} title={placeTitle} words={placeWords} settle={settle} />
      <div className="mt-4">
        <Heading>Seats that can be built</Heading>
        <SeatRow kit={toKit(drawn)} unit={unit} />
      </div>
      <div key={version} className="mt-4 grid items-start gap-x-10 gap-y-5 lg:grid-cols-[1.25fr_1fr_1.15fr]">
        <section>
          <Heading>Chairs</Heading>
          <Rows
            list={cupboard.chairs}
            fresh={{ heightCm: 45, arms: false, stable: true, count: 1 }}
            change={(chairs) => put({ chairs })}
            add="Add a chair"
            fault={(i) => faultAt(`/cupboard/chairs/${i}`)}
            row={(chair, set, i) => (
              <>
                <LengthBox
                  label={`Seat of chair ${i + 1}, ${unit}`}
                  cm={chair.heightCm}
                  typed={chair.typed}
                  set={(heightCm, typed) => set({ heightCm: heightCm as number, typed })}
                />
                <NumberBox
                  label={`How many of chair ${i + 1}`}
                  value={chair.count}
                  set={(count) => set({ count })}
                  before="×"
                />
                <Tick on={chair.stable} set={(stable) => set({ stable })}>
                  firm
                </Tick>
                <Tick on={chair.arms} set={(arms) => set({ arms })}>
                  arms
                </Tick>
              </>
            )}
          />
          <p className="mt-1 text-sm text-ink-soft">
            Firm: cannot slide or tip, no castors. Only firm chairs are built from.
          </p>
        </section>
        <section>
          <Heading>Pads</Heading>
          <Rows
            list={cupboard.pads}
            fresh={{ thickCm: 3, count: 1 }}
            change={(pads) => put({ pads })}
            add="Add a pad"
            fault={(i) => faultAt(`/cupboard/pads/${i}`)}
            row={(pad, set, i) => (
              <>
                <LengthBox
                  label={`Thickness of pad ${i + 1}, ${unit}`}
                  cm={pad.thickCm}
                  typed={pad.typed}
                  set={(thickCm, typed) => set({ thickCm: thickCm as number, typed })}
                />
                <NumberBox
                  label={`How many of pad ${i + 1}`}
                  value={pad.count}
                  set={(count) => set({ count })}
                  before="×"
                />
              </>
            )}
          />
          <Heading>Firm boxes</Heading>
          <Rows
            list={cupboard.boxes}
            fresh={{ heightCm: null, count: 1 }}
            change={(boxes) => put({ boxes })}
            add="Add a box"
            fault={(i) => faultAt(`/cupboard/boxes/${i}`)}
            row={(box, set, i) => (
              <>
                <LengthBox
                  label={`Top of box ${i + 1}, ${unit}`}
                  cm={box.heightCm}
                  typed={box.typed}
                  set={(heightCm, typed) => set({ heightCm: heightCm as number | null, typed })}
                />
                <NumberBox
                  label={`How many of box ${i + 1}`}
                  value={box.count}
                  set={(count) => set({ count })}
                  before="×"
                />
              </>
            )}
          />
          <Heading>Firm steps, to stand on</Heading>
          <Rows
            list={cupboard.steps}
            fresh={{ heightCm: 10, count: 1 }}
            change={(steps) => put({ steps })}
            add="Add a step"
            fault={(i) => faultAt(`/cupboard/steps/${i}`)}
            row={(step, set, i) => (
              <>
                <LengthBox
                  label={`Height of step ${i + 1}, ${unit}`}
                  cm={step.heightCm}
                  typed={step.typed}
                  set={(heightCm, typed) => set({ heightCm: heightCm as number, typed })}
                />
                <NumberBox
                  label={`How many of step ${i + 1}`}
                  value={step.count}
                  set={(count) => set({ count })}
                  before="×"
                />
              </>
            )}
          />
          <Heading>Floors</Heading>
          <Rows
            list={cupboard.floors}
            fresh={{ where: '', slides: false }}
            change={(floors) => put({ floors })}
            add="Add a floor"
            fault={(i) => faultAt(`/cupboard/floors/${i}`)}
            row={(floor, set, i) => (
              <>
                <TextBox
                  size="line"
                  className="w-40"
                  aria-label={`Floor ${i + 1}`}
                  value={floor.where}
                  onChange={(event) => set({ where: event.target.value })}
                />
                <Tick on={floor.slides} set={(slides) => set({ slides })}>
                  a sock slides
                </Tick>
              </>
            )}
          />
        </section>
        <section>
          <Heading>To hold, lift and lie on</Heading>
          <div className="grid grid-cols-2 gap-x-4">
            {counted.map(([name, words]) => (
              <div key={name} className="flex min-h-12 items-center justify-between gap-2 border-b border-rule">
                <span aria-hidden>{words}</span>
                <NumberBox label={words} value={cupboard[name]} set={(n) => put({ [name]: n })} />
              </div>
            ))}
            <div className="flex min-h-12 items-center justify-between gap-2 border-b border-rule">
              <span aria-hidden>free walkway, m</span>
              <NumberBox label="free walkway, m" value={cupboard.walkwayM} set={(walkwayM) => put({ walkwayM })} />
            </div>
            <div className="flex min-h-12 items-center justify-between gap-2 border-b border-rule">
              <span aria-hidden>free wall, m</span>
              <NumberBox label="free wall, m" value={cupboard.wallM} set={(wallM) => put({ wallM })} />
            </div>
          </div>
          <label className="mt-2 block">
            Weights, {unitsOf[units].mass}
            <TextBox
              size="line"
              num
              className="mt-1 block w-full"
              id="weights"
              value={weights}
              aria-invalid={faultAt('/cupboard/weightsKg') !== undefined}
              onChange={(event) => setWeights(event.target.value)}
            />
            <span className="text-sm font-semibold text-stop">{faultAt('/cupboard/weightsKg')}</span>
          </label>
          <div className="mt-1 grid grid-cols-2">
            <Tick on={cupboard.raisedSurface} set={(raisedSurface) => put({ raisedSurface })}>
              raised surface
            </Tick>
            {things.map((thing) => (
              <Tick
                key={thing}
                on={cupboard.things.includes(thing)}
                set={(on) =>
                  put({ things: on ? [...cupboard.things, thing] : cupboard.things.filter((t) => t !== thing) })
                }
              >
                {thingWords[thing].replace(/^a /, '')}
              </Tick>
            ))}
          </div>
        </section>
      </div>
      <section className="mt-4" aria-live="polite">
        <Heading>Tests this hall can run</Heading>
        <ul className="mt-1 grid gap-x-8 md:grid-cols-2 xl:grid-cols-3" data-testid="tests-here">
          {protocols.map((p) => {
            const missing = missingFor(p, drawn).map((words) => sentenceIn(words, units));
            return (
              <li key={p.id} className="flex items-center gap-2 border-b border-rule py-1.5">
                {missing.length === 0 ? (
                  <Check aria-hidden className="size-5 shrink-0" />
                ) : (
                  <Minus aria-hidden className="size-5 shrink-0 text-ink-soft" />
                )}
                <span>
                  <b>{p.short}</b>
                  {missing.length > 0 && <span className="text-sm"> needs {missing.join(', ')}</span>}
                </span>
              </li>
            );
          })}
        </ul>
      </section>
    </form>
  );
}

/** Weights as they are shown: pounds to a tenth where the hall works in them. */
const weightsShown = ({ units, cupboard }: Place): string =>
  cupboard.weightsKg.map((kg) => (units === 'us' ? Number((kg / kgPerPound).toFixed(1)) : kg)).join(' ');

/** A weight as typed, in kg; one that was there keeps what it weighed, so that going there and back loses nothing. */
function keptWeight(typed: string, { units, cupboard }: Place): number {
  if (units === 'metric') return typedNumber(typed, null) as number;
  const read = readMass(typed, 'lb');
  return cupboard.weightsKg.find((kg) => read !== null && Math.abs(kg - read) < 0.06) ?? read ?? (typed as never);
}

const headOf = ({ cupboard, ...head }: Place): Omit<Place, 'cupboard'> => head;

const placeTitle = (path: readonly string[]): string => (path.at(-1) ?? '').replace(/([A-Z])/g, ' $1').toLowerCase();

function placeWords(value: unknown): string {
  if (value === undefined) return 'taken out';
  if (value === null || value === '') return 'left empty';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return `${value.length} in the list`;
  if (typeof value === 'string' || typeof value === 'number') return `${value}`;
  const { count, stable, slides } = value as { count?: number; stable?: boolean; slides?: boolean };
  return [
    ...(count === undefined ? [] : [`${count}`]),
    ...(stable === undefined ? [] : [stable ? 'firm' : 'not firm']),
    ...(slides === undefined ? [] : [slides ? 'slides' : 'grips']),
  ].join(', ');
}

function Heading({ children }: { children: ReactNode }) {
  return <h2 className="mt-2 border-b-2 border-ink pb-1 text-lg font-bold">{children}</h2>;
}

function Rows<T extends object>({
  list,
  fresh,
  change,
  add,
  fault,
  row,
}: {
  list: readonly T[];
  fresh: T;
  change: (list: T[]) => void;
  add: string;
  fault: (i: number) => string | undefined;
  row: (one: T, set: (more: Partial<T>) => void, i: number) => ReactNode;
}) {
  const units = useUnits();
  return (
    <>
      <ul>
        {list.map((one, i) => (
          <li key={i} className="border-b border-rule py-1">
            <div className="flex flex-wrap items-center gap-x-3">
              {row(one, (more) => change(list.map((o, n) => (n === i ? { ...o, ...more } : o))), i)}
              <button
                type="button"
                aria-label={`Take out line ${i + 1}`}
                onClick={() => change(list.filter((_, n) => n !== i))}
                className="ml-auto flex min-h-11 min-w-11 cursor-pointer items-center justify-center"
              >
                <X aria-hidden />
              </button>
            </div>
            <p className="text-sm font-semibold text-stop">{sentenceIn(fault(i) ?? '', units)}</p>
          </li>
        ))}
      </ul>
      <Button look="plain" onClick={() => change([...list, fresh])}>
        {add}
      </Button>
    </>
  );
}

/** A height typed in the units of the hall or in the others; it keeps what was typed as long as it says the same. */
function LengthBox({
  label,
  cm,
  typed,
  set,
}: {
  label: string;
  cm: number | null;
  typed: string | undefined;
  /** What is no height goes on as it was typed, so that the check can say so. */
  set: (cm: number | string | null, typed: string) => void;
}) {
  const { length } = unitsOf[useUnits()];
  const [words, setWords] = useState(() => {
    if (cm === null) return '';
    return typed !== undefined && wholeCm(typed, length) === cm ? typed : lengthFigure(cm, length);
  });
  return (
    <span className="inline-flex items-center gap-1">
      <TextBox
        size="line"
        num
        className={length === 'in' ? 'w-24' : 'w-16'}
        aria-label={label}
        inputMode={length === 'in' ? 'text' : 'decimal'}
        value={words}
        onChange={(event) => {
          setWords(event.target.value);
          set(event.target.value.trim() === '' ? null : wholeCm(event.target.value, length), event.target.value);
        }}
      />
      {length}
    </span>
  );
}

/** Chairs and pads are kept in whole centimetres: an inch is rounded to them, half a centimetre is told of. */
function wholeCm(typed: string, unit: LengthUnit): number | string {
  const read = readLength(typed, unit);
  if (read === null) return typed;
  return unit === 'in' || /["'”’]|in|ft/.test(typed) ? Math.round(read) : read;
}

/** A number typed; what is none goes on as it was typed, so that the check can say so. */
function NumberBox<V extends number | null>({
  label,
  value,
  set,
  before,
  after,
}: {
  label: string;
  value: V;
  set: (value: V) => void;
  before?: string;
  after?: string;
}) {
  const [typed, setTyped] = useState(value === null ? '' : String(value));
  return (
    <span className="inline-flex items-center gap-1">
      {before}
      <TextBox
        size="line"
        num
        className="w-16"
        aria-label={label}
        inputMode="decimal"
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value);
          set(typedNumber(event.target.value, null) as V);
        }}
      />
      {after}
    </span>
  );
}

function Tick({ on, set, children }: { on: boolean; set: (on: boolean) => void; children: ReactNode }) {
  return (
    <label className="flex min-h-11 cursor-pointer items-center gap-2">
      <TickBox checked={on} onChange={(event) => set(event.target.checked)} />
      {children}
    </label>
  );
}
