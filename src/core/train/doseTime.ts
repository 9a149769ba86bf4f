import { parseDose } from '../level/code';
import type { Part, Span } from '../shapes/class';
import type { Dose } from '../shapes/dose';
import type { Side } from '../shapes/facts';

/** A stretch of a part, before it stands in a class: how long, and what it is. */
export type Stretch = Pick<Span, 'kind' | 'round' | 'rounds' | 'side' | 'reps'> & { readonly lastsS: number };

/** Seconds that are not written into a scheme. Common practice, no published source. */
export const usualS = { untimedRep: 4, betweenSets: 30, betweenSides: 30 } as const;

/** The dose of a part. @throws RangeError where its scheme is none: the catalogue test walks them all */
export function doseOf({ scheme }: Pick<Part, 'scheme'>): Dose {
  const dose = parseDose(scheme);
  if (!dose) throw new RangeError(`doseOf: ${scheme} is no scheme`);
  return dose;
}

/**
 * A part as stretches of time: work, and the rest between, never after the last. A side done apart takes its time again;
 * repetitions and holds go from side to side in each round, intervals do one side first.
 */
export function stretchesOf(part: Part): Stretch[] {
  const dose = doseOf(part);
  const sides: readonly (Side | null)[] = part.aSide ? ['L', 'R'] : [null];
  const [upS, downS] = part.tempo ?? [usualS.untimedRep / 2, usualS.untimedRep / 2];
  const rest = (lastsS: number, at: { round: number; rounds: number; side: Side | null }): Stretch[] =>
    lastsS > 0 ? [{ kind: 'rest', reps: null, lastsS, ...at }] : [];
  switch (dose.kind) {
    case 'reps':
    case 'holds': {
      const count = dose.kind === 'reps' ? dose.reps : null;
      const lastsS = count === null ? (dose.kind === 'holds' ? dose.holdS : 0) : count * (upS + downS);
      const reps = count === null ? null : { count, upS, downS };
      const rounds = dose.sets;
      const between = part.restS ?? usualS.betweenSets;
      return roundsOf(rounds).flatMap((round) =>
        sides.flatMap((side, i) => {
          const at = { round, rounds, side };
          const last = round === rounds && i === sides.length - 1;
          return [{ kind: 'work' as const, reps, lastsS, ...at }, ...rest(last ? 0 : between, at)];
        }),
      );
    }
    case 'half-minute':
      return roundsOf(dose.rounds).map((round) => ({
        ...{ kind: 'work', lastsS: dose.everyS, round, rounds: dose.rounds },
        // Sides take turns by round.
        side: part.aSide ? (round % 2 === 1 ? 'L' : 'R') : null,
        reps: { count: dose.reps, upS, downS },
      }));
    case 'intervals': {
      // The daily minute is one round a side.
      if (dose.restS === 0)
        return roundsOf(dose.rounds).map((round) => ({
          ...{ kind: 'work', lastsS: dose.workS, round, rounds: dose.rounds, reps: null },
          side: part.aSide ? (round % 2 === 1 ? 'L' : 'R') : null,
        }));
      return sides.flatMap((side, i) => [
        ...rest(i === 0 ? 0 : usualS.betweenSides, { round: 1, rounds: dose.rounds, side }),
        ...roundsOf(dose.rounds).flatMap((round) => {
          const at = { round, rounds: dose.rounds, side };
          return [
            { kind: 'work' as const, reps: null, lastsS: dose.workS, ...at },
            ...rest(round === dose.rounds ? 0 : dose.restS, at),
          ];
        }),
      ]);
    }
  }
}

const roundsOf = (n: number): number[] => Array.from({ length: n }, (_, i) => i + 1);

/** How long a part lasts, in seconds. */
export const lastsS = (part: Part): number => stretchesOf(part).reduce((sum, s) => sum + s.lastsS, 0);
