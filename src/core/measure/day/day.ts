import type { DayPerson, DayStaff, DayTest } from '../../shapes/day';
import type { Station } from '../../shapes/protocol';
import { restS } from './rests';

/** One call: these people, to this one of the staff, for these tests one after the other. Seconds from the start. */
export interface Call {
  readonly staff: string;
  readonly people: readonly string[];
  readonly tests: readonly string[];
  readonly startS: number;
  readonly endS: number;
}

export interface DayPlan {
  /** By their start. */
  readonly calls: readonly Call[];
  readonly endS: number;
  /** From the end of one test to the call for the next, the longest of anybody. */
  readonly longestWaitS: number;
  /** No plan ends sooner: the work over the staff, or what the longest person needs with rests. */
  readonly leastS: number;
  /** Tests that nobody here may run. */
  readonly unstaffed: readonly string[];
}

/** What one person does at one go: a test, or the balances, which are one visit with the same spotter on the same spot. */
export interface Visit {
  readonly tests: readonly DayTest[];
  readonly staff: Station['staff'];
  readonly lanes: number;
  readonly takesS: number;
}

const balance = (test: DayTest): boolean => (test.group === 1 || test.group === 2) && test.staff === 'spots';

/** The group, or just behind what it comes after. */
const rankIn =
  (tests: readonly DayTest[]) =>
  ({ group, after = [] }: DayTest): number =>
    Math.max(group, ...tests.flatMap((t) => (after.includes(t.id) ? [t.group + 0.5] : [])));

/** What somebody does today, in order: seated, balance, range, strength, speed, endurance, the floor. */
export function visitsOf(person: DayPerson, tests: readonly DayTest[]): Visit[] {
  const own = tests.filter((t) => person.tests.includes(t.id));
  const rank = rankIn(own);
  const ordered = [...own].sort((a, b) => rank(a) - rank(b));
  const balances = ordered.filter(balance);
  const visits: Visit[] = [];
  for (const test of ordered) {
    if (balance(test)) {
      if (test === balances[0]) visits.push(visit(balances, 1));
    } else visits.push(visit([test], person.alone ? 1 : test.lanes));
  }
  return visits;
}

const visit = (tests: readonly DayTest[], lanes: number): Visit => ({
  ...{ tests, lanes, staff: tests[0]?.staff ?? 'instructor' },
  // Two lanes side by side take as long as both people one after the other would by their share.
  takesS: tests.reduce((sum, t) => sum + t.takesS * t.lanes, 0),
});

/** When somebody may begin their next visit. */
export function readyFor(
  person: DayPerson,
  before: Pick<Visit, 'tests'> | undefined,
  endS: number,
  next: Visit,
): number {
  const [last, first] = [before?.tests.at(-1), next.tests[0]];
  return last && first ? endS + restS(last, first, person) : 0;
}

/** Nobody can be faster than this, whatever the order. */
export function leastOf(people: readonly DayPerson[], tests: readonly DayTest[], staff: readonly DayStaff[]): number {
  const all = people.map((person) => ({ person, visits: visitsOf(person, tests) }));
  const alone = all.map(({ person, visits }) =>
    visits.reduce((endS, next, i) => readyFor(person, visits[i - 1], endS, next) + next.takesS, 0),
  );
  // What only some of the staff may run is shared by them alone.
  const kinds: readonly (readonly Station['staff'][])[] = [
    ['instructor'],
    ['instructor', 'spots'],
    ['instructor', 'spots', 'counts'],
  ];
  const shared = kinds.map((kind) => {
    const hands = staff.filter((s) => s.may.some((m) => kind.includes(m))).length;
    const work = all.flatMap(({ visits }) => visits.filter((v) => kind.includes(v.staff)));
    return hands === 0 ? 0 : work.reduce((sum, v) => sum + v.takesS / v.lanes, 0) / hands;
  });
  return Math.max(0, ...alone, ...shared);
}
