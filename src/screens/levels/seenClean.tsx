'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Entry } from '../../core/shapes/intake';
import type { Pattern } from '../../core/shapes/facts';
import { newClientKey } from '../test/bench/store';
import { Button } from '../touch/button';
import { useOneAtATime } from '../touch/useOneAtATime';
import { dayWords } from '../words';

/** Notes something of the person of the page; the key makes sending it twice harmless. */
export type Note = (content: object, key: string) => Promise<{ readonly kind: string }>;

interface Props {
  readonly pattern: Pattern;
  readonly rung: number;
  /** Of a hold that opens another: how long it must last. */
  readonly holdsS?: readonly number[];
  /** What was noted so on this ladder and stands, newest last. */
  readonly ticks: readonly Entry[];
  readonly note: Note;
}

/**
 * The tick until classes are logged: this rung was done clean in two of them. It shows the rung and those under it, and
 * lapses as a test does.
 */
export function SeenClean({ pattern, rung, holdsS = [], ticks, note }: Props) {
  const router = useRouter();
  const [fault, setFault] = useState('');
  const put = useOneAtATime(async (content: object) => {
    const said = await note(content, newClientKey()).catch(() => null);
    setFault(said?.kind === 'created' || said?.kind === 'known' ? '' : 'That was not kept. Press again.');
    router.refresh();
    return true;
  });
  const least = Math.min(...holdsS);
  const mine = ticks.findLast(
    ({ content }) =>
      content.kind === 'shown' &&
      content.rung >= rung &&
      (holdsS.length === 0 || content.rung > rung || (content.heldS ?? 0) >= least),
  );
  return (
    <div className="mt-4 border-t-2 border-rule pt-2" data-testid="seen-clean">
      {mine ? (
        <p className="flex flex-wrap items-center gap-x-4">
          <b>
            {holdsS.length === 0 ? 'Seen clean twice' : `Held ${least} s clean`}, noted on {dayWords(mine.on)}.
          </b>
          <Button look="plain" onClick={() => put({ kind: 'withdrawn', entryId: mine.id, reason: 'noted by mistake' })}>
            Take it back
          </Button>
        </p>
      ) : (
        <>
          {holdsS.length === 0 ? (
            <>
              <Button look="line" onClick={() => put({ kind: 'shown', pattern, rung })}>
                Seen clean in two classes
              </Button>
              <p className="mt-1 text-sm">
                Ten clean, or six a side, in each of two, at most four weeks apart; today the newer. It opens what asks
                for it.
              </p>
            </>
          ) : (
            holdsS.map((heldS) => (
              <Button key={heldS} look="line" onClick={() => put({ kind: 'shown', pattern, rung, heldS })}>
                Held {heldS} s clean in two classes
              </Button>
            ))
          )}
        </>
      )}
      <p role="alert" className="font-semibold text-stop empty:hidden">
        {fault}
      </p>
    </div>
  );
}
