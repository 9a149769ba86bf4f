import type { Level } from '../level/answer';
import type { Pattern } from '../shapes/facts';
import type { RungPoses } from '../shapes/pose';

/** What must stand in the hall for everybody at once. */
export interface HallNeeds {
  /** Seats by height, the most wanted first. */
  readonly seats: readonly { readonly cm: number; readonly count: number }[];
  /** Any firm chair: to sit on, or to hold by its back. */
  readonly chairs: number;
  /** Places at a rail or counter. */
  readonly rail: number;
  readonly mats: number;
  readonly surfaces: number;
  readonly steps: number;
  readonly boxes: number;
  /** Under a knee; those of seats stand with the seats. */
  readonly pads: number;
  readonly straps: number;
  readonly bands: number;
  readonly weights: readonly { readonly kg: number; readonly count: number }[];
}

/** What somebody does of one pattern, as far as it asks for things. */
type Asked = Pick<Level, 'pattern' | 'rung' | 'support' | 'targetCm' | 'loadKg' | 'carried'>;

/**
 * What the levels of people ask for when all of them train one pattern after the other: of each thing as many as the pattern
 * that wants most of it.
 */
export function needsOf(
  levels: readonly Asked[],
  posesOf: (pattern: Pattern, rung: number) => RungPoses | undefined,
): HallNeeds {
  const patterns = [...new Set(levels.map((l) => l.pattern))];
  const most = (wants: (level: Asked, poses: RungPoses | undefined) => boolean): number =>
    Math.max(
      0,
      ...patterns.map((p) => levels.filter((l) => l.pattern === p && wants(l, posesOf(l.pattern, l.rung))).length),
    );
  const has = (prop: RungPoses['props'][number]) => most((_level, poses) => poses?.props.includes(prop) === true);
  const isSeat = (l: Asked) => l.targetCm !== null && posesOf(l.pattern, l.rung)?.props.includes('box') !== true;
  return {
    seats: counted(levels.flatMap((l) => (isSeat(l) ? (l.targetCm ?? []) : []))).map(([cm, count]) => ({ cm, count })),
    chairs: most((l, poses) => !isSeat(l) && (poses?.hold === 'chair-back' || poses?.props.includes('chair') === true)),
    rail: most((l, poses) => (poses?.hold === 'rail' || poses?.hold === 'side-rail') && l.support !== '0'),
    ...{ mats: has('mat'), surfaces: has('surface'), steps: has('step'), boxes: has('box') },
    ...{ pads: has('pad'), straps: has('strap'), bands: has('band') },
    weights: counted(levels.flatMap(weightsOf)).map(([kg, count]) => ({ kg, count })),
  };
}

const weightsOf = ({ loadKg, carried }: Asked): number[] =>
  loadKg === null ? [] : carried === 'each-hand' ? [loadKg / 2, loadKg / 2] : [loadKg];

/** How often each stands in a list, the most frequent first. */
function counted(all: readonly number[]): (readonly [number, number])[] {
  const times = new Map<number, number>();
  for (const one of all) times.set(one, (times.get(one) ?? 0) + 1);
  return [...times].sort((a, b) => b[1] - a[1] || a[0] - b[0]);
}
