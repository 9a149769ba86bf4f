import { instructor, type DayConditions, type DayEvent, type DayNote } from '../../shapes/day';
import type { PersonId } from '../../shapes/person';

type Of<K extends DayEvent['kind']> = Extract<DayEvent, { kind: K }>;

/** Somebody called to a station, and when. */
export interface CallMade extends Of<'call'> {
  readonly wallMs: number;
}

/** Where a testing day stands, read out of what was noted. */
export interface DayState {
  /** In force; `null` while nothing is planned. */
  readonly plan: Of<'plan'> | null;
  /** When the first plan was made: the hour runs from there. */
  readonly beganWallMs: number | null;
  readonly hall: DayConditions;
  readonly own: ReadonlyMap<PersonId, DayConditions>;
  readonly calls: readonly CallMade[];
  /** So many others are called before them. */
  readonly behind: ReadonlyMap<PersonId, number>;
  readonly paper: ReadonlyMap<PersonId, readonly string[]>;
  readonly also: ReadonlyMap<PersonId, readonly string[]>;
  readonly later: ReadonlyMap<PersonId, readonly string[]>;
  readonly left: ReadonlyMap<PersonId, string>;
  readonly walkIns: ReadonlyMap<PersonId, number>;
  readonly friends: ReadonlyMap<PersonId, readonly PersonId[]>;
  readonly closed: ReadonlySet<string>;
  readonly dropped: ReadonlySet<string>;
  readonly held: boolean;
}

/** As many places back. */
const placesBack = 2;
/** The so-manieth time to the end. */
const toTheEndAt = 3;

/** @param notes of one day, in the order in which they came */
export function dayState(notes: readonly DayNote[]): DayState {
  const own = new Map<PersonId, DayConditions>();
  const behind = new Map<PersonId, number>();
  const times = new Map<PersonId, number>();
  const paper = new Map<PersonId, readonly string[]>();
  const also = new Map<PersonId, readonly string[]>();
  const later = new Map<PersonId, readonly string[]>();
  const left = new Map<PersonId, string>();
  const walkIns = new Map<PersonId, number>();
  const friends = new Map<PersonId, readonly PersonId[]>();
  const closed = new Set<string>();
  const dropped = new Set<string>();
  let calls: CallMade[] = [];
  let [plan, beganWallMs, hall, held]: [Of<'plan'> | null, number | null, DayConditions, boolean] = [
    null,
    null,
    {},
    false,
  ];
  const more = <T>(to: Map<PersonId, readonly T[]>, id: PersonId, what: readonly T[]) =>
    to.set(id, [...new Set([...(to.get(id) ?? []), ...what])]);
  for (const { event, wallMs } of notes)
    switch (event.kind) {
      case 'plan':
        plan = event;
        beganWallMs ??= wallMs;
        break;
      case 'conditions':
        if (event.personId === undefined) hall = { ...hall, ...event.put };
        else own.set(event.personId, { ...own.get(event.personId), ...event.put });
        break;
      case 'call':
        calls.push({ ...event, wallMs });
        for (const id of event.people) behind.delete(id);
        for (const [id, left] of behind) behind.set(id, Math.max(0, left - event.people.length));
        break;
      case 'not-now': {
        const nth = (times.get(event.personId) ?? 0) + 1;
        times.set(event.personId, nth);
        behind.set(event.personId, nth >= toTheEndAt ? Infinity : placesBack);
        // They are at no station any more, whatever they were called to.
        calls = calls.map((c) => ({ ...c, people: c.people.filter((id) => id !== event.personId) }));
        break;
      }
      case 'paper':
        more(paper, event.personId, event.tests);
        break;
      case 'also':
        more(also, event.personId, event.tests);
        break;
      case 'later':
        more(later, event.personId, event.tests);
        break;
      case 'left':
        left.set(event.personId, event.why);
        break;
      case 'back':
        left.delete(event.personId);
        break;
      case 'walk-in':
        if (!walkIns.has(event.personId)) walkIns.set(event.personId, wallMs);
        break;
      case 'together':
        for (const id of event.people)
          more(
            friends,
            id,
            event.people.filter((other) => other !== id),
          );
        break;
      case 'apart':
        for (const id of event.people)
          friends.set(
            id,
            (friends.get(id) ?? []).filter((other) => !event.people.includes(other)),
          );
        break;
      case 'close':
        closed.add(event.staff);
        break;
      case 'open':
        closed.delete(event.staff);
        break;
      case 'drop':
        dropped.add(event.drop);
        break;
      case 'keep':
        dropped.delete(event.drop);
        break;
      case 'hold':
        held = true;
        break;
      case 'let-go':
        held = false;
    }
  return {
    ...{
      plan,
      beganWallMs,
      hall,
      own,
      calls,
      behind,
      paper,
      also,
      later,
      left,
      walkIns,
      friends,
      closed,
      dropped,
      held,
    },
  };
}

/** How somebody is tested today: the hall’s, and what differs for them. */
export const conditionsFor = ({ hall, own }: DayState, id: PersonId): DayConditions => ({ ...hall, ...own.get(id) });

/** Of staff that are there and whose station is open, the instructor first. */
export const openStaff = ({ plan, closed }: DayState): string[] =>
  [...(plan?.staff ?? [])]
    .filter((id) => !closed.has(id))
    .sort((a, b) => Number(b === instructor) - Number(a === instructor));
