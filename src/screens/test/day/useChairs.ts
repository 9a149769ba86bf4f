'use client';
import { useEffect, useState } from 'react';
import type { ChairsFound } from './chairWords';

export interface ChairsAsked {
  readonly stations: readonly { readonly staff: string; readonly seatsCm: readonly number[] }[];
}
export type FindChairs = (asked: ChairsAsked) => Promise<ChairsFound | null>;

/** What the server last found; `asking` while it is at it, `no-answer` where it gave none. */
export type ChairsNow = ChairsFound | 'asking' | 'no-answer';

/** Which chair stands at which lane, asked again when the lanes or their heights change; only the answer to the newest question counts. */
export function useChairs(asked: ChairsAsked, find: FindChairs): ChairsNow {
  const question = JSON.stringify(asked);
  const [answer, setAnswer] = useState<{ readonly to: string; readonly found: ChairsFound | null } | null>(null);
  useEffect(() => {
    let isNewest = true;
    const tell = (found: ChairsFound | null) => {
      if (isNewest) setAnswer({ to: question, found });
    };
    find(JSON.parse(question) as ChairsAsked).then(tell, () => tell(null));
    return () => {
      isNewest = false;
    };
  }, [question, find]);
  if (answer?.to !== question) return 'asking';
  return answer.found ?? 'no-answer';
}
