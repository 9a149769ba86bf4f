import { protocolById } from '../catalogue/protocols';
import { protocolIn } from '../core/score/shownUnits';
import type { UnitSystem } from '../core/shapes/person';
import type { Protocol } from '../core/shapes/protocol';

/** A test of the catalogue in the units the hall works in, to say results that were read in them. */
export function shownTest(id: string, units: UnitSystem): Protocol | undefined {
  const protocol = protocolById(id);
  return protocol && protocolIn(units, protocol);
}
