import type { Ladder, Rung } from '../shapes/ladder';
import type { Hazard } from '../shapes/protocol';

/** What to mind where a rung is done: on the floor, on one leg, or with a foot that slides. */
export function hazardsOf(rung: Pick<Rung, 'floor' | 'stance' | 'slides'>): Hazard[] {
  return [
    ...(rung.floor ? (['floor'] as const) : []),
    ...(rung.stance === 'one-leg' ? (['one-leg'] as const) : []),
    ...(rung.slides ? (['slide'] as const) : []),
  ];
}

/** Those of the rung a level stands on. */
export const hazardsAt = (ladder: Ladder, rung: number): Hazard[] =>
  ladder.rungs.filter((r) => r.rung === rung).flatMap(hazardsOf);
