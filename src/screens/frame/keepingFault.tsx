'use client';
import { useEffect, useState } from 'react';
import { forever } from '../test/bench/forever';

const everyMs = 10_000;

/**
 * That the register can keep nothing at the moment, such as on a full disk, and what to do: on every page, before
 * somebody presses in vain. A server that does not answer is told of where something was asked of it.
 */
export function KeepingFault() {
  const [fault, setFault] = useState('');
  useEffect(
    () =>
      forever(
        async () => setFault(await askFault()),
        everyMs,
        (error) => {
          console.error('Whether the register can be written could not be asked:', error);
        },
      ),
    [],
  );
  return (
    <div aria-live="assertive" data-frame className="print:hidden">
      {fault !== '' && <p className="border-b-4 border-stop bg-board px-7 py-2 font-semibold">{fault}</p>}
    </div>
  );
}

/** In words; empty where all is well, or nobody answers. */
async function askFault(): Promise<string> {
  const answer = await fetch('/api/health', { cache: 'no-store' }).catch(() => null);
  // Read whatever it is: an answer that is left unread keeps its connection, of which a browser has six.
  const { detail } = ((await answer?.json().catch(() => null)) ?? {}) as { detail?: unknown };
  return answer && answer.status >= 500 && typeof detail === 'string' ? detail : '';
}
