import type { Pattern } from '../../core/shapes/facts';
import type { LoadedJoint, LimiterRow } from '../../core/shapes/ladder';
import { ladders } from '../ladders';

type Closed = LimiterRow['closes'];

/** Rungs that load a joint and stay open to its strong pain all the same, each with why. */
export const openAllTheSame: readonly { readonly joint: LoadedJoint; readonly rung: string; readonly why: string }[] = [
  { joint: 'knee', rung: 'S2', why: 'from 10 cm higher, with the hands beside the hips' },
  { joint: 'back', rung: 'H1', why: 'seated, as far as it is easy' },
  { joint: 'back', rung: 'H2', why: 'both hands hold, the back long' },
];

/** What a pain closes: rungs that load the joint much, and a strong pain those that load it some too. */
export function byLoad(joint: LoadedJoint, strong: boolean): Closed {
  return spansOf(({ pattern, rung, loads }) => {
    if (loads[joint] === 'much') return true;
    const open = openAllTheSame.some((o) => o.joint === joint && o.rung === `${pattern}${rung}`);
    return strong && loads[joint] === 'some' && !open;
  });
}

type Seen = {
  readonly pattern: Pattern;
  readonly rung: number;
  readonly loads: (typeof ladders)[number]['rungs'][number]['loads'];
};

/** Runs of neighbouring rungs for which something is so. */
function spansOf(isSo: (rung: Seen) => boolean): Closed {
  return Object.fromEntries(
    ladders.flatMap(({ pattern, rungs }) => {
      const spans: [number, number][] = [];
      for (const { rung, loads } of rungs) {
        if (!isSo({ pattern, rung, loads })) continue;
        const last = spans.at(-1);
        if (last && last[1] === rung - 1) last[1] = rung;
        else spans.push([rung, rung]);
      }
      return spans.length === 0 ? [] : [[pattern, spans] as const];
    }),
  );
}

/** Spans of several rows together. */
export const and = (a: Closed, b: Closed): Closed =>
  Object.fromEntries(
    [...new Set([...Object.keys(a), ...Object.keys(b)] as Pattern[])].map((p) => [
      p,
      [...(a[p] ?? []), ...(b[p] ?? [])],
    ]),
  );
