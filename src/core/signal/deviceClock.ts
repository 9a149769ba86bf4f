/** Where the clock of a device stands against that of the page. */
export interface DeviceClock {
  readonly boot: string;
  /** How far the page was ahead of the device at each arrival of the last minute: what a batch took on its way, and more. */
  readonly leads: readonly { readonly atMs: number; readonly leadMs: number }[];
  /** The latest the device ever said, on its own clock. */
  readonly lastMs: number;
}

/** The quickest of so long tells the clocks apart best, and a crystal drifts little in it. */
const rememberedMs = 60_000;

/**
 * Takes an arrival.
 * @param sentMs on the clock of the device
 * @param arrivedMs on the axis of the page
 * @returns `anew` where the device was switched on again or its clock went back: nothing heard before fits any more
 */
export function arrive(
  clock: DeviceClock | null,
  boot: string,
  sentMs: number,
  arrivedMs: number,
): { readonly clock: DeviceClock; readonly anew: boolean } {
  const same = clock?.boot === boot && sentMs >= clock.lastMs;
  const before = same ? clock.leads.filter((l) => l.atMs > arrivedMs - rememberedMs) : [];
  return {
    clock: { boot, leads: [...before, { atMs: arrivedMs, leadMs: arrivedMs - sentMs }], lastMs: sentMs },
    anew: clock !== null && !same,
  };
}

/** What is added to the clock of the device to be on the axis of the page: the least lead, as nothing arrives early. */
export const offsetMs = ({ leads }: DeviceClock): number => Math.min(...leads.map((l) => l.leadMs));
