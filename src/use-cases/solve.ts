import { Worker } from 'node:worker_threads';
import type { Solve, Solved } from '../core/train/seats/programme';

/** A programme that takes longer stands with the best that was found. */
const mostSeconds = 2;

interface Said {
  readonly id: number;
  readonly status?: string;
  readonly at?: Readonly<Record<string, number | undefined>>;
  readonly fault?: string;
}

interface Waiting {
  readonly done: (solved: Solved) => void;
  readonly failed: (fault: Error) => void;
}

let thread: Worker | null = null;
let lastId = 0;
const waiting = new Map<number, Waiting>();

/** One thread for the whole server, begun with the first programme; it does not keep the server from ending. */
function theThread(): Worker {
  if (thread) return thread;
  const begun = new Worker(new URL('./highsWorker.mjs', import.meta.url));
  begun.unref();
  begun.on('message', ({ id, status, at = {}, fault }: Said) => {
    const one = waiting.get(id);
    waiting.delete(id);
    if (waiting.size === 0) begun.unref();
    if (fault !== undefined) one?.failed(new Error(`the solver: ${fault}`));
    else one?.done(readSolved(status, at));
  });
  const gone = (fault: Error) => {
    thread = null;
    for (const one of waiting.values()) one.failed(fault);
    waiting.clear();
  };
  begun.on('error', gone);
  begun.on('exit', () => {
    if (thread === begun) gone(new Error('the solver ended'));
  });
  thread = begun;
  return begun;
}

/** What it found; a time that ran out leaves the best so far, where there is one. */
function readSolved(status: string | undefined, values: NonNullable<Said['at']>): Solved {
  const at = Object.fromEntries(Object.entries(values).map(([name, n]) => [name, n ?? NaN]));
  const whole = Object.values(at).every((n) => Number.isFinite(n));
  if (status === 'Optimal') return { kind: 'proven', at };
  return status === 'Time limit reached' && whole ? { kind: 'found', at } : { kind: 'none', at: {} };
}

/** Solves a programme of whole numbers on its thread; several wait for each other. */
export const solve: Solve = (lp) =>
  new Promise((done, failed) => {
    lastId += 1;
    waiting.set(lastId, { done, failed });
    const on = theThread();
    on.ref();
    on.postMessage({ id: lastId, lp, seconds: mostSeconds });
  });
