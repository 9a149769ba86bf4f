import { compareNames } from '../../core/math/names';
import type { StationPerson } from './station';

type Held = (person: StationPerson) => boolean;

/** Those who are due first, those held last, each by name. */
export function byNeed(people: readonly StationPerson[], isHeld: Held): StationPerson[] {
  const rank = (p: StationPerson) => (isHeld(p) ? 2 : p.due || p.lastTestedOn === null ? 0 : 1);
  const ranks = new Map(people.map((p) => [p.id, rank(p)]));
  const of = ({ id }: StationPerson): number => ranks.get(id) ?? 0;
  return [...people].sort((a, b) => of(a) - of(b) || compareNames(a.name, b.name));
}

/**
 * Who sits down next at this station, as many as sat there.
 * @param had those who have been at this test since the page was opened
 */
export function nextUp(
  people: readonly StationPerson[],
  isHeld: Held,
  had: ReadonlySet<string>,
  places: number,
): StationPerson[] {
  return byNeed(
    people.filter((p) => !had.has(p.id) && !isHeld(p)),
    isHeld,
  ).slice(0, places);
}
