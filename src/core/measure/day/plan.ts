import type { DayPerson, DayStaff, DayTest } from '../../shapes/day';
import { leastOf, readyFor, visitsOf, type Call, type DayPlan, type Visit } from './day';

interface Going {
  readonly person: DayPerson;
  readonly visits: readonly Visit[];
  nth: number;
  endS: number;
  begun: boolean;
  behind: number;
  /** When the next may begin, and how long all that is left takes. */
  readyS: number;
  leftS: number;
}

/** Somebody who is ready so soon after is waited for, to fill the second lane. */
const waitForBesideS = 30;
/** A friend who is ready so soon after is called next. */
const waitForFriendS = 120;
/** How far from the soonest start a try may look, seconds. */
const looseS = 90;
const lookedThrough = 2400;

/**
 * Who goes where next, for everybody and all of the staff: whoever can start soonest, of those who has begun, of those who
 * has most left; then as many seeded tries around it as 2,400 allow, of which the best is kept. By count, never by clock:
 * the same question has the same answer on any machine.
 */
export function planDay(people: readonly DayPerson[], tests: readonly DayTest[], staff: readonly DayStaff[]): DayPlan {
  return bestOf(people, tests, staff, people.length === 0 ? 1 : Math.max(1, Math.floor(lookedThrough / people.length)));
}

/**
 * The same by its rule alone, from where the day stands: the board calls by it, as who is next may not jump about
 * whenever somebody is a little faster than planned.
 */
export function planOn(people: readonly DayPerson[], tests: readonly DayTest[], staff: readonly DayStaff[]): DayPlan {
  return bestOf(people, tests, staff, 1);
}

function bestOf(
  people: readonly DayPerson[],
  tests: readonly DayTest[],
  staff: readonly DayStaff[],
  tries: number,
): DayPlan {
  const runs = (test: DayTest) => staff.some((s) => s.may.includes(test.staff));
  const staffed = tests.filter(runs);
  const going = people.map((person) => ({
    person,
    visits: visitsOf(person, staffed),
    before: (person.before ?? []).flatMap(({ test, endS }) =>
      tests.flatMap((t) => (t.id === test ? [{ t, endS }] : [])),
    ),
  }));
  const leastS = leastOf(people, staffed, staff);
  let best: Tried | null = null;
  for (let n = 0; n < tries; n++) {
    const tried = schedule(going, staff, n === 0 ? () => 0 : seeded(n));
    if (!best || better(tried, best)) best = tried;
    // Nothing ends sooner, and nobody waits.
    if (best.longestWaitS === 0 && best.endS <= leastS) break;
  }
  const { calls, endS, longestWaitS } = best ?? { calls: [], endS: 0, longestWaitS: 0 };
  return {
    calls: [...calls].sort((a, b) => a.startS - b.startS || a.staff.localeCompare(b.staff)),
    ...{ endS, longestWaitS, leastS },
    unstaffed: tests.filter((t) => !runs(t)).map((t) => t.id),
  };
}

/** What somebody did before, and when it ended. */
interface Had {
  readonly t: DayTest;
  readonly endS: number;
}

interface Tried {
  readonly calls: readonly Call[];
  readonly endS: number;
  readonly longestWaitS: number;
  readonly waitedS: number;
}

const better = (a: Tried, b: Tried): boolean =>
  a.endS !== b.endS
    ? a.endS < b.endS
    : a.longestWaitS !== b.longestWaitS
      ? a.longestWaitS < b.longestWaitS
      : a.waitedS < b.waitedS;

function schedule(
  all: readonly {
    readonly person: DayPerson;
    readonly visits: readonly Visit[];
    readonly before: readonly Had[];
  }[],
  staff: readonly DayStaff[],
  chance: () => number,
): Tried {
  const going = all.map(({ person, visits, before }): Going => {
    const leftS = visits.reduce((sum, v) => sum + v.takesS, 0);
    const endS = Math.max(...before.map((had) => had.endS));
    const [first] = visits;
    const rested = first ? before.map((had) => readyFor(person, { tests: [had.t] }, had.endS, first)) : [Infinity];
    const readyS = Math.max(0, ...rested);
    return { person, visits, nth: 0, endS, begun: before.length > 0, behind: person.behind ?? 0, readyS, leftS };
  });
  const freeS = staff.map((s) => s.busyS ?? 0);
  const lastAt: (readonly Going[])[] = staff.map(() => []);
  const calls: Call[] = [];
  let longestWaitS = 0;
  let waitedS = 0;
  for (;;) {
    const next = soonest(going, staff, freeS, lastAt, chance);
    if (!next) break;
    const { at, visit, startS: fromS } = next;
    const beside = besides(next.one, visit, fromS, going);
    const called = [next.one, ...beside];
    const startS = Math.max(fromS, ...beside.map((one) => one.readyS));
    const endS = startS + visit.takesS;
    for (const one of going)
      if (one.behind > 0 && !called.includes(one)) one.behind = Math.max(0, one.behind - called.length);
    for (const one of called) {
      if (one.begun) {
        const waitS = startS - one.endS;
        longestWaitS = Math.max(longestWaitS, waitS);
        waitedS += waitS;
      }
      one.nth++;
      one.begun = true;
      one.behind = 0;
      one.endS = endS;
      one.readyS = readyAfter(one.person, one.visits, one.nth, endS);
      one.leftS -= visit.takesS;
    }
    freeS[at] = endS;
    lastAt[at] = called;
    calls.push({
      staff: staff[at]?.id ?? '',
      people: called.map((one) => one.person.id),
      tests: visit.tests.map((t) => t.id),
      ...{ startS, endS },
    });
  }
  return { calls, endS: Math.max(0, ...freeS), longestWaitS, waitedS };
}

