import fc from 'fast-check';
import highsLoader from 'highs';
import { beforeAll, describe, expect, test } from 'vitest';
import { seatKinds, suits, type SeatKind, type SeatStock, type Sitter } from './problem';
import { planSeats, seatsAndOver, type SeatPlan, type Solve } from './programme';

let solve: Solve;
beforeAll(async () => {
  const highs = await highsLoader();
  solve = (lp) => {
    const { Status, Columns } = highs.solve(lp, { mip_rel_gap: 0 });
    const at = Object.fromEntries(
      Object.entries(Columns).map(([name, column]) => {
        const primal: unknown = Reflect.get(column, 'Primal');
        return [name, typeof primal === 'number' ? primal : 0];
      }),
    );
    return Promise.resolve({ kind: Status === 'Optimal' ? 'proven' : 'none', at });
  };
});

const chair = (heightCm: number, count: number, more = {}) => ({ heightCm, count, arms: false, stable: true, ...more });
const pad = (thickCm: number, count: number) => ({ thickCm, count });
const sitter = (personId: string, targetCm: number, mostCm = Infinity): Sitter => ({ personId, targetCm, mostCm });
const sitters = (...heights: readonly number[]) => heights.map((cm, i) => sitter(`p${i}`, cm));

/** What a plan used, by name of the thing. */
function used({ seats }: Pick<SeatPlan, 'seats'>): Map<string, number> {
  const all = new Map<string, number>();
  for (const { kind } of seats)
    for (const thing of [`chair ${kind.chairCm} ${kind.arms}`, ...kind.padsCm.map((cm) => `pad ${cm}`)])
      all.set(thing, (all.get(thing) ?? 0) + 1);
  return all;
}
const has = ({ chairs, pads }: SeatStock, thing: string): number =>
  chairs.filter((c) => c.stable && `chair ${c.heightCm} ${c.arms}` === thing).reduce((n, c) => n + c.count, 0) +
  pads.filter((p) => `pad ${p.thickCm}` === thing).reduce((n, p) => n + p.count, 0);

/** Every way to seat them in one wave, tried one by one: most seated, then fewest cm over, then least carried. */
function byBruteForce(people: readonly Sitter[], stock: SeatStock): readonly [number, number, number] {
  const kinds = seatKinds(stock);
  let best: readonly [number, number, number] = [0, 0, 0];
  const better = (a: typeof best) =>
    a[0] !== best[0] ? a[0] > best[0] : a[1] !== best[1] ? a[1] < best[1] : a[2] < best[2];
  const walk = (i: number, taken: readonly SeatKind[], over: number) => {
    const things = used({ seats: taken.map((kind) => ({ kind, people: [] })) });
    if ([...things].some(([thing, n]) => n > has(stock, thing))) return;
    const one = people[i];
    if (!one) {
      const here = [taken.length, over, taken.reduce((n, k) => n + 1 + k.padsCm.length, 0)] as const;
      if (better(here)) best = here;
      return;
    }
    walk(i + 1, taken, over);
    for (const kind of kinds) if (suits(one, kind)) walk(i + 1, [...taken, kind], over + kind.heightCm - one.targetCm);
  };
  walk(0, [], 0);
  return best;
}
const score = ({ seats, overCm, carried }: SeatPlan) =>
  [seats.flatMap((s) => s.people).length, overCm, carried] as const;

const stocks = fc.record({
  chairs: fc.array(
    fc.record({
      heightCm: fc.constantFrom(40, 43, 46, 50),
      count: fc.integer({ min: 0, max: 3 }),
      arms: fc.boolean(),
      stable: fc.constantFrom(true, true, false),
    }),
    { maxLength: 3 },
  ),
  pads: fc.array(fc.record({ thickCm: fc.constantFrom(2, 3, 5), count: fc.integer({ min: 0, max: 3 }) }), {
    maxLength: 2,
  }),
});
const people = (most: number) =>
  fc
    .array(fc.record({ cm: fc.integer({ min: 40, max: 54 }), over: fc.constantFrom(0, 2, Infinity) }), {
      maxLength: most,
    })
    .map((all) => all.map(({ cm, over }, i) => sitter(`p${i}`, cm, cm + over)));

