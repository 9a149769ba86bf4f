'use client';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { Pattern } from '../../core/shapes/facts';
import { newClientKey } from '../test/bench/store';
import { useOneAtATime } from '../touch/useOneAtATime';

/** Sends the instructor’s word on a level of the person of the page. */
export type Say = (
  sent: object,
  key: string,
) => Promise<
  | { readonly kind: 'kept' | 'changed' | 'not-found' }
  | { readonly kind: 'invalid'; readonly errors: readonly { readonly path: string; readonly message: string }[] }
>;

/** Which level a word is about, and what stood on the screen. */
export interface About {
  readonly pattern: Pattern;
  /** Of a set: which item. */
  readonly item: number | null;
  /** Of a movement of the hall’s own: which. */
  readonly own?: string;
  /** The code of what the rules give; empty where they give nothing. */
  readonly seen: string;
}

const nothingChosen = { rung: null, support: null, heightCm: null, within: null, dose: null, loadKg: null, why: '' };

/**
 * Says one word at a time. The same sent again has the same key, so that a lost answer keeps nothing twice.
 * @param kept done when it was kept
 */
export function useSaying(say: Say, about: About, kept?: () => void) {
  const router = useRouter();
  const [fault, setFault] = useState('');
  const tried = useRef({ words: '', key: '' });
  const put = useOneAtATime(async (sent: object) => {
    const whole = { ...nothingChosen, ...about, ...sent };
    const words = JSON.stringify(whole);
    if (tried.current.words !== words) tried.current = { words, key: newClientKey() };
    const said = await say(whole, tried.current.key).catch(() => null);
    if (said !== null) tried.current = { words: '', key: '' };
    setFault(wordsOf(said));
    if (said?.kind === 'kept') kept?.();
    if (said?.kind === 'kept' || said?.kind === 'changed') router.refresh();
    return true;
  });
  return { put, fault };
}

function wordsOf(said: Awaited<ReturnType<Say>> | null): string {
  switch (said?.kind) {
    case 'kept':
      return '';
    case 'changed':
      return 'Something new was noted since, and the rules give something else: look again. Nothing was kept.';
    case 'invalid':
      return said.errors.map((e) => e.message).join(' ');
    case 'not-found':
      return 'This person is no longer in the register.';
    case undefined:
      return 'The server did not answer. Press again; nothing is kept twice.';
  }
}
