'use client';
import { createContext, useContext, useState, type ReactNode } from 'react';
import { ButtonLink } from '../touch/button';

const Tell = createContext<(words: string) => void>(() => undefined);

/** Tells what was kept, in a sentence. */
export const useTellKept = (): ((words: string) => void) => useContext(Tell);

/**
 * What was kept, in place of what it was chosen from: what is open may be other with the pain that was just noted, and the
 * page under it changes.
 */
export function KeptSwap({ back, children }: { back: string; children: ReactNode }) {
  const [kept, tell] = useState<string | null>(null);
  if (kept === null) return <Tell value={tell}>{children}</Tell>;
  return (
    <div className="mt-6 border-l-8 border-hinge bg-board p-5" role="status" data-testid="swap-kept">
      <p className="text-xl font-bold">{kept}</p>
      <p className="mt-1">It is noted with the day. The level stays as it is.</p>
      <p className="mt-3">
        <ButtonLink href={back}>Back to the levels</ButtonLink>
      </p>
    </div>
  );
}
