import { conditionsFor, type DayState } from '../../../core/measure/day/dayState';
import type { DayConditions, DayEvent } from '../../../core/shapes/day';
import type { SetUp } from '../station';

/** What is set up otherwise than the day has it for somebody, to be noted as theirs; nothing on a day without a plan. */
export function differing(setUps: readonly SetUp[], state: DayState): DayEvent[] {
  if (!state.plan) return [];
  return setUps.flatMap(({ person, conditions, device }): DayEvent[] => {
    const now = conditionsFor(state, person.id);
    const { seatHeightCm, shoes } = conditions;
    const put: DayConditions = {
      // A switch lies on the seat; its height is none of the chair's.
      ...(device === null && seatHeightCm !== undefined && seatHeightCm !== now.seatCm ? { seatCm: seatHeightCm } : {}),
      ...(shoes !== undefined && shoes !== (now.shoes ?? 'flat') ? { shoes } : {}),
    };
    return Object.keys(put).length === 0 ? [] : [{ kind: 'conditions', personId: person.id, put }];
  });
}
