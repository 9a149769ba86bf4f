'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Place } from '../../core/shapes/person';
import { seatHeights } from '../../core/level/seat';
import type { FieldError } from '../../schemas/parse';
import { Stool } from '../drawing/stool';
import { Button, ButtonLink } from '../touch/button';

interface Props {
  readonly place: Place;
  readonly save: (place: unknown) => Promise<{ kind: string; errors?: readonly FieldError[] }>;
}

const field = 'mt-1 block h-12 rounded-md border-2 border-ink bg-board px-3';

/** `43, 46 5,5` as numbers; what is no number stays, so that the check can say so. */
const numbersIn = (text: string): unknown[] =>
  text
    .split(/[;\s]+|,\s+/)
    .filter((part) => part !== '')
    .map((part) => (Number.isNaN(Number(part.replace(',', '.'))) ? part : Number(part.replace(',', '.'))));

/** What there is to sit on, and at once every seat that can be built from it. */
export function CupboardScreen({ place, save }: Props) {
  const router = useRouter();
  const [name, setName] = useState(place.name);
  const [town, setTown] = useState(place.town);
  const [emergencyNumber, setEmergency] = useState(place.emergencyNumber);
  const [chairs, setChairs] = useState(place.kit.chairs.map((c) => c.heightCm).join(' '));
  const [pads, setPads] = useState(place.kit.padsCm.join(' '));
  const [weights, setWeights] = useState(place.kit.weightsKg.join(' '));
  const [floorSlides, setFloorSlides] = useState(place.floorSlides);
  const [faults, setFaults] = useState<readonly FieldError[]>([]);
  // Only heights are typed here; what is known of a chair of that height stays.
  const hasArms = (heightCm: unknown) => place.kit.chairs.some((c) => c.heightCm === heightCm && c.arms);
  const typed = {
    name,
    town,
    emergencyNumber,
    floorSlides,
    kit: {
      ...place.kit,
      chairs: numbersIn(chairs).map((heightCm) => ({ heightCm, arms: hasArms(heightCm) })),
      padsCm: numbersIn(pads),
      weightsKg: numbersIn(weights),
    },
  };
  const whole = (list: unknown[]): number[] => list.filter((n): n is number => typeof n === 'number');
  const seats = seatHeights({
    ...place.kit,
    chairs: whole(numbersIn(chairs)).map((heightCm) => ({ heightCm, arms: false })),
    padsCm: whole(numbersIn(pads)).slice(0, 6),
  });
  const faultAt = (path: string) => faults.filter((f) => f.path.startsWith(path)).map((f) => f.message)[0];
  const submit = async () => {
    const answer = await save(typed).catch(() => null);
    if (answer?.kind === 'saved') router.push('/library');
    else
      setFaults(
        answer?.errors ?? [
          { path: '', message: 'The server did not answer. What you wrote is still here; save again.' },
        ],
      );
  };
  const input = (
    id: string,
    label: string,
    value: string,
    set: (v: string) => void,
    path: string,
    wide = 'w-80 max-w-full',
  ) => (
    <div className="min-h-[100px]">
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      <input
        id={id}
        value={value}
        autoComplete="off"
        aria-describedby={`${id}-fault`}
        onChange={(event) => {
          set(event.target.value);
        }}
        className={`${field} ${wide}`}
      />
      <p id={`${id}-fault`} className="text-sm font-semibold text-stop">
        {faultAt(path)}
      </p>
    </div>
  );
  return (
    <form
      className="pt-5"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      <h1 className="text-2xl font-extrabold">The hall and its cupboard</h1>
      <div className="mt-4 grid gap-10 lg:grid-cols-2">
        <div>
          {input('name', 'Hall', name, setName, '/name')}
          {input('town', 'Town', town, setTown, '/town')}
          {input('emergency', 'Emergency number', emergencyNumber, setEmergency, '/emergencyNumber', 'w-40')}
          <label className="flex min-h-11 items-center gap-2.5">
            <input
              type="checkbox"
              className="size-6 accent-ink"
              checked={floorSlides}
              onChange={(event) => {
                setFloorSlides(event.target.checked);
              }}
            />
            the floor lets a sock slide
          </label>
        </div>
        <div>
          {input('chairs', 'Seat heights of the chairs, whole cm', chairs, setChairs, '/kit/chairs')}
          {input('pads', 'Pads, thickness in whole cm', pads, setPads, '/kit/padsCm')}
          {input('weights', 'Weights, kg', weights, setWeights, '/kit/weightsKg')}
          <p className="font-semibold">Seats that can be built, at most two pads on a chair</p>
          <ul className="flex flex-wrap">
            {seats.map((seat) => (
              <li key={seat.heightCm} className="text-center">
                <Stool heightCm={seat.heightCm} support="0" size={74} />
                <span className="num block">{seat.heightCm}</span>
              </li>
            ))}
          </ul>
        </div>
      </div>
      <div className="mt-5 flex flex-wrap items-center gap-4 border-t-4 border-ink pt-4">
        <Button type="submit" className="min-w-56">
          Save the cupboard
        </Button>
        <ButtonLink look="plain" href="/library">
          Leave without saving
        </ButtonLink>
        <p role="alert" className="font-semibold text-stop">
          {faults.length === 0 ? '' : (faultAt('') ?? '')}
        </p>
      </div>
    </form>
  );
}
