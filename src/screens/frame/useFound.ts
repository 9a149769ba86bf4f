'use client';
import { useEffect, useState } from 'react';
import type { RegisterLine } from '../../core/view/registerLine';
import { fetchLines } from './askRegister';

/** A letter that another follows as quickly is not asked about. */
export const typingMs = 80;

/** Who was found for what is typed. */
export interface Found {
  /** Those of the last answer; empty while nothing is typed. */
  readonly lines: readonly RegisterLine[];
  readonly state: 'nothing-typed' | 'asking' | 'answered' | 'no-answer';
}

/** Asks the register as one types, slips and level codes allowed: the one way in which a screen finds somebody. */
export function useFound(typed: string, limit: number): Found {
  const search = typed.trim();
  const [last, setLast] = useState<{ for: string; lines: readonly RegisterLine[] | null }>({ for: '', lines: [] });
  useEffect(() => {
    if (search === '') return;
    const asking = new AbortController();
    const timer = setTimeout(() => {
      fetchLines({ search, limit }, asking.signal).then(
        (answer) => setLast({ for: search, lines: answer?.lines ?? null }),
        () => undefined,
      );
    }, typingMs);
    return () => {
      clearTimeout(timer);
      asking.abort();
    };
  }, [limit, search]);
  if (search === '') return { lines: [], state: 'nothing-typed' };
  const state = last.for !== search ? 'asking' : last.lines === null ? 'no-answer' : 'answered';
  return { lines: last.lines ?? [], state };
}
