'use client';
import { useState } from 'react';
import type { Known } from '../../core/intake/known';
import { useRules } from '../frame/rules';
import { useFaces } from './face/channel';
import { Button } from '../touch/button';
import { TickBox } from '../touch/field';
import { Step } from '../touch/step';
import type { StationPerson } from './station';

interface Props {
  /** Those of today nobody has checked yet. */
  readonly people: readonly { readonly person: StationPerson; readonly known: Known }[];
  /** Nothing of it for these. */
  readonly save: (well: readonly StationPerson[]) => void;
  readonly back: () => void;
  /** Whether the room has warmed up; asked once, for everybody. */
  readonly warmUp: boolean | null;
  readonly sayWarm: (warm: boolean) => void;
}

/**
 * The signs of the day read once to the whole room: one press for everybody else, exceptions tapped and asked at their
 * chair. Sore places are asked there too, as a number is nobody’s but their own.
 */
export function RoomCheck({ people, save, back, warmUp, sayWarm }: Props) {
  const [asked, setAsked] = useState<ReadonlySet<string>>(new Set());
  const { signs } = useRules().readiness;
  useFaces({ kind: 'signs', title: 'Anything of this today?', lines: signs.map((s) => s.asks) });
  const well = people.filter(({ person }) => !asked.has(person.id)).map(({ person }) => person);
  const tap = (id: string) =>
    setAsked((now) => new Set(now.has(id) ? [...now].filter((other) => other !== id) : [...now, id]));
  return (
    <Step className="pt-5" data-testid="room-check">
      <div className="flex flex-wrap items-baseline gap-4">
        <h1 className="text-2xl font-extrabold">Read it to the room: anything of this today?</h1>
        <Button look="plain" className="ml-auto" onClick={back}>
          One at a time instead
        </Button>
      </div>
      <div className="mt-3 grid gap-x-10 gap-y-5 lg:grid-cols-[1fr_1.3fr]">
        <ul className="space-y-1.5 border-t-2 border-ink pt-2 text-xl font-semibold">
          {signs.map((s) => (
            <li key={s.id} className="first-letter:uppercase">
              {s.asks}
            </li>
          ))}
        </ul>
        <div role="group" aria-label="Who said something?">
          <p className="border-b-2 border-ink pb-1 font-bold">Tap who said something: they are asked at their chair.</p>
          <div className="mt-2 grid gap-2 sm:grid-cols-2">
            {people.map(({ person, known }) => {
              const on = asked.has(person.id);
              return (
                <button
                  key={person.id}
                  type="button"
                  aria-pressed={on}
                  onClick={() => tap(person.id)}
                  className={`flex min-h-16 cursor-pointer flex-col items-start justify-center rounded-md border-2 border-ink px-4 text-left ${on ? 'bg-ink text-board' : 'bg-board'}`}
                >
                  <b className="text-lg">{person.name}</b>
                  <span className="text-base">
                    {on ? 'asked at their chair' : known.pains.length > 0 ? 'sore places asked at their chair' : ''}
                  </span>
                </button>
              );
            })}
          </div>
        </div>
      </div>
      <div className="mt-5 flex flex-wrap items-center gap-x-6 gap-y-3 border-t-4 border-ink pt-4">
        <Button
          className="min-h-24 text-2xl max-sm:w-full sm:min-w-96"
          hotkey="W"
          disabled={well.length === 0}
          onClick={() => save(well)}
        >
          {asked.size === 0 ? 'Nobody: all well' : `Nobody else: ${well.length} well`}
        </Button>
        <label className="flex min-h-12 cursor-pointer items-center gap-3 text-lg font-semibold">
          <TickBox checked={warmUp === true} onChange={(event) => sayWarm(event.target.checked)} />
          The room has warmed up for five minutes
        </label>
        <a
          href="/face"
          target="_blank"
          className="inline-flex min-h-12 items-center font-semibold underline underline-offset-4"
        >
          Show it on a big screen
        </a>
      </div>
    </Step>
  );
}
