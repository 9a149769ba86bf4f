import { spotter } from '../../core/figure/held';
import { solvePair, type Place } from '../../core/figure/pose';
import type { PoseFault } from '../../core/figure/solved';
import type { Pattern } from '../../core/shapes/facts';
import type { RungPoses } from '../../core/shapes/pose';
import { MoveFigure } from './moveFigure';

interface Props {
  readonly poses: RungPoses;
  readonly place: Place;
  readonly pattern: Pattern;
  readonly title: string;
  /** Somebody who may spot stands by. */
  readonly spotted?: boolean;
  readonly stacked?: boolean;
  readonly endOnly?: boolean;
  readonly className?: string;
}

/** The figure of a movement for this body and place; where the body cannot do it so, that is said in its place. */
export function SolvedFigure({
  poses,
  place,
  pattern,
  title,
  spotted = false,
  stacked = false,
  endOnly = false,
  className = '',
}: Props) {
  const pair = solvePair(poses, place);
  if ('faults' in pair)
    return (
      <p className="text-base">
        No figure for this body and seat: {pair.faults.slice(0, 2).map(faultWords).join(', ')}.
      </p>
    );
  const helper = spotted && poses.view !== 'above' ? spotter(place) : null;
  return (
    <MoveFigure
      {...{ poses, pair, place, pattern, stacked, endOnly, className, helper }}
      title={helper ? `${title}; whoever helps stands half a step behind, a hand near the belt` : title}
    />
  );
}

/** What is wrong, and by how much. */
function faultWords(fault: PoseFault): string {
  switch (fault.kind) {
    case 'out-of-reach':
      return `${fault.what} out of reach by ${fault.byMm} mm`;
    case 'past-limit':
      return `${fault.joint} at ${fault.degrees} degrees`;
    case 'under-the-floor':
      return `${fault.what} under the floor by ${fault.byMm} mm`;
    case 'off-contact':
      return `${fault.what} off the floor by ${fault.byMm} mm`;
  }
}
