import { setPatterns, type Pattern } from '../../core/shapes/facts';
import { forbiddenIn, loadsSpared } from '../../core/shapes/forbids';
import type { LoadedJoint, LimiterRow, Rung } from '../../core/shapes/ladder';
import { accessories, ladders } from '../ladders';

type Closed = LimiterRow['closes'];

/** Rungs that load a joint and stay open to its strong pain all the same, each with why. */
export const openAllTheSame: readonly { readonly joint: LoadedJoint; readonly rung: string; readonly why: string }[] = [
  { joint: 'knee', rung: 'S2', why: 'from 10 cm higher, with the hands beside the hips' },
  { joint: 'back', rung: 'H1', why: 'seated, as far as it is easy' },
  { joint: 'back', rung: 'H2', why: 'both hands hold, the back long' },
];

/** What a pain closes: rungs that load the joint much, and a strong pain those that load it some too. */
export function byLoad(joint: LoadedJoint, strong: boolean): Pick<LimiterRow, 'closes' | 'closesLoads'> {
  const closesLoads = { joint, least: strong ? 'some' : 'much' } as const;
  const closes = spansOf(ladders, (rung, pattern) => {
    const open = openAllTheSame.some((o) => o.joint === joint && o.rung === `${pattern}${rung.rung}`);
    return loadsSpared({ closesLoads }, rung) && !(rung.loads[joint] === 'some' && open);
  });
  return { closesLoads, closes };
}

/** Runs of neighbouring rungs for which something is so. */
function spansOf(on: typeof ladders, isSo: (rung: Rung, pattern: Pattern) => boolean): Closed {
  return Object.fromEntries(
    on.flatMap(({ pattern, rungs }) => {
      const spans: [number, number][] = [];
      for (const rung of rungs) {
        if (!isSo(rung, pattern)) continue;
        const last = spans.at(-1);
        if (last && last[1] === rung.rung - 1) last[1] = rung.rung;
        else spans.push([rung.rung, rung.rung]);
      }
      return spans.length === 0 ? [] : [[pattern, spans] as const];
    }),
  );
}

const whole = [[1, 9]] as const;

/** What closes one thing closes another that asks the same of a body. */
const follows: readonly (({ readonly rung: string } | { readonly test: string }) & { readonly closes: Closed })[] = [
  { rung: 'S6', closes: { W: [[3, 6]] } },
  { rung: 'L4', closes: { U: [[3, 4]] } },
  { rung: 'S9', closes: { U: [[4, 4]] } },
  { test: 'floor-transfer', closes: { F: whole, M: [[2, 2]] } },
];

const isIn = (closed: Closed, pattern: Pattern, rung: number): boolean =>
  closed[pattern]?.some(([from, to]) => from <= rung && rung <= to) === true;

/**
 * A row with what it closes beside the four ladders: what its sentence forbids, what loads the joint it spares, what follows
 * from what it closes of the four and of the tests, and what is named. Of a ladder what is closed closes all above it; of a
 * set only itself.
 */
export function withAccessories(row: LimiterRow): LimiterRow {
  const following = follows.filter((f) =>
    'test' in f ? row.closesTests.includes(f.test) : isIn(row.closes, f.rung[0] as Pattern, Number(f.rung[1])),
  );
  const closes = Object.fromEntries(
    accessories.flatMap(({ pattern, rungs }) => {
      const closed = spansOf([{ pattern, title: '', rungs }], (rung) => {
        const named = [row.closes, ...following.map((f) => f.closes)];
        return (
          named.some((c) => isIn(c, pattern, rung.rung)) || forbiddenIn(row, rung).length > 0 || loadsSpared(row, rung)
        );
      })[pattern];
      if (!closed) return [];
      const first = Math.min(...closed.map(([from]) => from));
      return [[pattern, setPatterns.has(pattern) ? closed : [[first, rungs.length]]] as const];
    }),
  );
  return { ...row, closes: { ...row.closes, ...closes } };
}
