import type { DayResult } from '../../shapes/day';
import type { Side } from '../../shapes/facts';
import type { PersonId } from '../../shapes/person';
import type { Protocol } from '../../shapes/protocol';
import { seenIn, type Trial } from '../trial';

/** An attempt of the day, as far as the board goes by it. */
export interface DayAttempt {
  readonly personId: PersonId;
  readonly test: string;
  readonly side: Side | null;
  readonly trial: Pick<Trial, 'kind' | 'state' | 'outcome' | 'value' | 'tries' | 'stopReason'>;
  /** Why it was not tried; empty where nobody said. */
  readonly why: string;
  readonly endedWallMs: number;
}

/**
 * What came of the tests of a day, a person and test: of both sides only when neither is left to do. What broke off is no
 * result, and is to be done again.
 * @param sides whether a test is taken left and right apart
 */
export function dayResults(attempts: readonly DayAttempt[], sides: (test: string) => Protocol['sides']): DayResult[] {
  const over = attempts.filter(({ trial }) => ['finished', 'stopped', 'to-agree'].includes(trial.state));
  const keys = new Map<string, DayAttempt[]>();
  for (const a of over) keys.set(`${a.personId} ${a.test}`, [...(keys.get(`${a.personId} ${a.test}`) ?? []), a]);
  return [...keys.values()].flatMap((of): DayResult[] => {
    const both = ['L', 'R'].map((side) => of.findLast((a) => a.side === side)).filter((a) => a !== undefined);
    const [first] = of;
    if (!first) return [];
    const counted =
      sides(first.test) === 'both' ? both : [of.findLast((a) => stateOf(a) === 'done') ?? of.at(-1) ?? first];
    const states = counted.map(stateOf);
    // Stopped or declined on one side, nobody goes on to the other.
    if (sides(first.test) === 'both' && counted.length < 2 && states[0] === 'done') return [];
    const state = states.includes('done') ? 'done' : states.includes('stopped') ? 'stopped' : 'declined';
    return [
      {
        ...{ personId: first.personId, test: first.test, state },
        values: counted.flatMap((a) => (stateOf(a) === 'done' ? (seenIn(a.trial) ?? []) : [])),
        why: state === 'done' ? '' : (counted.find((a) => a.why !== '')?.why ?? ''),
        stopReason: state === 'stopped' ? (counted.find((a) => a.trial.stopReason)?.trial.stopReason ?? null) : null,
        endedWallMs: Math.max(...counted.map((a) => a.endedWallMs)),
      },
    ];
  });
}

function stateOf({ trial }: DayAttempt): DayResult['state'] {
  if (trial.state === 'stopped' || trial.outcome === 'stopped') return 'stopped';
  return trial.outcome === 'not-tried' ? 'declined' : 'done';
}
