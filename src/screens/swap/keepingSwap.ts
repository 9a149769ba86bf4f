'use client';
import { useRef, useState } from 'react';
import { newClientKey } from '../test/bench/store';
import { useOneAtATime } from '../touch/useOneAtATime';

/** Keeps what was done instead. */
export type SaveSwap = (
  sent: object,
  key: string,
) => Promise<
  | { readonly kind: 'kept' | 'not-found' }
  | { readonly kind: 'invalid'; readonly errors: readonly { readonly path: string; readonly message: string }[] }
>;

/**
 * Sends one swap, the same again under the same key.
 * @param done is told what was kept
 */
export function useKeepingSwap(save: SaveSwap, done: (words: string) => void) {
  const [fault, setFault] = useState('');
  const tried = useRef({ words: '', key: '' });
  const put = useOneAtATime(async ({ sent, told }: { sent: object; told: string }) => {
    const words = JSON.stringify(sent);
    if (tried.current.words !== words) tried.current = { words, key: newClientKey() };
    const said = await save(sent, tried.current.key).catch(() => null);
    setFault(faultOf(said));
    if (said?.kind === 'kept') done(told);
    return true;
  });
  return { put, fault };
}

function faultOf(said: Awaited<ReturnType<SaveSwap>> | null): string {
  switch (said?.kind) {
    case 'kept':
      return '';
    case 'not-found':
      return 'This person is no longer in the register.';
    case 'invalid':
      return said.errors.map((e) => e.message).join(' ');
    case undefined:
      return 'The server did not answer. Press again; nothing is kept twice.';
  }
}
