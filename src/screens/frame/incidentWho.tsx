'use client';
import { useState } from 'react';
import type { KeptEntry } from '../test/bench/store';
import { Button } from '../touch/button';
import { TextBox } from '../touch/field';
import { matching } from '../touch/matching';
import { useFound } from './useFound';

interface Named {
  readonly id: string;
  readonly name: string;
}

/** Everybody named on the page under the sheet: they can be chosen while no server answers. */
function peopleOnPage(): Named[] {
  const listed = [...document.querySelectorAll<HTMLElement>('[data-listed-person]')].map((e) => ({
    id: e.dataset['listedPerson'] ?? '',
    name: e.dataset['personName'] ?? '',
  }));
  const linked = [...document.querySelectorAll<HTMLAnchorElement>('main a[href^="/people/"]')].flatMap((a) => {
    const id = /^\/people\/([\w-]{16,64})$/.exec(a.getAttribute('href') ?? '')?.[1];
    return id === undefined ? [] : [{ id, name: a.textContent.trim() }];
  });
  const byId = new Map([...linked, ...listed].filter((p) => p.id !== '' && p.name !== '').map((p) => [p.id, p]));
  return [...byId.values()];
}

const most = 6;

/** Whom the sheet is about: found in the register, or among those on the page while no server answers. */
export function IncidentWho({ kept, who }: { kept: KeptEntry; who: (id: string, name: string) => void }) {
  const [typed, setTyped] = useState('');
  const [near] = useState(peopleOnPage);
  const { lines } = useFound(typed, 5);
  if (kept.personId !== '')
    return (
      <p className="text-xl">
        About <b>{kept.personName}</b>{' '}
        <Button look="plain" onClick={() => who('', '')}>
          somebody else
        </Button>
      </p>
    );
  const found = lines.map(({ id, name }) => ({ id, name }));
  const here = matching(near, typed).filter((p) => !found.some((f) => f.id === p.id));
  return (
    <div>
      <label className="block font-semibold">
        Who is it about? It can be said later too.
        <TextBox
          className="mt-1 block w-80 max-w-full"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      <div className="mt-1 flex flex-wrap gap-2">
        {[...found, ...here].slice(0, most).map(({ id, name }) => (
          <Button key={id} look="line" onClick={() => who(id, name)}>
            {name}
          </Button>
        ))}
      </div>
    </div>
  );
}
