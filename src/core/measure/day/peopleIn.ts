import type { DayEvent } from '../../shapes/day';
import type { PersonId } from '../../shapes/person';

/** Whom a note of the day names, each once. */
export function peopleIn(event: DayEvent): PersonId[] {
  if ('people' in event) return [...new Set(event.people)];
  return 'personId' in event && event.personId !== undefined ? [event.personId] : [];
}
