'use client';
import { useState, type ReactNode } from 'react';
import { useFound } from '../frame/useFound';
import { StateMark } from '../drawing/stateMark';
import { Button, ButtonLink } from '../touch/button';
import { matching } from '../touch/matching';
import { dayWords } from '../words';
import type { Held } from '../../core/intake/mayStart';
import type { StationPerson } from './station';
import { TextBox } from '../touch/field';
import { byNeed } from './whoNext';

/** Who sits down next: those who are due first, those held last, every row a big target. */
export function ChoosePerson({
  people: everybody,
  holds: heldOf,
  sitting,
  beside,
  readOut,
  pickTest,
  toBoard,
  search,
  choose,
}: {
  people: readonly StationPerson[];
  holds: (person: StationPerson) => Held | null;
  sitting: boolean;
  /** Those who sit there already. */
  beside: readonly StationPerson[];
  /** Reads the signs of the day to everybody at once; `null` where nobody is left to ask. */
  readOut: (() => void) | null;
  /** Which test it is for; it stays as it is for whoever sits beside. */
  pickTest: ReactNode;
  /** Back to the board of the day; `null` on a day without a plan. */
  toBoard: (() => void) | null;
  /** What leads back here for somebody who is not on this page. */
  search: (personId: string) => string;
  choose: (person: StationPerson) => void;
}) {
  const people = everybody.filter((p) => !beside.includes(p));
  const [typed, setTyped] = useState('');
  const { lines: others } = useFound(typed, 8);
  const found = new Set(matching(people, typed).map((p) => p.id));
  const here = new Set(everybody.map((p) => p.id));
  const elsewhere = others.filter((o) => !here.has(o.id));
  const holds = new Map(people.map((p) => [p.id, heldOf(p)]));
  const shown = byNeed(
    people.filter((p) => found.has(p.id)),
    (p) => holds.get(p.id) != null,
  );
  return (
    <div className="pt-5">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-2xl font-extrabold">
          {beside.length > 0 ? `Who sits beside ${beside.map((p) => p.name).join(' and ')}?` : 'Who sits down next?'}
          {sitting && beside.length === 0 && (
            <span className="ml-3 text-lg font-semibold">today’s sitting, {people.length}</span>
          )}
        </h1>
        <label className="flex max-w-full min-w-0 items-center gap-3 font-semibold">
          Name
          <TextBox
            className="w-72 max-w-full min-w-0"
            // The one thing to do on this screen.
            autoFocus
            value={typed}
            onChange={(event) => {
              setTyped(event.target.value);
            }}
            onKeyDown={(event) => {
              if (event.key === 'Enter' && shown[0]) choose(shown[0]);
            }}
          />
        </label>
      </div>
      <p role="status" className="mt-1 text-sm">
        Ready: from here on this page needs no server until a result is sent.
      </p>
      {beside.length === 0 && (
        <p className="mt-1">
          {toBoard ? (
            <Button look="line" onClick={toBoard}>
              Back to the board
            </Button>
          ) : (
            <ButtonLink look="plain" href="/test/day" hard>
              Plan the day: who goes where next
            </ButtonLink>
          )}
        </p>
      )}
      {(pickTest || readOut) && (
        <div className="mt-3 flex flex-wrap items-end gap-x-6 gap-y-2">
          {pickTest}
          {readOut && (
            <Button look="line" onClick={readOut}>
              Read the signs of the day to the room
            </Button>
          )}
        </div>
      )}
      <ul className="mt-4 grid gap-x-6 border-t-2 border-ink lg:grid-cols-2">
        {shown.map((person) => {
          const held = holds.get(person.id) ?? null;
          return (
            <li key={person.id} className="border-b border-rule">
              <button
                type="button"
                data-listed-person={person.id}
                data-person-name={person.name}
                className="flex min-h-16 w-full cursor-pointer items-center gap-3 px-2 text-left hover:bg-board"
                onClick={() => {
                  choose(person);
                }}
              >
                <StateMark
                  state={held ? 'held' : person.lastTestedOn === null ? 'not-tested' : person.due ? 'due' : 'ready'}
                  silent
                />
                <span className="text-lg font-bold">{person.name}</span>
                <span className="text-ink-soft">{person.ageYears}</span>
                <span className="ml-auto text-right">
                  {held
                    ? held.what.split(':')[0]
                    : person.lastTestedOn === null
                      ? 'not tested yet'
                      : person.due
                        ? 'retest due'
                        : `tested ${dayWords(person.lastTestedOn)}`}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
      {elsewhere.length > 0 && (
        <div className="mt-4">
          <h2 className="font-bold">Others in the register</h2>
          <ul className="grid gap-x-6 lg:grid-cols-2">
            {elsewhere.map((line) => (
              <li key={line.id} className="border-b border-rule">
                <a href={search(line.id)} className="flex min-h-14 items-center gap-3 px-2">
                  <b>{line.name}</b> <span className="text-ink-soft">{line.ageYears}</span>
                </a>
              </li>
            ))}
          </ul>
        </div>
      )}
      {shown.length === 0 && elsewhere.length === 0 && (
        <p className="py-8 text-lg">
          {people.length === 0 ? 'Nobody is in the register yet. ' : 'Nobody of that name is in the register. '}
          <a className="text-squat underline" href="/people/new">
            Add a person
          </a>
        </p>
      )}
    </div>
  );
}
