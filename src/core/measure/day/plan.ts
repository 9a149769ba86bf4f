import type { DayPerson, DayStaff, DayTest } from '../../shapes/day';
import { leastOf, readyFor, visitsOf, type Call, type DayPlan, type Visit } from './day';

interface Going {
  readonly person: DayPerson;
  readonly visits: readonly Visit[];
  nth: number;
  endS: number;
  /** When the next may begin, and how long all that is left takes. */
  readyS: number;
  leftS: number;
}

/** Somebody who is ready so soon after is waited for, to fill the second lane. */
const waitForBesideS = 30;
/** How far from the soonest start a try may look, seconds. */
const looseS = 90;
const lookedThrough = 2400;

/**
 * Who goes where next, for everybody and all of the staff: whoever can start soonest, of those who has begun, of those who
 * has most left; then as many seeded tries around it as 2,400 allow, of which the best is kept. By count, never by clock:
 * the same question has the same answer on any machine.
 */
export function planDay(people: readonly DayPerson[], tests: readonly DayTest[], staff: readonly DayStaff[]): DayPlan {
  const runs = (test: DayTest) => staff.some((s) => s.may.includes(test.staff));
  const staffed = tests.filter(runs);
  const going = people.map((person) => ({ person, visits: visitsOf(person, staffed) }));
  const tries = people.length === 0 ? 1 : Math.max(1, Math.floor(lookedThrough / people.length));
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
  all: readonly { readonly person: DayPerson; readonly visits: readonly Visit[] }[],
  staff: readonly DayStaff[],
  chance: () => number,
): Tried {
  const going = all.map((one): Going => {
    const leftS = one.visits.reduce((sum, v) => sum + v.takesS, 0);
    return { ...one, nth: 0, endS: 0, readyS: readyAfter(one.person, one.visits, 0, 0), leftS };
  });
  const freeS = staff.map(() => 0);
  const calls: Call[] = [];
  let longestWaitS = 0;
  let waitedS = 0;
  for (;;) {
    const next = soonest(going, staff, freeS, chance);
    if (!next) break;
    const { at, visit, startS: fromS } = next;
    const beside = besides(next.one, visit, fromS, going);
    const called = [next.one, ...beside];
    const startS = Math.max(fromS, ...beside.map((one) => one.readyS));
    const endS = startS + visit.takesS;
    for (const one of called) {
      if (one.nth > 0) {
        const waitS = startS - one.endS;
        longestWaitS = Math.max(longestWaitS, waitS);
        waitedS += waitS;
      }
      one.nth++;
      one.endS = endS;
      one.readyS = readyAfter(one.person, one.visits, one.nth, endS);
      one.leftS -= visit.takesS;
    }
    freeS[at] = endS;
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

/** Who starts where next; by chance somebody who could start a little later. */
function soonest(
  going: readonly Going[],
  staff: readonly DayStaff[],
  freeS: readonly number[],
  chance: () => number,
): Next | null {
  const first = { instructor: freest('instructor'), spots: freest('spots'), counts: freest('counts') };
  let best: (Next & { readonly key: number; readonly begun: number }) | null = null;
  for (const one of going) {
    const visit = one.visits[one.nth];
    const at = visit ? first[visit.staff] : -1;
    if (!visit || at < 0) continue;
    const startS = Math.max(freeS[at] ?? 0, one.readyS);
    const key = startS + looseS * chance();
    const begun = one.nth > 0 ? 0 : 1;
    const sooner =
      !best ||
      key < best.key ||
      (key === best.key && (begun < best.begun || (begun === best.begun && one.leftS > best.one.leftS)));
    if (sooner) best = { one, visit, at, startS, key, begun };
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

/** Whoever is ready for the same test and may stand beside them, soonest first. */
function besides(first: Going, visit: Visit, startS: number, going: readonly Going[]): Going[] {
  if (visit.lanes === 1) return [];
  const same = (one: Going): boolean => {
    const next = one.visits[one.nth];
    return one !== first && next?.lanes === visit.lanes && next.tests[0] === visit.tests[0];
  };
  return going
    .filter((one) => one.readyS <= startS + waitForBesideS && same(one))
    .sort((a, b) => a.readyS - b.readyS)
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
