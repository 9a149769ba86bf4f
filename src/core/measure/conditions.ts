import type { AttemptEvent, Conditions } from '../shapes/attempt';
import { liveEvents } from './live';

/** The conditions in force: as they were sent, with every correction that stands. */
export function conditionsOf(sent: Conditions, events: readonly AttemptEvent[]): Conditions {
  return liveEvents(events).reduce((now, event) => {
    if (event.kind !== 'condition') return now;
    const { seatHeightCm, aid, shoes } = event;
    const put = { seatHeightCm, aid, shoes };
    return { ...now, ...Object.fromEntries(Object.entries(put).filter(([, v]) => v !== undefined)) };
  }, sent);
}
