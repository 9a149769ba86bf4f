import { heldFor } from '../../intake/mayStart';
import type { Known } from '../../intake/known';
import { ownLaneReasons } from '../../intake/ownLane';
import type { IsoDate } from '../../shapes/facts';
import type { Protocol } from '../../shapes/protocol';
import type { DayRules } from '../../shapes/rules';
import type { DayGuest } from './sitting';

/** Who rests longer, and has fewer leg tests a day. Common practice, no published source. */
export const restsLongerOver = 85;

/** Somebody as the day sees them, out of what is known of them. */
export function guestOf(
  { id, ageYears, handsLast }: { readonly id: string; readonly ageYears: number; readonly handsLast: boolean },
  known: Known,
  protocols: readonly Protocol[],
  rules: DayRules,
  day: IsoDate,
  onHold: boolean,
): DayGuest {
  const closed = protocols.flatMap((protocol) => {
    const held = heldFor(known, protocol, rules, day, onHold);
    return held ? [[protocol.id, held.what] as const] : [];
  });
  return {
    id,
    withCare: known.readiness.outcome === 'ready-with-care',
    over85: ageYears > restsLongerOver,
    alone: ownLaneReasons(known, handsLast, false).length > 0,
    closed: Object.fromEntries(closed),
  };
}
