import type { PersonId } from '../../shapes/person';
import type { Cupboard } from '../../shapes/person';

/** Somebody who needs a seat of a height; cm. */
export interface Sitter {
  readonly personId: PersonId;
  /** Their level: never lower. */
  readonly targetCm: number;
  /** As high as their legs are long for; `Infinity` where nobody knows. */
  readonly mostCm: number;
}

/** One way to build a seat: a firm chair and at most two pads. */
export interface SeatKind {
  /** `43`, `43+5+3`. */
  readonly id: string;
  readonly chairCm: number;
  readonly arms: boolean;
  /** Thickest first. */
  readonly padsCm: readonly number[];
  readonly heightCm: number;
}

/** Whoever cannot have their height sits at most so much higher. House rule: common practice, no published source. */
export const mostOverCm = 5;

/** What a seat is built from: what stands firm, by height. */
export type SeatStock = Pick<Cupboard, 'chairs' | 'pads'>;

/** Firm chairs by height and arms, and pads by thickness, each once with how many there are; lowest first. */
export function stockOf({ chairs, pads }: SeatStock) {
  const firm = new Map<string, { chairCm: number; arms: boolean; count: number }>();
  for (const { heightCm, arms, stable, count } of chairs) {
    if (!stable || count < 1) continue;
    const key = chairKey(heightCm, arms);
    firm.set(key, { chairCm: heightCm, arms, count: (firm.get(key)?.count ?? 0) + count });
  }
  const thick = new Map<number, number>();
  for (const { thickCm, count } of pads) if (count > 0) thick.set(thickCm, (thick.get(thickCm) ?? 0) + count);
  return {
    chairs: [...firm.values()].sort((a, b) => a.chairCm - b.chairCm || Number(a.arms) - Number(b.arms)),
    pads: [...thick].map(([thickCm, count]) => ({ thickCm, count })).sort((a, b) => a.thickCm - b.thickCm),
  };
}

export const chairKey = (chairCm: number, arms: boolean): string => `${chairCm}${arms ? 'a' : ''}`;

/** Every seat that the stock makes with at most two pads, lowest first; of equal heights fewest pads. */
export function seatKinds(stock: SeatStock): SeatKind[] {
  const { chairs, pads } = stockOf(stock);
  const stacks: readonly (readonly number[])[] = [
    [],
    ...pads.map((p) => [p.thickCm]),
    ...pads.flatMap((p, i) => pads.slice(i).flatMap((q) => (p === q && p.count < 2 ? [] : [[q.thickCm, p.thickCm]]))),
  ];
  return chairs
    .flatMap(({ chairCm, arms }) =>
      stacks.map((padsCm): SeatKind => ({
        ...{ id: [chairKey(chairCm, arms), ...padsCm].join('+'), chairCm, arms, padsCm },
        heightCm: chairCm + padsCm.reduce((sum, cm) => sum + cm, 0),
      })),
    )
    .sort((a, b) => a.heightCm - b.heightCm || a.padsCm.length - b.padsCm.length);
}

/** Whether a seat is one for somebody: at their height or a little over, and not too high for their legs. */
export const suits = ({ targetCm, mostCm }: Sitter, { heightCm }: SeatKind): boolean =>
  heightCm >= targetCm && heightCm <= Math.min(targetCm + mostOverCm, Math.max(mostCm, targetCm));

/** People whom the same seats suit. */
export interface SitterGroup {
  readonly targetCm: number;
  readonly mostCm: number;
  readonly people: readonly PersonId[];
}

export function groupsOf(sitters: readonly Sitter[]): SitterGroup[] {
  const groups = new Map<string, { targetCm: number; mostCm: number; people: PersonId[] }>();
  for (const { personId, targetCm, mostCm } of sitters) {
    const top = Math.min(targetCm + mostOverCm, Math.max(mostCm, targetCm));
    const key = `${targetCm} ${top}`;
    const known = groups.get(key);
    if (known) known.people.push(personId);
    else groups.set(key, { targetCm, mostCm: top, people: [personId] });
  }
  return [...groups.values()].sort((a, b) => a.targetCm - b.targetCm || a.mostCm - b.mostCm);
}
