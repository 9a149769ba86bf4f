'use client';
import { useState } from 'react';
import { matching } from '../frame/find';
import { StateMark } from '../drawing/stateMark';
import { dayWords } from '../words';
import { heldBecause, type StationPerson } from './station';

/** Who sits down next: those who are due first, those held last, every row a big target. */
export function ChoosePerson({
  people,
  choose,
}: {
  people: readonly StationPerson[];
  choose: (person: StationPerson) => void;
}) {
  const [typed, setTyped] = useState('');
  const found = new Set(matching(people, typed, people.length).map((p) => p.id));
  const rank = (p: StationPerson) => (heldBecause(p) ? 2 : p.due || p.lastTestedOn === null ? 0 : 1);
  const shown = people.filter((p) => found.has(p.id)).sort((a, b) => rank(a) - rank(b) || a.name.localeCompare(b.name));
  return (
    <div className="pt-5">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-2xl font-extrabold">Who sits down next?</h1>
        <label className="flex items-center gap-3 font-semibold">
          Name
          <input
            // The one thing to do on this screen.
            autoFocus
            value={typed}
            onChange={(event) => {
              setTyped(event.target.value);
            }}
            onKeyDown={(event) => {
              if (event.key === 'Enter' && shown[0]) choose(shown[0]);
            }}
            className="h-12 w-72 rounded-md border-2 border-ink bg-board px-3"
          />
        </label>
      </div>
      <ul className="mt-4 grid gap-x-6 border-t-2 border-ink lg:grid-cols-2">
        {shown.map((person) => {
          const held = heldBecause(person);
          return (
            <li key={person.id} className="border-b border-rule">
              <button
                type="button"
                className="flex min-h-16 w-full cursor-pointer items-center gap-3 px-2 text-left hover:bg-board"
                onClick={() => {
                  choose(person);
                }}
              >
                <StateMark
                  mark={held ? 'stop' : person.lastTestedOn === null ? 'unknown' : person.due ? 'watch' : 'ready'}
                  silent
                />
                <span className="text-lg font-bold">{person.name}</span>
                <span className="text-ink-soft">{person.ageYears}</span>
                <span className="ml-auto text-right">
                  {held
                    ? held.split('.')[0]
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
      {shown.length === 0 && (
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
