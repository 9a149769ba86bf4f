'use client';
import { useEffect, useState } from 'react';
import { entriesToSend, sendAttempt, sendEntry, waitingToSend } from '../test/sending';

const everyMs = 2000;

interface Waiting {
  readonly personName: string;
  readonly refused: string | null;
}

/** Sends what waits in this browser, from whichever page is open, and says so while something waits. */
export function Outbox() {
  const [waiting, setWaiting] = useState<readonly Waiting[]>([]);
  useEffect(() => {
    let live = true;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const round = async () => {
      for (const attempt of await waitingToSend()) if (attempt.refused === null) await sendAttempt(attempt);
      for (const entry of await entriesToSend()) if (entry.refused === null) await sendEntry(entry);
      const left = [...(await waitingToSend()), ...(await entriesToSend())];
      if (!live) return;
      setWaiting(left);
      timer = setTimeout(() => void round(), everyMs);
    };
    void round();
    return () => {
      live = false;
      clearTimeout(timer);
    };
  }, []);
  const refused = waiting.filter((a) => a.refused !== null);
  return (
    <div role="status" className="print:hidden" data-testid="outbox">
      {waiting.length > 0 && (
        <p className="border-b-2 border-watch bg-board px-7 py-2 font-semibold">
          {refused.length === 0
            ? `${waiting.length === 1 ? 'One result waits' : `${waiting.length} results wait`} in this browser until the server answers (${waiting.map((a) => a.personName).join(', ')}). Nothing is lost; keep this browser.`
            : `The result of ${refused.map((a) => a.personName).join(', ')} was not taken: ${refused[0]?.refused ?? ''} It is kept in this browser.`}
        </p>
      )}
    </div>
  );
}
