'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { noticedThings, type Entry, type Noticed } from '../../core/shapes/intake';
import { newClientKey } from '../test/bench/store';
import { TickBox } from '../touch/field';
import { useOneAtATime } from '../touch/useOneAtATime';
import { noticedWords } from '../words';
import type { Note } from './seenClean';

interface Props {
  /** What was noted so and stands. */
  readonly entries: readonly Pick<Entry, 'id' | 'content'>[];
  readonly note: Note;
}

/** What somebody wishes for, and what was seen in class: each tick is noted with its day, and taken back the same way. */
export function Noticing({ entries, note }: Props) {
  const router = useRouter();
  const [fault, setFault] = useState('');
  const put = useOneAtATime(async (what: Noticed) => {
    const stands = entries.filter(({ content }) => content.kind === 'noticed' && content.what === what);
    const contents =
      stands.length === 0
        ? [{ kind: 'noticed', what }]
        : stands.map(({ id }) => ({ kind: 'withdrawn', entryId: id, reason: 'no longer so' }));
    for (const content of contents) {
      const said = await note(content, newClientKey()).catch(() => null);
      const kept = said?.kind === 'created' || said?.kind === 'known';
      setFault(kept ? '' : 'That was not kept. Press again.');
      if (!kept) break;
    }
    router.refresh();
    return true;
  });
  return (
    <fieldset>
      <legend className="w-full border-b-2 border-ink pb-0.5 font-bold">Wished for, or seen in class</legend>
      {noticedThings.map((what) => (
        <label key={what} className="flex min-h-11 cursor-pointer items-center gap-3">
          <TickBox
            checked={entries.some(({ content }) => content.kind === 'noticed' && content.what === what)}
            onChange={() => put(what)}
          />
          <span className="first-letter:uppercase">{noticedWords[what]}</span>
        </label>
      ))}
      <p role="alert" className="font-semibold text-stop empty:hidden">
        {fault}
      </p>
    </fieldset>
  );
}
