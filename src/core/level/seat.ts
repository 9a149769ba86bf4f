import type { Kit } from '../shapes/facts';

export interface SeatBuild {
  readonly heightCm: number;
  /** Chair first, then pads: `["chair 43", "pad 3"]`. */
  readonly from: readonly string[];
}

interface Candidate extends SeatBuild {
  readonly pads: readonly number[];
}

/** Every seat that a chair with at most two pads makes, lowest first; of equal heights fewest pads, then thinnest. */
export function seatHeights(kit: Kit): readonly SeatBuild[] {
  const known = built.get(kit);
  if (known) return known;
  const heights = buildAll(kit);
  built.set(kit, heights);
  return heights;
}

/** Worked out once a kit. */
const built = new WeakMap<Kit, readonly SeatBuild[]>();

function buildAll(kit: Kit): SeatBuild[] {
  const stacks: number[][] = [[]];
  kit.padsCm.forEach((pad, i) => {
    stacks.push([pad], ...kit.padsCm.slice(i + 1).map((other) => [pad, other]));
  });
  const all: Candidate[] = kit.chairs.flatMap((chair) =>
    stacks.map((stack) => {
      const pads = [...stack].sort((a, b) => b - a);
      return {
        heightCm: chair.heightCm + pads.reduce((sum, pad) => sum + pad, 0),
        from: [`chair ${chair.heightCm}`, ...pads.map((pad) => `pad ${pad}`)],
        pads,
      };
    }),
  );
  all.sort((a, b) => a.heightCm - b.heightCm || a.pads.length - b.pads.length || total(a) - total(b));
  const heights = new Map<number, SeatBuild>();
  for (const { heightCm, from } of all) if (!heights.has(heightCm)) heights.set(heightCm, { heightCm, from });
  return [...heights.values()];
}

function total({ pads }: Candidate): number {
  return pads.reduce((sum, pad) => sum + pad, 0);
}

export type SeatAnswer =
  | { readonly kind: 'built'; readonly seat: SeatBuild }
  /** Nothing in the kit is as high as wished; `missing` says what would do. */
  | { readonly kind: 'missing'; readonly wishCm: number; readonly missing: string };

/** The lowest seat of the kit at or above the wish. */
export function seatAtLeast(kit: Kit, wishCm: number): SeatAnswer {
  const all = seatHeights(kit);
  const seat = all.find((s) => s.heightCm >= wishCm);
  if (seat) return { kind: 'built', seat };
  const highest = all.at(-1);
  const missing = highest
    ? `a seat of ${wishCm} cm: the highest that can be built here is ${highest.heightCm} cm (${highest.from.join(' + ')})`
    : `a chair that makes ${wishCm} cm: no chair is listed`;
  return { kind: 'missing', wishCm, missing };
}
