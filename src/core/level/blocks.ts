import type { LimiterInForce } from '../intake/inForce';
import type { Blocker } from './answer';

export type Block = Omit<Blocker, 'rung'>;

const lifted = 'limits lifted in writing';
const named = 'named in the release';
const gone = 'not present';

/** A limiter as what it blocks with, and the smallest change of it that would open. */
export function limiterBlock({ row, limiter }: LimiterInForce): Block {
  const fact = `limiter:${row.kind}`;
  if (limiter.unasked) {
    const text = `${row.title}: not asked yet, so taken as present; the intake tells`;
    const numbers = { have: 'not asked', measured: 'not asked', need: gone, measuredNeeded: gone };
    return { fact, ...numbers, tag: `${row.title}?`, text };
  }
  if (row.painAtLeast !== undefined) {
    const need = row.painAtLeast - 1;
    const have = limiter.pain ?? null;
    const text = `${row.title}: opens at ${need} of 10 or less`;
    return { fact, have, measured: have, need, measuredNeeded: need, tag: row.title, text };
  }
  const need = row.untilLifted ? lifted : row.unlessNamed ? named : gone;
  const opens = row.untilLifted
    ? 'opens once limits are lifted in writing'
    : row.unlessNamed
      ? 'opens where a release in writing names it'
      : row.forDays === undefined
        ? 'stays closed'
        : 'opens with time';
  const text = `${row.asTicked ? (limiter.text ?? row.title) : row.title}: ${opens}`;
  return { fact, have: 'present', measured: 'present', need, measuredNeeded: need, tag: row.title, text };
}

/** A limiter that must not be there, whatever is lifted or named; a pain opens where it is less. */
export function goneBlock(entry: LimiterInForce): Block {
  const block = limiterBlock(entry);
  if (entry.limiter.unasked || entry.row.painAtLeast !== undefined) return block;
  return { ...block, need: gone, measuredNeeded: gone, text: `${entry.row.title}: stays closed` };
}

/** A limiter whose change of the hands, and not its span, keeps a rung closed. */
export function handsBlock(entry: LimiterInForce): Block {
  const block = limiterBlock({ ...entry, row: { ...entry.row, untilLifted: false } });
  const { title } = entry.row;
  return entry.limiter.unasked
    ? block
    : { ...block, need: gone, measuredNeeded: gone, text: `${title}: the hands stay less free than it asks` };
}

/** Of several blocks of one fact the hardest says all: the larger need, for a pain the smaller, and gone over released. */
export function hardest(blocks: readonly Block[]): Block[] {
  const byFact = new Map<string, Block>();
  for (const block of blocks) {
    const known = byFact.get(block.fact);
    if (!known || harder(block, known)) byFact.set(block.fact, block);
  }
  // What was shown shows the rungs under it: only the highest is asked for.
  const shown = [...byFact.keys()].filter((fact) => fact.startsWith('shown:'));
  return [...byFact.values()].filter(
    ({ fact }) => !shown.some((s) => s.slice(0, -1) === fact.slice(0, -1) && s > fact),
  );
}

function harder(a: Block, b: Block): boolean {
  if (typeof a.need === 'number' && typeof b.need === 'number')
    return lessIsAsked.has(a.fact) || a.fact.startsWith('limiter:') ? a.need < b.need : a.need > b.need;
  const ways: readonly unknown[] = [lifted, named, gone];
  return ways.indexOf(a.need) > ways.indexOf(b.need);
}

/** Facts of which a rung asks for less, not more. */
const lessIsAsked: ReadonlySet<string> = new Set(['falls12m', 'upAndGo8ftS', 'upAndGo3mS']);
