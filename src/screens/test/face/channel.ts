'use client';
import { useEffect } from 'react';

/** What whoever is tested may see of it: name and time, and what came of it at the end; never a count on the way. */
export interface FaceLane {
  readonly letter: string | null;
  readonly name: string;
  /** Go on the wall clock, ms since 1970; `null` while it waits. */
  readonly goWallMs: number | null;
  /** How long from there; `null` where no clock ends it. */
  readonly durationS: number | null;
  /** With its unit, once it is over. */
  readonly result: string | null;
}

/** Who is called where: first letters, and nothing else of anybody. */
export interface FaceStation {
  readonly name: string;
  readonly now: string;
  readonly next: string;
}

/** A test, the signs of the day as they are read to the room, or the board. */
export type FaceNow = { readonly title: string } & (
  | { readonly kind: 'test'; readonly lanes: readonly FaceLane[] }
  | { readonly kind: 'signs'; readonly lines: readonly string[] }
  | { readonly kind: 'board'; readonly stations: readonly FaceStation[] }
);

type Message = { readonly kind: 'now'; readonly now: FaceNow | null } | { readonly kind: 'what' };

/** Pages of one browser, such as a second window turned to the hall. */
const open = (): BroadcastChannel => new BroadcastChannel('ready-stool-face');

/** Shows something on every face, also on one that opens later; the answer ends it. */
export function showOnFaces(now: FaceNow): () => void {
  const channel = open();
  const tell = (shown: FaceNow | null) => channel.postMessage({ kind: 'now', now: shown } satisfies Message);
  channel.addEventListener('message', ({ data }: MessageEvent<Message>) => {
    if (data.kind === 'what') tell(now);
  });
  tell(now);
  return () => {
    tell(null);
    channel.close();
  };
}

/** Shows something on every face for as long as it is on this page. */
export function useFaces(now: FaceNow): void {
  const said = JSON.stringify(now);
  useEffect(() => showOnFaces(JSON.parse(said) as FaceNow), [said]);
}

/** Hears what is shown, from what is on now; the answer ends it. */
export function hearFaces(shown: (now: FaceNow | null) => void): () => void {
  const channel = open();
  channel.addEventListener('message', ({ data }: MessageEvent<Message>) => {
    if (data.kind === 'now') shown(data.now);
  });
  channel.postMessage({ kind: 'what' } satisfies Message);
  return () => channel.close();
}
