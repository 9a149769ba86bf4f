'use client';
import { Heading } from '../touch/heading';
import { useRouter } from 'next/navigation';
import { mergeMessage, useMergedForm, type Said, type Saved } from './useMergedForm';
import type { Place, UnitSystem } from '../../core/shapes/person';
import type { HouseForm } from '../../schemas/house';
import { switchLetters, useLettersOn } from '../frame/singleLetters';
import { Button, ButtonLink } from '../touch/button';
import { Clashes } from '../touch/clashes';
import { Choice, TextField, TickBox } from '../touch/field';
import type { Helper } from '../../core/shapes/helper';
import { Helpers, type AddHelper, type TellHelper } from './helpers';
import { MeasureField } from '../touch/measureField';
import { unitWords } from '../words';
import { typedNumber } from '../touch/typed';

type Save<T> = (form: object, opened: object) => Promise<Saved<T>>;

interface Props {
  readonly place: Place;
  readonly house: HouseForm;
  readonly shipped: HouseForm;
  /** Tests whose norm table the hall has put figures of its own in. */
  readonly ownNorms: readonly { readonly id: string; readonly title: string }[];
  readonly helpers: readonly Helper[];
  readonly addHelper: AddHelper;
  readonly tellHelper: TellHelper;
  readonly savePlace: Save<Place>;
  readonly saveHouse: Save<HouseForm>;
}

/** Everything that is set once for a hall: who it is, whom to call, its units, its rules; and where the rest of it is. */
export function HallScreen({
  place,
  house,
  shipped,
  ownNorms,
  helpers,
  addHelper,
  tellHelper,
  savePlace,
  saveHouse,
}: Props) {
  return (
    <div className="pt-5">
      <h1 className="text-2xl font-extrabold">The hall</h1>
      <div className="mt-3 grid items-start gap-x-12 gap-y-8 *:min-w-0 lg:grid-cols-[1.15fr_1fr]">
        <div className="space-y-8">
          <PlaceForm place={place} save={savePlace} />
          <Helpers helpers={helpers} add={addHelper} tell={tellHelper} />
        </div>
        <div className="space-y-8">
          <section aria-labelledby="cupboard">
            <Heading id="cupboard">Cupboard</Heading>
            <p className="mt-2">Chairs, pads, rails, floors and weights: what levels and tests can be built from.</p>
            <ButtonLink look="line" href="/library/cupboard" className="mt-3" hotkey="C">
              Change what is there
            </ButtonLink>
          </section>
          <section aria-labelledby="norms">
            <Heading id="norms">Norms</Heading>
            <p className="mt-2">
              {ownNorms.length === 0
                ? 'Every test is scored by the printed figures.'
                : 'Scored by figures of this hall, not the printed ones:'}
            </p>
            <ul>
              {ownNorms.map(({ id, title }) => (
                <li key={id} className="border-b border-rule">
                  <a href={`/library/norms/${id}`} className="flex min-h-11 items-center font-bold underline">
                    {title}
                  </a>
                </li>
              ))}
            </ul>
            <ButtonLink look="plain" href="/library">
              All norm tables
            </ButtonLink>
          </section>
          <HousePart house={house} shipped={shipped} save={saveHouse} />
          <Switches />
        </div>
      </div>
    </div>
  );
}

const placeTitles: Readonly<Record<string, string>> = {
  name: 'Hall',
  town: 'Town',
  emergencyNumber: 'Emergency number',
  units: 'Units',
};

function PlaceForm({ place, save }: { place: Place; save: Save<Place> }) {
  const router = useRouter();
  const { shown, put, faultAt, said, clashes, settle, submit } = useMergedForm(place, save, () => router.refresh());
  const text = (id: 'name' | 'town' | 'emergencyNumber', label: string, more: object) => (
    <TextField
      label={label}
      name={id}
      fault={faultAt(`/${id}`)}
      value={shown[id]}
      onChange={(event) => put({ [id]: event.target.value })}
      {...more}
    />
  );
  return (
    <form
      noValidate
      aria-label="The hall"
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <Clashes
        clashes={clashes}
        title={(path) => placeTitles[path[0] ?? ''] ?? 'The cupboard'}
        words={(value) =>
          typeof value === 'string' ? (value in unitWords ? unitWords[value as UnitSystem] : value) : 'as it is there'
        }
        settle={settle}
      />
      <div className="space-y-4">
        {text('emergencyNumber', 'Number to call in an emergency', {
          size: 'big',
          num: true,
          className: 'w-56 max-w-full',
          inputMode: 'tel',
        })}
        {text('name', 'Hall', { className: 'w-96 max-w-full' })}
        {text('town', 'Town', { className: 'w-72 max-w-full' })}
        <label className="block font-semibold">
          Units shown and typed
          <Choice
            className="mt-1 block"
            value={shown.units}
            onChange={(event) => put({ units: event.target.value === 'us' ? 'us' : 'metric' })}
          >
            <option value="metric">{unitWords.metric}</option>
            <option value="us">{unitWords.us}</option>
          </Choice>
        </label>
      </div>
      <div className="mt-5 flex flex-wrap items-center gap-4">
        <Button type="submit" className="min-w-48">
          Save the hall
        </Button>
        <SaidLine said={said} />
      </div>
    </form>
  );
}

