import { solveBridge } from './bridge';
import { check, type Asked, type Fault } from './check';
import { solveHinge } from './hinge';
import { lowestSeat, supportNeeded, windowOf } from './search';
import { solveSplit } from './split';
import { solveSquat } from './squat';

export type LoadAnswer = ReturnType<typeof solve>;

export type Asking =
  | { readonly kind: 'answered'; readonly answer: LoadAnswer }
  | { readonly kind: 'bad'; readonly faults: readonly Fault[] };

/** A set-up as it is sent, to posture, moments and feasibility; or everything that is wrong with it. */
export function askLoad(input: Readonly<Record<string, unknown>>): Asking {
  const checked = check(input);
  return checked.kind === 'bad' ? checked : { kind: 'answered', answer: solve(checked.asked) };
}

function solve(asked: Asked) {
  switch (asked.task) {
    case 'squat':
      return solveSquat(asked.setUp);
    case 'window':
      return windowOf(asked.setUp);
    case 'lowest_seat':
      return lowestSeat(asked.setUp, asked.limits);
    case 'support_needed':
      return supportNeeded(asked.setUp, asked.limit, asked.joint);
    case 'hinge':
      return solveHinge(asked.setUp);
    case 'split':
      return solveSplit(asked.setUp);
    case 'bridge':
      return solveBridge(asked.setUp);
  }
}