describe('seats for a class', () => {
  test('the worked case: two want 46, one chair of 46 and one of 43 with a pad of 3', async () => {
    const plan = await planSeats(
      sitters(46, 46),
      { chairs: [chair(43, 1), chair(46, 1)], pads: [pad(3, 1)] },
      1,
      solve,
    );
    expect(plan.seats.map((s) => s.kind.id)).toEqual(['46', '43+3']);
    expect([plan.unseated, plan.overCm, plan.carried, plan.proven]).toEqual([[], 0, 3, true]);
  });
  test('who cannot have their height sits a little higher, never lower and never over five centimetres', async () => {
    const stock = { chairs: [chair(46, 1), chair(50, 1), chair(54, 1)], pads: [] };
    const plan = await planSeats(sitters(46, 46, 46), stock, 1, solve);
    expect(plan.seats.map((s) => s.kind.heightCm)).toEqual([46, 50]);
    expect([plan.unseated.length, plan.overCm]).toEqual([1, 4]);
    expect((await planSeats(sitters(51), { chairs: [chair(50, 9)], pads: [] }, 1, solve)).unseated).toEqual(['p0']);
  });
  test('nor higher than their legs are long for; a chair that slides is none; three pads are none', async () => {
    expect((await planSeats([sitter('p', 44, 45)], { chairs: [chair(46, 1)], pads: [] }, 1, solve)).seats).toEqual([]);
    const slides = { chairs: [chair(46, 1, { stable: false })], pads: [] };
    expect((await planSeats(sitters(46), slides, 1, solve)).unseated).toEqual(['p0']);
    const three = { chairs: [chair(40, 1)], pads: [pad(2, 9)] };
    expect((await planSeats(sitters(46), three, 1, solve)).unseated).toEqual(['p0']);
  });
  test('nobody to seat, and nothing to sit on', async () => {
    expect(await planSeats([], { chairs: [chair(46, 2)], pads: [] }, 1, solve)).toMatchObject({
      seats: [],
      proven: true,
    });
    expect(await planSeats(sitters(46), { chairs: [], pads: [] }, 1, solve)).toMatchObject({ unseated: ['p0'] });
  });
  test('in two waves a seat serves two', async () => {
    const stock = { chairs: [chair(46, 2)], pads: [] };
    expect((await planSeats(sitters(46, 46, 46), stock, 1, solve)).unseated).toHaveLength(1);
    const two = await planSeats(sitters(46, 46, 46), stock, 2, solve);
    expect([two.unseated, two.seats.map((s) => s.people.length)]).toEqual([[], [2, 1]]);
  });
  test('as good as every way tried one by one, in small halls', async () => {
    await fc.assert(
      fc.asyncProperty(people(4), stocks, async (all, stock) => {
        const plan = await planSeats(all, stock, 1, solve);
        expect(plan.proven).toBe(true);
        expect(score(plan)).toEqual(byBruteForce(all, stock));
      }),
      { numRuns: 150 },
    );
  });
  test('in halls of 5 to 40: everybody once, nobody under their height, two pads at most, each thing used once', async () => {
    const halls = fc.record({
      chairs: fc.array(
        fc.record({
          heightCm: fc.constantFrom(40, 43, 45, 46, 50),
          count: fc.integer({ min: 1, max: 12 }),
          arms: fc.boolean(),
          stable: fc.constant(true),
        }),
        { minLength: 1, maxLength: 4 },
      ),
      pads: fc.array(fc.record({ thickCm: fc.constantFrom(2, 3, 5), count: fc.integer({ min: 1, max: 8 }) }), {
        maxLength: 3,
      }),
    });
    const many = fc
      .array(fc.integer({ min: 40, max: 56 }), { minLength: 5, maxLength: 40 })
      .map((all) => sitters(...all));
    await fc.assert(
      fc.asyncProperty(many, halls, fc.constantFrom(1 as const, 2 as const), async (all, stock, waves) => {
        const plan = await planSeats(all, stock, waves, solve);
        const seated = plan.seats.flatMap((s) => s.people);
        expect([...seated, ...plan.unseated].sort()).toEqual(all.map((s) => s.personId).sort());
        for (const { kind, people: on } of plan.seats) {
          expect(kind.padsCm.length).toBeLessThanOrEqual(2);
          expect(on.length).toBeGreaterThan(0);
          expect(on.length).toBeLessThanOrEqual(waves);
          for (const id of on) {
            const one = all.find((s) => s.personId === id);
            expect(one && suits(one, kind)).toBe(true);
          }
        }
        for (const [thing, n] of used(plan)) expect(n).toBeLessThanOrEqual(has(stock, thing));
      }),
      { numRuns: 60 },
    );
  });
  test('a solver whose time runs out: the best so far stands and is said to be no more than that; where it found none, the stage before', async () => {
    const stock = { chairs: [chair(43, 2), chair(46, 1)], pads: [pad(3, 1)] };
    const all = sitters(43, 46, 46);
    const sure = await planSeats(all, stock, 1, solve);
    const late: Solve = async (lp) => ({ ...(await solve(lp)), kind: 'found' });
    expect(await planSeats(all, stock, 1, late)).toEqual({ ...sure, proven: false });
    let asked = 0;
    const lastNone: Solve = (lp) => (++asked < 3 ? solve(lp) : Promise.resolve({ kind: 'none', at: {} }));
    const kept = await planSeats(all, stock, 1, lastNone);
    expect([kept.unseated, kept.overCm, kept.proven]).toEqual([sure.unseated, sure.overCm, false]);
    const nothing = await planSeats(all, stock, 1, () => Promise.resolve({ kind: 'none', at: {} }));
    expect([nothing.seats, nothing.unseated.length, nothing.proven]).toEqual([[], 3, false]);
  });
  test('asked without the plan, in one programme, it says the same', async () => {
    await fc.assert(
      fc.asyncProperty(people(30), stocks, async (all, stock) => {
        const { unseated, overCm } = await planSeats(all, stock, 1, solve);
        expect(await seatsAndOver(all, stock, solve)).toEqual({ seated: all.length - unseated.length, overCm });
      }),
      { numRuns: 100 },
    );
  });
  test('one more chair never seats fewer, nor does a second wave', async () => {
    await fc.assert(
      fc.asyncProperty(people(12), stocks, fc.constantFrom(40, 43, 46, 50), async (all, stock, cm) => {
        const seated = async (of: SeatStock, waves: 1 | 2 = 1) => score(await planSeats(all, of, waves, solve))[0];
        const now = await seated(stock);
        expect(await seated({ ...stock, chairs: [...stock.chairs, chair(cm, 1)] })).toBeGreaterThanOrEqual(now);
        expect(await seated(stock, 2)).toBeGreaterThanOrEqual(now);
      }),
      { numRuns: 60 },
    );
  });
});
