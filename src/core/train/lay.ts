import { printDose } from '../level/code';
import type { ClassBlock, ClassTemplate, Part } from '../shapes/class';
import type { BlockAsked } from '../shapes/classPlan';
import { doseOf } from './doseTime';
import { withParts } from './shorten';

/** Rounds of a part at most and at least, however a block is lengthened. */
const [leastRounds, mostRounds] = [1, 10];

/** Every block of every class, by the name it is asked for. */
export function blockBook(templates: readonly ClassTemplate[]): ReadonlyMap<string, ClassBlock> {
  return new Map(templates.flatMap((t) => t.blocks.map((b) => [`${t.id}/${b.id}`, b] as const)));
}

/** A class as it is asked for before anybody changed it. */
export const askedOf = ({ id, blocks }: ClassTemplate): BlockAsked[] =>
  blocks.map((b) => ({ id: b.id, of: `${id}/${b.id}`, more: 0 }));

/**
 * The blocks that were asked for, each with its own id and its rounds.
 * @throws RangeError for one that is in no class: the schema has looked
 */
export function layBlocks(asked: readonly BlockAsked[], book: ReadonlyMap<string, ClassBlock>): ClassBlock[] {
  return asked.map(({ id, of, more }) => {
    const found = book.get(of);
    if (!found) throw new RangeError(`layBlocks: there is no block ${of}`);
    const block = { ...found, id };
    return block.parts && more !== 0
      ? withParts(
          block,
          block.parts.map((p) => withMore(p, more)),
        )
      : block;
  });
}

function withMore(part: Part, more: number): Part {
  const dose = doseOf(part);
  const within = (n: number) => Math.min(mostRounds, Math.max(leastRounds, n + more));
  return {
    ...part,
    scheme: printDose('sets' in dose ? { ...dose, sets: within(dose.sets) } : { ...dose, rounds: within(dose.rounds) }),
  };
}
