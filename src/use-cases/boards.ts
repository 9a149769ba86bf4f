import type { IsoDate } from '../core/shapes/facts';

/** A board that has not asked for so long is gone. */
const goneAfterMs = 15_000;

/** Boards that are open now, by who they say they are; nothing of it is kept. Shared by all parts of one server. */
const shared = globalThis as typeof globalThis & { readyStoolBoards?: Map<string, { day: IsoDate; atMs: number }> };
const open = (shared.readyStoolBoards ??= new Map<string, { day: IsoDate; atMs: number }>());

/** How many other boards are open on a day besides the one that asks. */
export function boardsOn(day: IsoDate, asking: string | null, nowMs: number): number {
  if (asking !== null) open.set(asking.slice(0, 64), { day, atMs: nowMs });
  for (const [board, { atMs }] of open) if (nowMs - atMs > goneAfterMs) open.delete(board);
  return [...open].filter(([board, seen]) => board !== asking && seen.day === day).length;
}
