'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { ClassLogContent, WrittenLine } from '../../core/shapes/classLog';
import { keepLine, keptLogs, sendLog, withLine, type KeptLog } from './keepLog';

/** What this page and the others say of a class, and whether the register has it. */
export interface ClassLog {
  /** By every tablet. */
  readonly lines: readonly WrittenLine[];
  readonly writer: string;
  readonly note: (content: ClassLogContent, personId?: string | null) => void;
  /** Lines of this browser that the register does not have yet. */
  readonly unsent: number;
  readonly refused: string | null;
  /** Known once the browser’s store was read: before that nothing is written. */
  readonly ready: boolean;
}

/** Every so often what is not sent is sent, and the other tablets are asked. */
const everyMs = 3000;

/** A page keeps its own numbers over a reload; another tab has others. */
function writerOf(key: string): string {
  const name = `class-writer ${key}`;
  const known = sessionStorage.getItem(name);
  if (known) return known;
  const fresh = Array.from(crypto.getRandomValues(new Uint8Array(8)), (b) => b.toString(16).padStart(2, '0')).join('');
  sessionStorage.setItem(name, fresh);
  return fresh;
}

const written = ({ writer, lines }: Pick<KeptLog, 'writer' | 'lines'>): WrittenLine[] =>
  lines.map((l) => ({ ...l, writer }));

/**
 * The log of a class in this page: each line is in the browser before it shows, and is sent whole until the register has it.
 * @param known what the register had when the page was drawn
 */
export function useClassLog(key: string, known: readonly WrittenLine[]): ClassLog {
  const [others, setOthers] = useState<readonly WrittenLine[]>(known);
  const [own, setOwn] = useState<readonly KeptLog[]>([]);
  const [refused, setRefused] = useState<string | null>(null);
  const [ready, setReady] = useState(false);
  const [writer, setWriter] = useState('');
  const chain = useRef<Promise<unknown>>(Promise.resolve());
  /** Numbers under it the register has, whatever this browser remembers. */
  const least = useRef(0);
  const latest = useRef<readonly KeptLog[]>([]);
  useEffect(() => {
    latest.current = own;
  });

  useEffect(() => {
    let live = true;
    const me = writerOf(key);
    void keptLogs(key)
      .catch((error: unknown) => {
        console.error('The log of this class cannot be kept in this browser:', error);
        return [];
      })
      .then((logs) => {
        if (!live) return;
        least.current = Math.max(-1, ...known.filter((l) => l.writer === me).map((l) => l.seq)) + 1;
        setOwn(logs);
        setWriter(me);
        setReady(true);
      });
    return () => {
      live = false;
    };
  }, [key, known]);

  const note = useCallback(
    (content: ClassLogContent, personId: string | null = null) => {
      if (writer === '') return;
      const line = { wallMs: Date.now(), personId, content };
      // One after the other, in the order in which they were tapped.
      chain.current = chain.current
        .then(() => keepLine(key, writer, line, least.current))
        .catch((error: unknown) => {
          // Kept by this page alone, and sent from it.
          console.error('Not kept in this browser, only sent:', error);
          const known = latest.current.find((l) => l.writer === writer);
          return withLine(known, key, writer, line, least.current);
        })
        .then((log) => {
          latest.current = [...latest.current.filter((l) => l.id !== log.id), log];
          setOwn(latest.current);
        });
    },
    [key, writer],
  );

  const unsent = own.reduce((sum, log) => sum + Math.max(0, log.lines.length - log.sent), 0);
  useEffect(() => {
    if (!ready) return undefined;
    let live = true;
    let waits: ReturnType<typeof setTimeout> | undefined;
    const round = async () => {
      for (const log of latest.current) {
        if (log.lines.length <= log.sent) continue;
        const said = await sendLog(log);
        if (!live) return;
        if (said === 'sent')
          setOwn((now) => now.map((l) => (l.id === log.id ? { ...l, sent: Math.max(l.sent, log.lines.length) } : l)));
        else if (typeof said === 'object') setRefused(said.refused);
      }
      const answer = await fetch(`/api/v1/classes/${key}`, {
        cache: 'no-store',
        signal: AbortSignal.timeout(2000),
      }).catch(() => null);
      const said =
        answer?.ok === true ? ((await answer.json().catch(() => null)) as { lines?: WrittenLine[] } | null) : null;
      const theirs = said?.lines;
      // The same again draws nothing again.
      if (live && theirs) setOthers((now) => (JSON.stringify(now) === JSON.stringify(theirs) ? now : theirs));
      if (live) waits = setTimeout(() => void round(), everyMs);
    };
    waits = setTimeout(() => void round(), unsent > 0 ? 0 : everyMs);
    return () => {
      live = false;
      clearTimeout(waits);
    };
    // A new line is sent at once; nothing else begins a round.
  }, [key, ready, unsent]);

  const lines = useMemo(() => {
    const mine = own.flatMap(written);
    const has = new Set(mine.map((l) => `${l.writer} ${l.seq}`));
    return [...others.filter((l) => !has.has(`${l.writer} ${l.seq}`)), ...mine];
  }, [own, others]);
  return { lines, writer, note, unsent, refused, ready };
}
