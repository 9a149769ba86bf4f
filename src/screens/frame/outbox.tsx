'use client';
import { usePathname } from 'next/navigation';
import { useEffect, useState } from 'react';
import { closeAbandoned } from '../test/bench/abandoned';
import { keptDayNotes, keptEntries, type KeptAttempt } from '../test/bench/store';
import { forever } from '../test/bench/forever';
import { Pauses } from '../test/bench/pauses';
import { entriesToSend, sendAttempt, sendDayNote, sendEntry, waitingToSend, type Sent } from '../test/bench/sending';
import { thisRegister } from './thisRegister';

const everyMs = 2000;

interface Waiting {
  readonly personName: string;
  readonly refused: string | null;
  readonly register: string | null;
}

interface Left {
  readonly waiting: readonly Waiting[];
  /** Sheets of which nobody said whom they are about. */
  readonly nameless: number;
  /** The browser does not even say what it keeps. */
  readonly unreadable: boolean;
}

const nothing: Left = { waiting: [], nameless: 0, unreadable: false };

/** Sends what waits in this browser, from whichever page is open, and says so while something waits. */
export function Outbox() {
  const [left, setLeft] = useState<Left>(nothing);
  const [brokeOff, setBrokeOff] = useState<readonly KeptAttempt[]>([]);
  // The station takes up, or says of, what a reload cut off there.
  const path = usePathname();
  const atStation = path === '/test';
  useEffect(() => {
    let live = true;
    const pauses = new Pauses();
    const send = async (key: string, deed: () => Promise<Sent>) => {
      if (!pauses.isDue(key, Date.now())) return;
      if ((await deed()) === 'later') pauses.notTaken(key, Date.now());
      else pauses.done(key);
    };
    const round = async () => {
      if (!atStation) {
        const closed = await closeAbandoned(Date.now());
        if (live && closed.length > 0) setBrokeOff((before) => [...before, ...closed]);
      }
      for (const attempt of await waitingToSend())
        if (attempt.refused === null) await send(attempt.clientKey, () => sendAttempt(attempt));
      for (const entry of await entriesToSend())
        if (entry.refused === null) await send(entry.key, () => sendEntry(entry));
      for (const note of await keptDayNotes()) if (note.refused === null) await send(note.key, () => sendDayNote(note));
      const nameless = (await keptEntries()).filter((e) => !e.open && e.personId === '').length;
      if (live)
        setLeft({
          waiting: [...(await waitingToSend()), ...(await entriesToSend()), ...(await notesOfDay())],
          nameless,
          unreadable: false,
        });
    };
    const anew = () => {
      pauses.startAnew();
    };
    window.addEventListener('online', anew);
    window.addEventListener('focus', anew);
    const end = forever(round, everyMs, (error) => {
      console.error('A round of sending broke off; the next one follows:', error);
      if (live) setLeft((before) => ({ ...before, unreadable: true }));
    });
    return () => {
      live = false;
      end();
      window.removeEventListener('online', anew);
      window.removeEventListener('focus', anew);
    };
  }, [atStation]);
  // The page of what waits says it all itself.
  const lines = path === '/waiting' ? [] : linesOf(left);
  return (
    <div role="status" className="print:hidden" data-testid="outbox" data-frame>
      {brokeOff.map(({ clientKey, personId, personName }) => (
        <p key={clientKey} className={line}>
          The test of {personName} broke off when this browser closed; its record is kept. Rest five minutes, then{' '}
          <a className={link} href={`/test?person=${personId}`}>
            repeat it
          </a>
          .
        </p>
      ))}
      {lines.map((words) => (
        <p key={words} className={line}>
          {words}{' '}
          <a className={link} href="/waiting">
            What waits
          </a>
        </p>
      ))}
    </div>
  );
}

/** What waits of a testing day is told under one name. */
const notesOfDay = async (): Promise<Waiting[]> =>
  (await keptDayNotes()).slice(0, 1).map((note) => ({ ...note, personName: 'the board of the day' }));

const line = 'border-b-2 border-watch bg-board px-7 py-2 font-semibold';
const link = 'inline-flex min-h-11 items-center font-semibold text-ink underline underline-offset-4';

/** What is to be said of all that waits, a sentence a kind. */
function linesOf({ waiting, nameless, unreadable }: Left): string[] {
  const names = (of: readonly Waiting[]) => [...new Set(of.map((w) => w.personName))].join(', ');
  const refused = waiting.filter((w) => w.refused !== null);
  const elsewhere = waiting.filter((w) => w.refused === null && w.register !== null && w.register !== thisRegister());
  const open = waiting.filter((w) => w.refused === null && !elsewhere.includes(w));
  return [
    ...(open.length === 0
      ? []
      : [
          `${open.length === 1 ? 'One result waits' : `${open.length} results wait`} in this browser until the server answers (${names(open)}). Nothing is lost; keep this browser.`,
        ]),
    ...(elsewhere.length === 0
      ? []
      : [`Kept for another register than the one open here: ${names(elsewhere)}. Open that one to send it.`]),
    ...(refused.length === 0 ? [] : [`Not taken by the register: ${names(refused)}. Kept in this browser; look why.`]),
    ...(nameless === 0
      ? []
      : [`${nameless === 1 ? 'One incident sheet has' : `${nameless} incident sheets have`} no name yet.`]),
    ...(unreadable ? ['This browser does not let itself be read: results may be held on their page only.'] : []),
  ];
}