function readyAfter(person: DayPerson, visits: readonly Visit[], nth: number, endS: number): number {
  const next = visits[nth];
  return next ? readyFor(person, visits[nth - 1], endS, next) : Infinity;
}

interface Next {
  readonly one: Going;
  readonly visit: Visit;
  readonly at: number;
  readonly startS: number;
}

type Found = Next & { readonly key: number };

/** Who starts where next; by chance somebody who could start a little later. */
function soonest(
  going: readonly Going[],
  staff: readonly DayStaff[],
  freeS: readonly number[],
  lastAt: readonly (readonly Going[])[],
  chance: () => number,
): Next | null {
  const first = { instructor: freest('instructor'), spots: freest('spots'), counts: freest('counts') };
  // Who came unplanned, or was called and it was not the moment, waits for the others.
  let best: (Found & { readonly waits: number }) | null = null;
  for (const one of going) {
    const visit = one.visits[one.nth];
    const at = visit ? first[visit.staff] : -1;
    if (!visit || at < 0) continue;
    const startS = Math.max(freeS[at] ?? 0, one.readyS);
    const beside =
      lastAt[at]?.some((other) => isFriend(one, other, visit)) && startS <= (freeS[at] ?? 0) + waitForFriendS;
    const key = beside ? (freeS[at] ?? 0) - 1 : startS + looseS * chance();
    const waits = (one.person.atTheEnd ? 2 : 0) + (one.behind > 0 ? 1 : 0);
    const found = { one, visit, at, startS, key, waits };
    if (!best || waits < best.waits || (waits === best.waits && sooner(found, best))) best = found;
  }
  return best;

  /** Of those who may the first that is free; of several the one who may least, so that the others stay free for more. */
  function freest(kind: DayStaff['may'][number]): number {
    let found = -1;
    for (const [at, { may }] of staff.entries()) {
      if (!may.includes(kind)) continue;
      const [now, then] = [freeS[at] ?? 0, freeS[found] ?? Infinity];
      if (now < then || (now === then && may.length < (staff[found]?.may.length ?? 0))) found = at;
    }
    return found;
  }
}

const sooner = (a: Found, b: Found): boolean =>
  a.key !== b.key ? a.key < b.key : a.one.begun !== b.one.begun ? a.one.begun : a.one.leftS > b.one.leftS;

/** They like to go together, and the other was just called for the same. */
function isFriend(one: Going, other: Going, visit: Visit): boolean {
  const had = other.visits[other.nth - 1];
  return had?.tests[0] === visit.tests[0] && one.person.friends?.includes(other.person.id) === true;
}

/** Whoever is ready for the same test and may stand beside them, friends first, then the soonest. */
function besides(first: Going, visit: Visit, startS: number, going: readonly Going[]): Going[] {
  if (visit.lanes === 1) return [];
  const same = (one: Going): boolean => {
    const next = one.visits[one.nth];
    const waits = one.behind > 0 || (one.person.atTheEnd === true && first.person.atTheEnd !== true);
    return one !== first && !waits && next?.lanes === visit.lanes && next.tests[0] === visit.tests[0];
  };
  const friend = (one: Going): number => (one.person.friends?.includes(first.person.id) ? 0 : 1);
  return going
    .filter((one) => one.readyS <= startS + waitForBesideS && same(one))
    .sort((a, b) => friend(a) - friend(b) || a.readyS - b.readyS)
    .slice(0, visit.lanes - 1);
}

/** Numbers from 0 to 1 that look like chance and are the same each time: a linear congruence. @see Numerical Recipes */
function seeded(seed: number): () => number {
  let state = (seed * 2654435761) >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}
