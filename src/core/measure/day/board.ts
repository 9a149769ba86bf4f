import type { DayDrop, DayPerson, DayResult, DaySets, DayStaff, DayTest } from '../../shapes/day';
import type { PersonId } from '../../shapes/person';
import type { Call } from './day';
import { openStaff, type CallMade, type DayState } from './dayState';
import { planOn } from './plan';
import { shortened, sittingOf, type DayGuest, type Sat } from './sitting';

/** One of the staff: who is there, and who comes next. */
export interface StationNow {
  readonly staff: string;
  /** Who was called and is not done; `null` while nobody is. */
  readonly now: (CallMade & { readonly open: readonly string[] }) | null;
  /** Next, then: from now, by the rule alone. */
  readonly queue: readonly Call[];
}

export interface Board {
  readonly stations: readonly StationNow[];
  /** What each does today, in the order of those who are here. */
  readonly sittings: ReadonlyMap<PersonId, readonly Sat[]>;
  /** Here, with something left, and at no station. */
  readonly waiting: readonly PersonId[];
  /** Of those who sat too long without being called, the longest first. */
  readonly idle: readonly PersonId[];
  /** To the end of the time there is, the closing not counted; `null` while nothing is planned. */
  readonly leftS: number | null;
  /** Until the last one is done, as it goes now. */
  readonly needsS: number;
  /** What would be left out next. */
  readonly dropNext: DayDrop | null;
  /** Tests nobody here may run. */
  readonly unstaffed: readonly string[];
}

interface Hall {
  readonly guests: readonly DayGuest[];
  readonly results: readonly DayResult[];
  /** With the seconds they take in this hall. */
  readonly tests: readonly DayTest[];
  readonly staff: readonly DayStaff[];
  readonly sets: DaySets;
}

/** The board at a moment: nothing is kept of it, as all of it follows from what was noted and what was measured. */
export function boardAt(state: DayState, hall: Hall, nowWallMs: number): Board {
  const { guests, results, sets } = hall;
  const tests = shortened(hall.tests, state.dropped, sets.drops);
  const sittings = new Map(guests.map((g) => [g.id, sittingOf(g, state, results, tests, sets)]));
  const openOf = (id: PersonId) => (sittings.get(id) ?? []).flatMap((s) => (s.state === 'open' ? [s.test] : []));
  const from = (wallMs: number) => (wallMs - nowWallMs) / 1000;
  const open = openStaff(state);
  const now = goingOn(state, sittings);
  const atStation = new Map(
    open.flatMap((id) => {
      const call = now.get(id);
      return call ? call.people.map((person) => [person, call] as const) : [];
    }),
  );
  const endOf = (call: CallMade & { readonly open: readonly string[] }): number => {
    const takesS = tests
      .filter((t) => call.open.includes(t.id))
      .reduce((sum, t) => sum + t.takesS * (call.people.length > 1 ? t.lanes : 1), 0);
    return Math.max(from(call.wallMs) + takesS, 0);
  };
  const staff = open.flatMap((id): DayStaff[] => {
    const known = hall.staff.find((s) => s.id === id);
    const call = now.get(id);
    return known ? [{ ...known, ...(call ? { busyS: endOf(call) } : {}) }] : [];
  });
  const people = guests.map((guest): DayPerson => {
    const call = atStation.get(guest.id);
    const had = (sittings.get(guest.id) ?? []).flatMap(({ test, endedWallMs }) =>
      endedWallMs === null ? [] : [{ test, endS: from(endedWallMs) }],
    );
    return {
      ...{ id: guest.id, alone: guest.alone, over85: guest.over85 },
      tests: openOf(guest.id).filter((t) => !call?.tests.includes(t)),
      before: call ? [...had, { test: call.tests.at(-1) ?? '', endS: endOf(call) }] : had,
      behind: state.behind.get(guest.id) ?? 0,
      atTheEnd: state.walkIns.has(guest.id),
      friends: state.friends.get(guest.id) ?? [],
    };
  });
  const plan = planOn(people, tests, staff);
  const waiting = guests.flatMap(({ id }) => (openOf(id).length > 0 && !atStation.has(id) ? [id] : []));
  const leftS =
    state.plan && state.beganWallMs !== null
      ? Math.round(from(state.beganWallMs) + 60 * state.plan.minutes - sets.closingS)
      : null;
  return {
    stations: open.map((id) => ({
      ...{ staff: id, now: now.get(id) ?? null },
      queue: plan.calls.filter((c) => c.staff === id),
    })),
    sittings,
    waiting,
    idle: idle(),
    leftS,
    needsS: Math.max(plan.endS, ...staff.map((s) => s.busyS ?? 0), 0),
    dropNext: sets.drops.find((d) => !state.dropped.has(d.id) && saves(d)) ?? null,
    unstaffed: [...new Set(plan.unstaffed)].filter((t) => people.some((p) => p.tests.includes(t))),
  };

  /** Seated since they were last done, or came. */
  function idle(): PersonId[] {
    const soon = new Set(plan.calls.flatMap((c) => (c.startS <= 60 ? c.people : [])));
    const since = (id: PersonId): number =>
      lastOf(sittings.get(id) ?? [])?.endedWallMs ??
      Math.max(state.walkIns.get(id) ?? 0, state.beganWallMs ?? nowWallMs);
    return waiting
      .filter((id) => !soon.has(id) && -from(since(id)) >= sets.seatedTooLongS)
      .sort((a, b) => since(a) - since(b));
  }

  /** Whether leaving it out spares anybody anything that is still open. */
  function saves({ does }: DayDrop): boolean {
    const left = people.flatMap((p) => p.tests);
    return does.kind === 'further'
      ? guests.some((g) => state.also.get(g.id)?.some((t) => openOf(g.id).includes(t)))
      : left.includes(does.test);
  }
}

const lastOf = (sitting: readonly Sat[]): Sat | undefined =>
  [...sitting].filter((s) => s.endedWallMs !== null).sort((a, b) => (b.endedWallMs ?? 0) - (a.endedWallMs ?? 0))[0];

/** By station the newest call of whom somebody is not done; nobody is in two places: the first call of them stands. */
function goingOn(
  state: DayState,
  sittings: ReadonlyMap<PersonId, readonly Sat[]>,
): ReadonlyMap<string, CallMade & { readonly open: readonly string[] }> {
  const now = new Map<string, CallMade & { readonly open: readonly string[] }>();
  const taken = new Set<PersonId>();
  for (const call of newestCalls(state)) {
    const people = call.people.filter((id) => !taken.has(id) && openIn(call, id).length > 0);
    if (people.length === 0) continue;
    for (const id of people) taken.add(id);
    now.set(call.staff, { ...call, people, open: [...new Set(people.flatMap((id) => openIn(call, id)))] });
  }
  return now;

  function openIn(call: CallMade, id: PersonId): string[] {
    return (sittings.get(id) ?? []).flatMap((s) => (s.state === 'open' && call.tests.includes(s.test) ? [s.test] : []));
  }
}

/** The newest of each station, the first made first. */
function newestCalls({ calls }: DayState): CallMade[] {
  const newest = new Map(calls.map((c) => [c.staff, c]));
  return calls.filter((c) => newest.get(c.staff) === c);
}
