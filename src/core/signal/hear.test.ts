import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { DeviceEvent, DeviceNews } from '../shapes/device';
import { dueMs, isSilent, listen, newEar, pass, type DeviceRep, type Ear } from './hear';

type Said = readonly [ms: number, kind: DeviceEvent['kind']];
const events = (...said: readonly Said[]): DeviceEvent[] => said.map(([ms, kind], n) => ({ n, ms, kind }));
const news = (all: readonly DeviceEvent[], more: Partial<DeviceNews> = {}): DeviceNews => ({
  ...{ device: 'seat-1', boot: 'b1', sentMs: Math.max(...all.map((e) => e.ms)), ageMs: 0, events: all },
  ...more,
});

/** Hears each event as it is said, `wayMs` later, on a page that is `leadMs` ahead; lets time pass between. */
function hearAll(
  all: readonly DeviceEvent[],
  leadMs = 1000,
  wayMs: (n: number) => number = () => 5,
  device = 'seat-1',
) {
  let ear: Ear = newEar;
  const reps: DeviceRep[] = [];
  const take = (said: { readonly ear: Ear; readonly reps: readonly DeviceRep[] }) => {
    ear = said.ear;
    reps.push(...said.reps);
  };
  for (const event of all) {
    const at = event.ms + leadMs + wayMs(event.n);
    for (let due = dueMs(ear); due !== null && due <= at; due = dueMs(ear)) take(pass(ear, due));
    take(listen(ear, news([event], { device, sentMs: event.ms }), at));
  }
  const due = dueMs(ear);
  if (due !== null) take(pass(ear, due));
  return { ear, times: reps.map((r) => Math.round(r.tMs - leadMs)), reps };
}
const stands = (...said: readonly Said[]) => hearAll(events(...said)).times.map((t) => t - 5);

describe('a seat switch', () => {
  test('a stand is off the seat for 400 ms after 250 ms on it, stamped when it was one', () => {
    expect(stands([0, 'down'], [1000, 'up'], [2000, 'down'], [3000, 'up'], [3900, 'down'])).toEqual([1400, 3400]);
  });
  test('off for less is a shift on the seat, on for less is no seat between two stands', () => {
    expect(stands([0, 'down'], [1000, 'up'], [1390, 'down'], [2000, 'alive'])).toEqual([]);
    expect(stands([0, 'down'], [1000, 'up'], [2000, 'down'], [2240, 'up'], [3500, 'down'])).toEqual([1400]);
  });
  test('an edge that does not hold 80 ms is a bounce: the one that holds is the time', () => {
    expect(
      stands([0, 'down'], [1000, 'up'], [1030, 'down'], [1070, 'up'], [2000, 'down'], [2020, 'up'], [2079, 'down']),
    ).toEqual([1470]);
    expect(stands([0, 'down'], [1000, 'up'], [1200, 'down'], [1279, 'up'], [2200, 'down'])).toEqual([1400]);
  });
  test('told twice it is once', () => {
    expect(stands([0, 'down'], [0, 'down'], [1000, 'up'], [1070, 'up'], [2000, 'down'], [2000, 'down'])).toEqual([
      1400,
    ]);
  });
  test('nobody stands up twice within 700 ms', () => {
    expect(stands([0, 'down'], [300, 'up'], [720, 'down'], [980, 'up'], [1500, 'down'])).toEqual([700]);
  });
  test('a last stand is told by the time alone, without another word', () => {
    expect(stands([0, 'down'], [1000, 'up'])).toEqual([1400]);
  });
  test('one who sat before anybody listened has sat', () => {
    expect(stands([1000, 'up'], [1800, 'down'])).toEqual([1400]);
  });
});

test('a step is one in 300 ms', () => {
  const steps = events([0, 'step'], [299, 'step'], [300, 'step'], [900, 'step']);
  expect(hearAll(steps, 0, () => 0, 'steps-1').times).toEqual([0, 300, 900]);
});

describe('clocks', () => {
  test('of arrivals that took 3 to 300 ms the quickest tells the clocks apart, so that stamps err by no more than it took', () => {
    const all = events(...Array.from({ length: 40 }, (_, i): Said => [i * 500, i % 4 === 2 ? 'up' : 'down']));
    const { times } = hearAll(all, 123_456, (n) => 3 + ((n * 97) % 297));
    expect(times.length).toBeGreaterThan(5);
    for (const [i, t] of times.entries()) {
      const real = 1000 + 2000 * i + 400;
      expect(t - real).toBeGreaterThanOrEqual(3);
      expect(t - real).toBeLessThan(60);
    }
  });
  test('switched on again, or its clock gone back, it is heard anew, and that is said', () => {
    const first = listen(newEar, news(events([0, 'down'], [5000, 'alive'])), 10_000);
    expect(first.anew).toBe(false);
    expect(listen(first.ear, news([{ n: 2, ms: 100, kind: 'up' }]), 11_000).anew).toBe(true);
    const again = listen(first.ear, news(events([0, 'down']), { boot: 'b2' }), 11_000);
    expect([again.anew, again.ear.known.size]).toEqual([true, 1]);
  });
  test('what is told again is nothing new, nor a sign of life; two seconds without one is silent', () => {
    const batch = news(events([0, 'down'], [1000, 'up'], [2000, 'down']));
    const first = listen(newEar, batch, 5000);
    expect(first.reps.map((r) => r.n)).toEqual([1]);
    const second = listen(first.ear, { ...batch, ageMs: 700 }, 5700);
    expect([second.reps, second.anew]).toEqual([[], false]);
    expect([isSilent(second.ear, 7000), isSilent(second.ear, 7001)]).toEqual([false, true]);
  });
});

test('in whatever batches it arrives, the same stands are told', () => {
  const edge = fc.record({ gap: fc.integer({ min: 1, max: 1500 }), kind: fc.constantFrom('up', 'down', 'alive') });
  fc.assert(
    fc.property(
      fc.array(edge, { maxLength: 40 }),
      fc.array(fc.integer({ min: 1, max: 5 }), { minLength: 1 }),
      (gaps, sizes) => {
        const at = gaps.map((_, i) => gaps.slice(0, i + 1).reduce((sum, g) => sum + g.gap, 0));
        const all = gaps.map(({ kind }, n) => ({ n, ms: at[n] ?? 0, kind: kind }));
        const one = hearAll(all, 0, () => 0).reps.map((r) => r.n);
        let ear: Ear = newEar;
        const told: number[] = [];
        for (let from = 0, k = 0; from < all.length; k++) {
          const part = all.slice(from, from + (sizes[k % sizes.length] ?? 1));
          from += part.length;
          const said = listen(ear, news(part), part.at(-1)?.ms ?? 0);
          ear = said.ear;
          told.push(...said.reps.map((r) => r.n));
        }
        const last = pass(ear, Infinity);
        expect([...told, ...last.reps.map((r) => r.n)]).toEqual(one);
      },
    ),
  );
});
