import type { ClassBlock, Part } from '../shapes/class';
import type { Pattern } from '../shapes/facts';
import { doseOf, lastsS } from './doseTime';
import { isVariant, type BlockDoing, type Variant } from './variant';

/** What the order of blocks hangs on besides the blocks. */
export interface OrderAsked {
  readonly blocks: readonly ClassBlock[];
  readonly doing: readonly BlockDoing[];
  /** Somebody has a knee of 3 and over. */
  readonly soreKnee: boolean;
  /** Somebody is over 85 or ready with care: seated more often. */
  readonly frail: boolean;
}

/** Minutes of work without a seat, at most. Common practice, no published source, as everything here. */
const [seatAfterMin, seatAfterFrailMin] = [12, 8];
/** Left after the way down to the floor, at least. */
const floorLeftMin = 10;

/** Balance at its hardest: one leg, and the split without a hold. */
const hardRungs: Readonly<Partial<Record<Pattern, readonly number[]>>> = {
  ...{ L: [5, 6, 7, 8], H: [7, 8], A: [4], U: [2, 3] },
};
const isHard = ({ pattern, rung, support }: Variant): boolean =>
  support === '0' && (hardRungs[pattern]?.includes(rung) ?? false);

/** What may stand between two patterns that do not follow each other. */
const parts = (kinds: readonly ClassBlock['kind'][]) => new Set<ClassBlock['kind']>(kinds);
const apart = parts(['rest', 'walk', 'floor', 'talk', 'check', 'cool-down', 'log']);
const seats = parts(['rest', 'talk', 'check', 'log']);

/** The long holds; a pause in a heel raise or a bow is none. */
const isHold = (part: Part): boolean => doseOf(part).kind === 'holds' && ['S', 'W', 'K'].includes(part.pattern);
/** Seconds in which a block is done, without what is shown and the changes. */
const doneS = ({ parts: all = [] }: ClassBlock): number => all.reduce((sum, part) => sum + lastsS(part), 0);
/** Rounds between which people sit. */
const sits = ({ restS = 0 }: Part): boolean => restS >= 60;
const isTiring = (part: Part): boolean => ['intervals', 'half-minute'].includes(doseOf(part).kind);

/** What is wrong with the order of a class, in sentences; an instructor may do it all the same. */
export function orderTold({ blocks, doing, soreKnee, frail }: OrderAsked): string[] {
  const works = blocks.filter((b) => b.kind === 'work');
  const workMin = works.reduce((sum, b) => sum + b.minutes, 0);
  const variantsOf = (id: string) => doing.find((d) => d.block === id)?.parts.flatMap((p) => p.filter(isVariant)) ?? [];
  const told: string[] = [];
  let before: { readonly block: ClassBlock; readonly part: Part } | null = null;
  let [doneMin, unseatedMin, afterHolds] = [0, 0, false];
  for (const [i, block] of blocks.entries()) {
    if (apart.has(block.kind)) before = null;
    if (seats.has(block.kind)) unseatedMin = 0;
    if (block.kind === 'floor') {
      // Its minutes are the way down and the way up.
      const left = block.minutes / 2 + blocks.slice(i + 1).reduce((sum, b) => sum + b.minutes, 0);
      if (left < floorLeftMin)
        told.push(`${block.title}: under ${floorLeftMin} minutes are left after it, leave the floor out.`);
    }
    if (block.kind !== 'work') continue;
    for (const part of block.parts ?? []) {
      if (before) told.push(...follows(before, block, part, soreKnee));
      if (!block.stations) before = { block, part };
    }
    const hard = variantsOf(block.id).some(isHard);
    if (hard && afterHolds) told.push(`${block.title}: one leg and the free split come before the holds.`);
    if (hard && doneMin >= (2 / 3) * workMin)
      told.push(`${block.title}: one leg and the free split come before the last third of the work.`);
    if (variantsOf(block.id).some((v) => v.pattern === 'H' && v.rung === 5) && doneMin > workMin / 2)
      told.push(`${block.title}: lifting belongs into the first half of the work.`);
    doneMin += block.minutes;
    const seated = (block.parts ?? []).length > 0 && (block.parts ?? []).every(sits);
    unseatedMin = seated ? 0 : unseatedMin + (block.stations ? 0 : doneS(block) / 60);
    if ((block.parts ?? []).some(isHold)) afterHolds = true;
    const most = frail ? seatAfterFrailMin : seatAfterMin;
    if (unseatedMin > most) {
      told.push(`${block.title}: over ${most} minutes of work without a seat, put a seated minute before it.`);
      unseatedMin = 0;
    }
  }
  const last = blocks.filter((b) => b.kind === 'work' || b.kind === 'rest' || b.kind === 'walk').at(-1);
  if (last?.kind === 'work' && !last.stations && (last.parts ?? []).length > 0 && (last.parts ?? []).every(isHold))
    told.push(`${last.title}: holds are never last before the cool-down.`);
  return [...new Set(told)];
}

function follows(
  before: { readonly block: ClassBlock; readonly part: Part },
  block: ClassBlock,
  part: Part,
  soreKnee: boolean,
): string[] {
  const [a, b] = [before.part.pattern, part.pattern];
  const pair = [a, b].sort().join('');
  const where = `${block.title} after ${before.block.title}`;
  return [
    ...(soreKnee && pair === 'LS' ? [`${where}: with a sore knee squat and lunge do not follow each other.`] : []),
    ...(pair === 'BH' ? [`${where}: hinge and bridge do not follow each other, the thigh cramps.`] : []),
    ...(isHold(part) && isTiring(before.part) ? [`${where}: no holds straight after intervals.`] : []),
  ];
}