const houseRows = [
  ['firstClasses', 'Careful levels for the first', 'classes'],
  ['oldAfterWeeks', 'A test counts as old after', 'weeks'],
  ['fallsForCare', 'Ready, with care, from', 'falls in a year'],
] as const;

function HousePart({ house, shipped, save }: { house: HouseForm; shipped: HouseForm; save: Save<HouseForm> }) {
  const router = useRouter();
  const { shown, version, replace, put, faultAt, said, clashes, settle, submit } = useMergedForm(house, save, () =>
    router.refresh(),
  );
  const own = (Object.keys(shipped) as (keyof HouseForm)[]).filter((name) => shown[name] !== shipped[name]);
  return (
    <form
      noValidate
      aria-label="House rules"
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <Heading id="house">House rules</Heading>
      <p className="mt-2">Common practice, no published source. A change asks for a new yes where it moves a level.</p>
      <Clashes
        clashes={clashes}
        title={(path) => houseRows.find(([name]) => name === path[0])?.[1] ?? 'Seat where none was written down'}
        words={String}
        settle={settle}
      />
      <div key={version}>
        {houseRows.map(([name, label, unit]) => (
          <div key={name} className="border-b border-rule py-1.5">
            <label className="flex min-h-11 flex-wrap items-center gap-x-3">
              {label}
              <input
                className="num h-11 w-16 rounded-md border-2 border-ink bg-board px-2 aria-invalid:border-stop"
                inputMode="numeric"
                aria-invalid={faultAt(`/${name}`) !== undefined}
                defaultValue={shown[name]}
                onChange={(event) => put({ [name]: typedNumber(event.target.value, null) })}
              />
              {unit}
              <span className="text-sm text-ink-soft">shipped: {shipped[name]}</span>
            </label>
            <p className="text-sm font-semibold text-stop empty:hidden">{faultAt(`/${name}`)}</p>
          </div>
        ))}
        <div className="border-b border-rule py-1.5">
          <label className="flex min-h-11 cursor-pointer items-center gap-3">
            <TickBox
              checked={shown.lightWhileAsking}
              onChange={(event) => put({ lightWhileAsking: event.target.checked })}
            />
            light work while the letter is on its way
            <span className="text-sm text-ink-soft">shipped: {shipped.lightWhileAsking ? 'on' : 'off'}</span>
          </label>
          <p className="pb-1 text-sm">
            Only where a known disease is asked about, never symptoms or an operation. WHO 2020 finds clearance
            unnecessary for light work; the published screening (Riebe et al. 2015) recommends it first. Both from
            memory; local rules come first.
          </p>
        </div>
        <div className="py-1.5">
          <MeasureField
            label="Seat where none was written down"
            name="usualSeatCm"
            measure="length"
            value={shown.usualSeatCm}
            set={(usualSeatCm) => put({ usualSeatCm: usualSeatCm as number })}
            fault={faultAt('/usualSeatCm')}
          />
        </div>
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-4">
        <Button type="submit" look="line">
          Save the rules
        </Button>
        {own.length > 0 && (
          <Button look="plain" onClick={() => replace(shipped)}>
            As shipped
          </Button>
        )}
        <SaidLine said={said} />
      </div>
    </form>
  );
}

/** What became of a press on Save. */
function SaidLine({ said }: { said: Said }) {
  return (
    <>
      <p role="alert" className="font-semibold text-stop empty:hidden">
        {mergeMessage(said)}
      </p>
      <p role="status" className="font-semibold empty:hidden">
        {said === 'saved' ? 'Saved.' : ''}
      </p>
    </>
  );
}

/** What is set for this browser, not for the hall. */
function Switches() {
  const lettersOn = useLettersOn();
  return (
    <section aria-labelledby="switches">
      <Heading id="switches">On this device</Heading>
      <label className="flex min-h-11 cursor-pointer items-center gap-3">
        <TickBox checked={lettersOn} onChange={(event) => switchLetters(event.target.checked)} />
        single letters press buttons
      </label>
    </section>
  );
}
