'use client';
import { useState } from 'react';
import { amount } from '../../core/math/amount';
import type { Group } from '../../core/shapes/person';
import { newClientKey } from '../test/bench/store';
import { Button, ButtonLink } from '../touch/button';
import { FootBar } from '../touch/footBar';
import { useOneAtATime } from '../touch/useOneAtATime';

interface Props {
  readonly group: Group;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  /** That it was noted as held today already. */
  readonly held: { readonly key: string; readonly present: number } | null;
  readonly hold: (key: string, groupId: string, present: string[]) => Promise<{ readonly kind: string }>;
  readonly undo: (key: string) => Promise<{ readonly kind: string }>;
}

/** A class that was held: everybody of the group was there but for whom is tapped; one press counts it for them. */
export function ClassToday({ group, people, held, hold, undo }: Props) {
  const [away, setAway] = useState<ReadonlySet<string>>(new Set());
  // A press that is sent twice notes one class.
  const [key, setKey] = useState(newClientKey);
  const [fault, setFault] = useState('');
  const there = people.filter((p) => !away.has(p.id));
  const put = useOneAtATime(async (deed: () => Promise<{ readonly kind: string }>) => {
    const said = await deed().catch(() => null);
    setFault(
      said === null
        ? 'The server did not answer. Press again; nothing is noted twice.'
        : said.kind === 'not-found'
          ? 'Nobody of these is in the register any more.'
          : '',
    );
    return true;
  });
  const tap = (id: string) =>
    setAway((now) => {
      const next = new Set(now);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  return (
    <div className="pt-5">
      <h1 className="text-2xl font-extrabold">{group.name}: class today</h1>
      {held ? (
        <p className="mt-4 border-l-8 border-squat bg-board p-4 text-lg" role="status">
          <b>Held today, with {amount(held.present, 'people')}.</b> Each has one class more.
        </p>
      ) : (
        <>
          <p className="mt-1">Everybody was there but for whom you tap.</p>
          <ul className="mt-3 grid gap-x-6 border-t-2 border-ink sm:grid-cols-2 lg:grid-cols-3">
            {people.map(({ id, name }) => (
              <li key={id} className="border-b border-rule">
                <button
                  type="button"
                  aria-pressed={!away.has(id)}
                  className="flex min-h-14 w-full cursor-pointer items-center gap-3 px-2 text-left text-lg aria-pressed:font-bold not-aria-pressed:line-through"
                  onClick={() => tap(id)}
                >
                  {name}{' '}
                  <span className="ml-auto text-base font-normal">{away.has(id) ? 'was not there' : 'there'}</span>
                </button>
              </li>
            ))}
          </ul>
          {people.length === 0 && <p className="py-6 text-lg">Nobody is in this group yet.</p>}
        </>
      )}
      <p role="alert" className="mt-3 font-semibold text-stop empty:hidden">
        {fault}
      </p>
      <FootBar>
        {held ? (
          <Button
            look="line"
            onClick={() => {
              setKey(newClientKey());
              put(() => undo(held.key));
            }}
          >
            It was not held: take it back
          </Button>
        ) : (
          <Button
            className="min-h-16 text-xl"
            disabled={there.length === 0}
            onClick={() =>
              put(() =>
                hold(
                  key,
                  group.id,
                  there.map((p) => p.id),
                ),
              )
            }
          >
            Class held: {amount(there.length, 'people')}
          </Button>
        )}
        <ButtonLink look="plain" href="/people/groups">
          Back to the groups
        </ButtonLink>
      </FootBar>
    </div>
  );
}
