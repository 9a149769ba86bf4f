import type { Now } from './now';
import { isOver, type Phase } from './phase';

/** How far one side of somebody is. */
export interface SideState {
  readonly state: Phase;
  readonly now: Pick<Now, 'nth' | 'sinceMs'>;
}

/**
 * Which side comes next where both are tested: the one whose clock runs, else the one with fewer tries behind it, the
 * first of them in a tie, so that the sides take turns.
 * @returns its place; `null` when all are over
 */
export function sideNext(sides: readonly SideState[]): number | null {
  const open = sides.flatMap(({ state, now }, i) => (isOver(state) ? [] : [{ i, ...now }]));
  const running = open.find((s) => s.sinceMs !== null);
  if (running) return running.i;
  return (
    open.reduce<(typeof open)[number] | null>((least, s) => (least && least.nth <= s.nth ? least : s), null)?.i ?? null
  );
}
