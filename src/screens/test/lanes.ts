import { shortNames } from '../../core/math/names';
import { isOver } from '../../core/measure/phase';
import { sideNext } from '../../core/measure/turns';
import type { RunNow } from './bench/useLanes';
import type { StationPerson } from './station';

/** Where somebody is tested: one attempt, or one a side. */
export interface LaneNow {
  /** From 0, as they sit from left to right. */
  readonly place: number;
  readonly name: string;
  /** As it is read across a hall; no two beside each other alike. */
  readonly short: string;
  readonly person: StationPerson | undefined;
  readonly runs: readonly RunNow[];
  /** The attempt that is on or comes next; the last one where all are over. */
  readonly active: RunNow;
  readonly over: boolean;
}

/** Said once where the browser cannot keep the screen on. */
export const sleepsWords = 'This browser may darken the screen by itself: touch it now and then.';

export const laneLetters = ['A', 'B', 'C', 'D'] as const;

/**
 * Attempts as lanes: those of one person stand in one.
 * @param picked which side was asked for of a lane, where its clock does not run
 */
export function asLanes(
  runs: readonly RunNow[],
  people: readonly StationPerson[],
  picked: ReadonlyMap<number, number>,
): LaneNow[] {
  const places = [...new Set(runs.map((r) => r.kept.lane))].sort((a, b) => a - b);
  const own = places.map((lane) => runs.filter((r) => r.kept.lane === lane));
  const names = own.map(([first]) => first?.kept.personName ?? '');
  const short = shortNames(names);
  return own.flatMap((of, place): LaneNow[] => {
    const asked = of[picked.get(place) ?? -1];
    const running = of.some((r) => r.lane.now.sinceMs !== null);
    const next = of[sideNext(of.map(({ lane }) => ({ state: lane.trial.state, now: lane.now }))) ?? -1];
    const active = (!running && asked && !isOver(asked.lane.trial.state) ? asked : next) ?? of.at(-1);
    if (!active) return [];
    const person = people.find((p) => p.id === active.kept.personId);
    // Whoever was stopped is not asked for the other side.
    const stopped = of.some((r) => r.lane.trial.state === 'stopped');
    const over = of.every(({ lane }) => isOver(lane.trial.state) || (stopped && lane.trial.state === 'waiting'));
    return [{ place, name: names[place] ?? '', short: short[place] ?? '', person, runs: of, active, over }];
  });
}
