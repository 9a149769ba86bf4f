import { printDose } from '../level/code';
import type { ClassBlock, Part } from '../shapes/class';
import type { Pattern } from '../shapes/facts';
import { doseOf } from './doseTime';
import { workS } from './timeline';

const four: readonly Pattern[] = ['S', 'L', 'H', 'B'];
const rested: readonly Pattern[] = ['A', 'W', 'U', 'M'];

/** What may not go: what everybody did last time goes first, what is due stays, and so does the work on balance. */
export interface Shortening {
  readonly lastTime: readonly Pattern[];
  /** Somebody’s second clean session is due. */
  readonly due: readonly Pattern[];
}

export interface Shortened {
  readonly blocks: readonly ClassBlock[];
  /** In the order in which it went. */
  readonly dropped: readonly string[];
  /** Seconds it is still too long when nothing more may go. */
  readonly overS: number;
}

export const totalS = (blocks: readonly ClassBlock[]): number =>
  blocks.reduce((sum, b) => sum + Math.round(b.minutes * 60), 0);

/**
 * Drops what may be dropped, in its order, until a class fits. Room check, warm-up, cool-down, the two questions and water
 * stay. A plan that fits is given back as it is.
 */
export function shorten(blocks: readonly ClassBlock[], minutes: number, one: Shortening): Shortened {
  const mostS = minutes * 60;
  let now = blocks;
  const dropped: string[] = [];
  for (const [words, step] of steps(one)) {
    if (totalS(now) <= mostS) break;
    const next = step(now);
    if (totalS(next) === totalS(now)) continue;
    now = next;
    dropped.push(words);
  }
  return { blocks: now, dropped, overS: Math.max(0, totalS(now) - mostS) };
}

type Step = readonly [words: string, step: (blocks: readonly ClassBlock[]) => readonly ClassBlock[]];

const steps = ({ lastTime, due }: Shortening): readonly Step[] => [
  ['second rounds of ankles, wide and step', eachPart((p) => (rested.includes(p.pattern) ? fewer(p, 2) : p))],
  ['everything beside the four', without((p) => !four.includes(p.pattern))],
  ['third rounds', eachPart((p) => fewer(p, 3))],
  ['the floor: the bridge is done seated or raised', offTheFloor],
  ['one pattern', oneLess(lastTime, due)],
  ['second rounds', eachPart((p) => fewer(p, 2))],
];

/** One round less of a part that has so many. */
function fewer(part: Part, rounds: number): Part {
  const dose = doseOf(part);
  if (dose.kind === 'half-minute') return part;
  const has = 'sets' in dose ? dose.sets : dose.rounds;
  // The daily minute is one round a side.
  if (has !== rounds || (dose.kind === 'intervals' && dose.restS === 0)) return part;
  const less = 'sets' in dose ? { ...dose, sets: has - 1 } : { ...dose, rounds: has - 1 };
  return { ...part, scheme: printDose(less) };
}

const eachPart =
  (change: (part: Part) => Part) =>
  (blocks: readonly ClassBlock[]): readonly ClassBlock[] =>
    blocks.map((block) => (block.parts ? withParts(block, block.parts.map(change)) : block));

/** A block with other parts is shorter or longer by what its work is. */
export function withParts(block: ClassBlock, parts: readonly Part[]): ClassBlock {
  const next = { ...block, parts };
  return { ...next, minutes: Math.round((block.minutes + (workS(next) - workS(block)) / 60) * 100) / 100 };
}

const without =
  (goes: (part: Part) => boolean) =>
  (blocks: readonly ClassBlock[]): readonly ClassBlock[] =>
    blocks.flatMap((block) => {
      if (!block.parts || block.stations) return [block];
      const left = block.parts.filter((p) => !goes(p));
      return left.length === 0 ? [] : [left.length === block.parts.length ? block : withParts(block, left)];
    });

function offTheFloor(blocks: readonly ClassBlock[]): readonly ClassBlock[] {
  if (!blocks.some((b) => b.kind === 'floor')) return blocks;
  const raised = (p: Part): Part => (p.pattern === 'B' ? { ...p, shelves: { A: ['B1'], B: ['B2'], C: ['B2'] } } : p);
  return eachPart(raised)(blocks.filter((b) => b.kind !== 'floor'));
}

const oneLess =
  (lastTime: readonly Pattern[], due: readonly Pattern[]) =>
  (blocks: readonly ClassBlock[]): readonly ClassBlock[] => {
    const there = (p: Pattern) => blocks.some((b) => b.parts?.some((part) => part.pattern === p));
    const goes = [...lastTime, 'B' as const, 'H' as const, 'S' as const].find(
      (p) => p !== 'L' && four.includes(p) && !due.includes(p) && there(p),
    );
    return goes === undefined ? blocks : without((p) => p.pattern === goes)(blocks);
  };
