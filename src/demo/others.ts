/** Results of the other tests that go with so many stands, with the scatter of real days; all made up. */

type Chance = () => number;

interface Line {
  readonly test: string;
  readonly side?: 'L' | 'R';
  readonly tries?: readonly number[];
  readonly seconds?: Readonly<Record<'sideBySide' | 'semiTandem' | 'tandem' | 'oneLeg', number>>;
  readonly help?: 'none' | 'furniture';
}

const tenth = (n: number): number => Math.round(n * 10) / 10;
const within = (low: number, high: number, n: number): number => Math.min(high, Math.max(low, n));
/** Between -1 and 1, mostly near 0. */
const scatter = (chance: Chance): number => chance() + chance() - 1;

/** The core five but for the stands, taken at every testDay. */
export function coreTests(stands: number, chance: Chance): Line[] {
  const leg = (bias: number) =>
    [0, 1, 2].map(() => tenth(within(0.8, 45, (stands - 7) * 3.1 + 2 + bias + 5 * scatter(chance))));
  const go = 12.4 - 0.42 * stands;
  const held = (s: number) => tenth(within(0, 10, s));
  const bias = 2 * scatter(chance);
  return [
    {
      test: 'four-stage',
      seconds: {
        sideBySide: 10,
        semiTandem: held(stands + 4),
        tandem: held(1.4 * stands - 2 + scatter(chance)),
        oneLeg: stands < 8 ? 0 : held(2 * (stands - 8) + 3 + 2 * scatter(chance)),
      },
    },
    { test: 'one-leg', side: 'L', tries: leg(bias) },
    { test: 'one-leg', side: 'R', tries: leg(-bias) },
    { test: 'up-and-go-8ft', tries: [0, 1].map(() => tenth(within(4, 30, go + 0.5 * scatter(chance)))) },
    { test: 'step-2min', tries: [Math.round(within(10, 130, 26 + 4.6 * stands + 7 * scatter(chance)))] },
  ];
}

/** Some of each other test, taken now and then: which ones is told by a number that differs from person to person. */
export function furtherTests(stands: number, chance: Chance, which: number): Line[] {
  const near = (middle: number, spread: number, digits = tenth) => digits(middle + spread * scatter(chance));
  const two = (middle: number, spread: number) => [near(middle, spread), near(middle, spread)];
  const three = (middle: number, spread: number) => [...two(middle, spread), near(middle, spread)];
  const all: Line[][] = [
    [
      { test: 'five-stands', tries: [near(130 / Math.max(4, stands), 0.8)] },
      { test: 'gait-4m', tries: two(6.1 - 0.16 * stands, 0.3) },
    ],
    [{ test: 'up-and-go-3m', tries: [near(15 - 0.5 * stands, 0.6)] }],
    [{ test: 'reach-forward', tries: three(17 + 1.1 * stands, 2) }],
    [{ test: 'arm-curl', tries: [Math.round(near(stands + 4, 2))] }],
    [{ test: 'sit-reach', tries: two(stands - 9, 4) }],
    [{ test: 'back-scratch', tries: two(0.8 * stands - 14, 4) }],
    [
      { test: 'knee-to-wall', side: 'L', tries: three(7, 1) },
      { test: 'knee-to-wall', side: 'R', tries: three(8.6, 1) },
    ],
    [{ test: 'heel-rise', tries: [Math.round(within(2, 25, near(1.4 * stands, 3)))] }],
    [{ test: 'floor-transfer', tries: [near(16, 4)], help: 'furniture' }],
    [{ test: 'lowest-seat', tries: [Math.round(within(38, 53, 54 - stands))] }],
    [{ test: 'foot-feel', tries: [Math.round(within(3, 6, near(5.4, 0.7)))] }],
    [{ test: 'stand-up-pressure', tries: [Math.round(near(8, 6))] }],
    [{ test: 'thigh-hold', tries: [Math.round(within(5, 45, near(2.2 * stands, 6)))] }],
    [
      { test: 'bridge-one-leg', side: 'L', tries: [Math.round(within(0, 10, near(stands - 8, 2)))] },
      { test: 'bridge-one-leg', side: 'R', tries: [Math.round(within(0, 10, near(stands - 7, 2)))] },
    ],
    [
      { test: 'fan-reach', side: 'L', tries: [Math.round(within(0, 3, near(stands / 5, 1)))] },
      { test: 'fan-reach', side: 'R', tries: [Math.round(within(0, 3, near(stands / 5, 1)))] },
    ],
  ];
  return [...(all[which % all.length] ?? []), ...(all[(which + 5) % all.length] ?? []), ...(all[0] ?? [])];
}

/** A line as the sheet takes it. */
export function asSheetLine(line: Line, personId: string, key: string): object {
  const { test, side = null, tries = [], seconds, help = null } = line;
  const rest = { aid: 'none', outcome: 'done', handsUsed: false, cleanBeforeHands: null };
  return { key, personId, test, side, tries, ...(seconds ? { seconds } : {}), help, ...rest };
}
