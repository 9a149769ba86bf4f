'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { emptyCupboard } from '../../core/intake/cupboard';
import { readLength, unitsOf } from '../../core/math/units';
import { unitSystems, type Place, type UnitSystem } from '../../core/shapes/person';
import type { FieldError } from '../../schemas/parse';
import type { Saved } from '../hall/useMergedForm';
import { Button } from '../touch/button';
import { TextBox, TextField, TickBox } from '../touch/field';
import { typedNumber } from '../touch/typed';
import { unitWords } from '../words';
import { useOneAtATime } from '../touch/useOneAtATime';

interface Props {
  /** What is taken of a hall of which nothing is known. */
  readonly place: Place;
  readonly save: (form: object, opened: object) => Promise<Saved<Place>>;
}

interface ChairTyped {
  readonly height: string;
  readonly count: string;
  readonly arms: boolean;
}
const noChair: ChairTyped = { height: '', count: '', arms: false };

/** The first thing a new hall is asked: who it is, whom to call, what there is to sit on. Nothing of it is assumed. */
export function FirstStep({ place, save }: Props) {
  const router = useRouter();
  const [typed, setTyped] = useState({ name: '', emergencyNumber: '' });
  const [units, setUnits] = useState<UnitSystem>('metric');
  const [chairs, setChairs] = useState<readonly ChairTyped[]>([noChair, noChair]);
  const [faults, setFaults] = useState<readonly FieldError[]>([]);
  const [said, setSaid] = useState('');
  const written = chairs.map((chair, i) => ({ ...chair, i })).filter(({ height, count }) => height + count !== '');
  const faultAt = (path: string) => faults.find((f) => f.path === path)?.message;
  const chairFault = (i: number) => {
    const at = written.findIndex((w) => w.i === i);
    return faults.find((f) => at >= 0 && f.path.startsWith(`/cupboard/chairs/${at}/`))?.message;
  };
  const submit = useOneAtATime(async () => {
    if (written.length === 0) {
      setFaults([{ path: '/chairs', message: 'Write the seat height of at least one chair that stands firm.' }]);
      setSaid('Nothing was saved yet: the marked fields need another look.');
      return true;
    }
    const form = {
      ...typed,
      town: '',
      units,
      cupboard: {
        ...emptyCupboard,
        chairs: written.map(({ height, count, arms }) => {
          const read = readLength(height, unitsOf[units].length);
          return {
            heightCm: read === null ? height : units === 'us' ? Math.round(read) : read,
            typed: height.trim(),
            arms,
            stable: true,
            count: count.trim() === '' ? 1 : typedNumber(count, null),
          };
        }),
        things: ['tape', 'wall'],
      },
    };
    const answer = await save(form, place).catch(() => null);
    if (answer?.kind === 'saved') {
      router.refresh();
      return false;
    }
    setFaults(answer?.kind === 'rejected' ? answer.errors : []);
    setSaid(
      answer?.kind === 'rejected'
        ? 'Nothing was saved yet: the marked fields need another look.'
        : answer === null
          ? 'The server did not answer. What you wrote is still here; save again.'
          : 'Another device told of this hall a moment ago: load the page again to see it.',
    );
    return true;
  });
  return (
    <form
      noValidate
      className="max-w-2xl pt-6"
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <h1 className="text-2xl font-extrabold">A new hall</h1>
      <p className="mt-1 text-lg">Three things, once. Everything else waits under “Hall”.</p>
      <ol className="mt-5 space-y-6 border-l-8 border-squat pl-5">
        <li>
          <TextField
            className="w-96 max-w-full"
            label="Name of the hall"
            name="name"
            autoFocus
            fault={faultAt('/name')}
            value={typed.name}
            onChange={(event) => setTyped((t) => ({ ...t, name: event.target.value }))}
          />
        </li>
        <li>
          <TextField
            size="big"
            num
            className="w-56 max-w-full"
            label="Number to call in an emergency"
            name="emergencyNumber"
            inputMode="tel"
            fault={faultAt('/emergencyNumber')}
            value={typed.emergencyNumber}
            onChange={(event) => setTyped((t) => ({ ...t, emergencyNumber: event.target.value }))}
          />
        </li>
        <li>
          <fieldset>
            <legend className="font-semibold">Chairs that cannot slide or tip: floor to the top of the seat</legend>
            <div className="flex flex-wrap gap-x-6" role="group" aria-label="Units">
              {unitSystems.map((system) => (
                <label key={system} className="flex min-h-11 cursor-pointer items-center gap-2.5">
                  <TickBox type="radio" name="units" checked={units === system} onChange={() => setUnits(system)} />
                  {unitWords[system]}
                </label>
              ))}
            </div>
            {chairs.map((chair, i) => {
              const put = (more: Partial<ChairTyped>) =>
                setChairs((all) => all.map((c, n) => (n === i ? { ...c, ...more } : c)));
              return (
                <div key={i} className="py-1">
                  <div className="flex flex-wrap items-center gap-3">
                    <TextBox
                      size="line"
                      num
                      className="w-24"
                      aria-label={`Seat of chair ${i + 1}, ${unitsOf[units].length}`}
                      aria-invalid={chairFault(i) !== undefined || faultAt('/chairs') !== undefined}
                      value={chair.height}
                      onChange={(event) => put({ height: event.target.value })}
                    />
                    {unitsOf[units].length} ×
                    <TextBox
                      size="line"
                      num
                      className="w-16"
                      aria-label={`How many of chair ${i + 1}`}
                      inputMode="numeric"
                      value={chair.count}
                      onChange={(event) => put({ count: event.target.value })}
                    />
                    <label className="flex min-h-11 cursor-pointer items-center gap-2">
                      <TickBox checked={chair.arms} onChange={(event) => put({ arms: event.target.checked })} />
                      arms
                    </label>
                  </div>
                  <p className="text-sm font-semibold text-stop empty:hidden">{chairFault(i)}</p>
                </div>
              );
            })}
            <p className="text-sm font-semibold text-stop empty:hidden">{faultAt('/chairs')}</p>
            <Button look="plain" onClick={() => setChairs((all) => [...all, noChair])}>
              Another height
            </Button>
          </fieldset>
        </li>
      </ol>
      <div className="mt-6 flex flex-wrap items-center gap-4">
        <Button type="submit" className="min-h-14 min-w-56 text-lg">
          Begin
        </Button>
        <p role="alert" className="font-semibold text-stop empty:hidden">
          {said}
        </p>
      </div>
    </form>
  );
}
