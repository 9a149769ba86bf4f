'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { consentsIn } from '../../core/intake/consent';
import type { ConsentTo, Entry } from '../../core/shapes/intake';
import { newClientKey } from '../test/bench/store';
import { Button } from '../touch/button';
import { useOneAtATime } from '../touch/useOneAtATime';
import { consentWords, dayWords } from '../words';

interface Props {
  readonly entries: readonly Entry[];
  readonly note: (content: unknown, key: string) => Promise<{ kind: string }>;
  /** Only these; all where left out. */
  readonly to?: readonly ConsentTo[];
}

/** What somebody agreed to, each with its day; taken back in one press. */
export function Consents({ entries, note, to }: Props) {
  const router = useRouter();
  const [fault, setFault] = useState('');
  const say = useOneAtATime(async (content: { to: ConsentTo; given: boolean }) => {
    const saved = await note({ kind: 'consent', ...content }, newClientKey()).catch(() => null);
    const kept = saved?.kind === 'created' || saved?.kind === 'known';
    setFault(kept ? '' : 'The server did not answer. Press again.');
    if (kept) router.refresh();
    return true;
  });
  return (
    <section aria-label="Agreed to" className="print:hidden">
      <h2 className="border-b-2 border-ink pb-1 font-bold">Agreed to</h2>
      <ul>
        {consentsIn(entries)
          .filter((c) => to?.includes(c.to) ?? true)
          .map(({ to: what, said }) => {
            const given = said?.content.given === true;
            return (
              <li key={what} className="flex min-h-12 flex-wrap items-center gap-x-3 border-b border-rule">
                <span className="flex-1 first-letter:uppercase">{consentWords[what]}</span>
                <span className="text-ink-soft">
                  {said === null ? 'not asked yet' : `${given ? 'since' : 'no longer, since'} ${dayWords(said.on)}`}
                </span>
                <Button
                  look={given ? 'plain' : 'line'}
                  className="min-h-11!"
                  aria-label={`${given ? 'No longer agrees' : 'Agrees'} to ${consentWords[what]}`}
                  onClick={() => say({ to: what, given: !given })}
                >
                  {given ? 'No longer' : 'Agrees'}
                </Button>
              </li>
            );
          })}
      </ul>
      <p role="alert" className="font-semibold text-stop empty:hidden">
        {fault}
      </p>
    </section>
  );
}
