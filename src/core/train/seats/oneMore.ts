import { groupsOf, mostOverCm, stockOf, type SeatStock, type Sitter } from './problem';
import { planSeats, type SeatPlan, type Solve } from './programme';

/** The one thing that would seat more people at their height. */
export interface OneMore {
  readonly what: 'chair' | 'pad';
  readonly cm: number;
  /** How many more it seats, and how many centimetres fewer all sit too high. */
  readonly seats: number;
  readonly fewerCm: number;
}

const seated = ({ seats }: SeatPlan): number => seats.reduce((sum, s) => sum + s.people.length, 0);

/**
 * Of every chair that is somebody's height, and every pad that makes one, the one that seats most; of equals the one with the
 * fewest centimetres over, then a pad before a chair. `null` where nothing helps.
 */
export async function oneMore(
  sitters: readonly Sitter[],
  stock: SeatStock,
  now: SeatPlan,
  solve: Solve,
): Promise<OneMore | null> {
  const heights = [...new Set(groupsOf(sitters).map((g) => g.targetCm))];
  const chairs = stockOf(stock).chairs.map((c) => c.chairCm);
  const pads = [...new Set(heights.flatMap((h) => chairs.map((c) => h - c)))].filter(
    (cm) => cm > 0 && cm <= 2 * mostOverCm,
  );
  const tried = await Promise.all(
    [...pads.map((cm) => ['pad', cm] as const), ...heights.map((cm) => ['chair', cm] as const)].map(
      async ([what, cm]): Promise<OneMore> => {
        const more =
          what === 'chair'
            ? { ...stock, chairs: [...stock.chairs, { heightCm: cm, arms: false, stable: true, count: 1 }] }
            : { ...stock, pads: [...stock.pads, { thickCm: cm, count: 1 }] };
        const plan = await planSeats(sitters, more, now.waves, solve);
        return { what, cm, seats: seated(plan) - seated(now), fewerCm: now.overCm - plan.overCm };
      },
    ),
  );
  const best = tried
    .filter((t) => t.seats > 0 || (t.seats === 0 && t.fewerCm > 0))
    .sort(
      (a, b) =>
        b.seats - a.seats || b.fewerCm - a.fewerCm || (a.what === b.what ? a.cm - b.cm : a.what === 'pad' ? -1 : 1),
    );
  return best[0] ?? null;
}
