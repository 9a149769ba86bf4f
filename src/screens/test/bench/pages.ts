import { newClientKey } from './store';

/**
 * Which page runs which attempt, asked and not guessed: a page that was doubled, put to sleep or closed cannot be told
 * from the clock alone.
 */

/** This page's own name: another one after a reload, and another one in a doubled tab. */
export const thisPage = newClientKey();

const running = new Set<string>();

type Message = { readonly kind: 'who-runs'; readonly key: string } | { readonly kind: 'mine'; readonly key: string };

let channel: BroadcastChannel | undefined;
function pages(): BroadcastChannel {
  if (!channel) {
    channel = new BroadcastChannel('ready-stool-attempts');
    channel.addEventListener('message', ({ data }: MessageEvent<Message>) => {
      if (data.kind === 'who-runs' && running.has(data.key)) pages().postMessage({ kind: 'mine', key: data.key });
    });
  }
  return channel;
}

/** Says from now on that this page runs an attempt; the answer ends it. */
export function runHere(key: string): () => void {
  pages();
  running.add(key);
  return () => {
    running.delete(key);
  };
}

/** So long another page may take to say that it runs an attempt. */
const answerMs = 300;

/** Whether a page, this one or another of this browser, runs an attempt. */
export async function isRun(key: string): Promise<boolean> {
  if (running.has(key)) return true;
  const all = pages();
  return new Promise((answer) => {
    const done = (runs: boolean) => {
      clearTimeout(late);
      all.removeEventListener('message', hear);
      answer(runs);
    };
    const hear = ({ data }: MessageEvent<Message>) => {
      if (data.kind === 'mine' && data.key === key) done(true);
    };
    const late = setTimeout(() => done(false), answerMs);
    all.addEventListener('message', hear);
    all.postMessage({ kind: 'who-runs', key } satisfies Message);
  });
}
