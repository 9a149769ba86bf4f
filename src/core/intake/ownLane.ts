import type { Known } from './known';

/**
 * Why somebody is watched by one pair of eyes alone: falls, an aid, hands needed to rise, a condition of the nerves.
 * Common practice, no published source; it is proposed, and the instructor decides.
 * @param handsLast whether the hands were used in the newest chair stand
 * @param onOneLeg whether the test stands on one leg
 * @returns empty where two may be watched at once
 */
export function ownLaneReasons({ falls, intake, limiters }: Known, handsLast: boolean, onOneLeg: boolean): string[] {
  const aids = [intake.aidIndoors, intake.aidOutdoors];
  return [
    ...(falls.length > 0 ? ['fell in the last year'] : []),
    ...(aids.some((aid) => aid !== 'none') ? ['walks with an aid'] : []),
    ...(handsLast ? ['rose with the hands last time'] : []),
    ...(limiters.some((l) => l.kind === 'neurological') ? ['a condition of the nerves'] : []),
    ...(onOneLeg && intake.bloodThinners ? ['takes a blood thinner'] : []),
  ];
}
