'use client';
import { useEffect, useState } from 'react';
import type { Level } from '../../core/level/answer';
import { useUnits } from '../frame/units';
import { levelWords } from '../levels/levelWords';
import { askOpened } from './bench/sending';
import type { RunNow } from './bench/useLanes';

/** The result is sent at once; asked again a few times, each later, where that takes longer. */
const askAfterMs = [300, 1200, 4000, 12_000];

/** What a result opens, said as soon as the register has it; nothing while the server is away. */
export function Opens({ run }: { run: RunNow }) {
  const units = useUnits();
  const { personId, clientKey } = run.kept;
  // A mark afterwards may change it, such as pain.
  const events = run.lane.events.length;
  const [opens, setOpens] = useState<readonly Level[] | null>(null);
  useEffect(() => {
    let live = true;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const ask = (nth: number) => {
      const after = askAfterMs[nth];
      if (after === undefined) return;
      timer = setTimeout(() => {
        void askOpened(personId, clientKey).then((said) => {
          if (!live) return;
          if (said) setOpens(said);
          else ask(nth + 1);
        });
      }, after);
    };
    ask(0);
    return () => {
      live = false;
      clearTimeout(timer);
    };
  }, [personId, clientKey, events]);
  if (!opens) return null;
  return (
    <p role="status" className="mt-2 text-lg" data-testid="opens">
      {opens.length === 0 ? (
        'Opens no other level.'
      ) : (
        <>
          Waits for your yes: <b>{opens.map((level) => levelWords(level, units)).join(' · ')}</b>.
        </>
      )}
    </p>
  );
}
