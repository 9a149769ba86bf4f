import { toKit } from '../core/intake/cupboard';
import { cautiousValue } from '../core/level/cautious';
import { seatHeights } from '../core/level/seat';
import { hoverQuestion, type HoverAid } from '../core/level/hover';
import { hoverBodyOf, hoverCapCm } from '../core/level/target';
import { chooseSeat, lowestToHover, type SeatChoice, type SeatRow } from '../core/load/seatChoice';
import { ankleFromWall, hoverRoomDeg } from '../core/load/seatTable';
import { lengthFigure, readLength, unitsOf } from '../core/math/units';
import type { PersonId, Place } from '../core/shapes/person';
import type { HoverRule, LevelRules } from '../core/shapes/ladder';
import { bodyLimits } from '../schemas/requests';
import type { Desk } from './desk';
import { readPlace } from './places';
import { factsOfPerson } from './readPeople';

/** What is asked of a seat to hover over, as it was typed. */
export interface SeatTyped {
  readonly height: string;
  readonly shown: string;
  readonly wall: string;
}

export interface SeatFound {
  readonly typed: SeatTyped;
  /** What cannot be read, by field. */
  readonly faults: Partial<Record<keyof SeatTyped, string>>;
  readonly answer:
    | (Omit<SeatChoice, 'rows'> & {
        readonly rows: readonly (SeatRow & { readonly roomDeg: number })[];
        readonly shownCm: number;
        readonly ankleDeg: number;
        /** Nobody tested the ankle. */
        readonly assumed: boolean;
        readonly capCm: number;
        /** Where no seat does: the lowest that would, with what helps. */
        readonly helped: readonly { readonly with: 'pad' | 'wedge' | 'rail'; readonly cm: number }[];
      })
    | null;
}

/** What the records of somebody say of it, in the units of the hall; nothing where nobody is called that. */
export async function seatTypedFor(desk: Desk, id: PersonId): Promise<SeatTyped | null> {
  const [found, place] = await Promise.all([factsOfPerson(desk, id), readPlace(desk)]);
  if (!found) return null;
  const { heightCm, shownCm, wallCm } = hoverBodyOf(found.rules, found.facts);
  const unit = unitsOf[place.units].length;
  const typed = (cm: number | null): string => (cm === null ? '' : lengthFigure(cm, unit));
  return { height: typed(heightCm), shown: typed(shownCm), wall: typed(wallCm) };
}

/** The seat of this hall that somebody hovers over with about the effort of the one they rose from; nothing is kept. */
export async function findSeat(
  place: Place,
  { house, ladders, measured }: LevelRules,
  question: Partial<SeatTyped>,
): Promise<SeatFound> {
  const typed = { height: question.height ?? '', shown: question.shown ?? '', wall: question.wall ?? '' };
  const unit = unitsOf[place.units].length;
  // One or two are never metres to a wall, as they would be of a height.
  const wallTyped = /^[\d.,\s]+$/.test(typed.wall) ? `${typed.wall} ${unit}` : typed.wall;
  const [heightCm, shownCm, wallCm] = [typed.height, typed.shown, wallTyped].map((words) => readLength(words, unit));
  const within = (cm: number | null | undefined, [from, to]: readonly [number, number]): cm is number =>
    cm !== null && cm !== undefined && cm >= from && cm <= to;
  const asked = typed.height.trim() !== '' || typed.shown.trim() !== '';
  const faults = {
    ...(asked && !within(heightCm, bodyLimits.heightCm)
      ? { height: `A height from ${bodyLimits.heightCm.join(' to ')} cm.` }
      : {}),
    ...(asked && !within(shownCm, bodyLimits.seatCm)
      ? { shown: `A seat from ${bodyLimits.seatCm.join(' to ')} cm.` }
      : {}),
    ...(typed.wall.trim() !== '' && !within(wallCm, wallRangeCm)
      ? { wall: `A distance from ${wallRangeCm.join(' to ')} cm, or nothing.` }
      : {}),
  };
  if (!within(heightCm, bodyLimits.heightCm) || !within(shownCm, bodyLimits.seatCm) || Object.keys(faults).length > 0)
    return { typed, faults, answer: null };
  const assumed = !within(wallCm, wallRangeCm);
  const wall = measured.find((fact) => fact.id === 'kneeToWallCm');
  const ankleDeg = assumed
    ? house.hover.untestedAnkleDeg
    : ankleFromWall(heightCm, wall ? cautiousValue(wall.margin, wallCm, []) : wallCm);
  const rule = roomyRuleOf(ladders);
  const capCm = hoverCapCm(rule, { person: { heightCm } }, { house }, shownCm);
  const body = { heightCm, ankleDeg, shownCm, capCm, loadShare: 0 };
  const asking = (aid: HoverAid) => hoverQuestion(aid, rule, house, body);
  const seats = asking('none');
  const kitCm = seatHeights(toKit(place.cupboard)).map((seat) => seat.heightCm);
  // Each seat is some hundredths of a second the first time it is asked of; others are answered in between.
  for (const seatCm of kitCm) {
    hoverRoomDeg({ ...seats, seatCm });
    await new Promise((others) => setImmediate(others));
  }
  const choice = chooseSeat(seats, kitCm);
  const helps = { pad: 'none', wedge: 'wedge', rail: 'rail' } as const;
  const helped =
    choice.chosenCm === null
      ? (['pad', 'wedge', 'rail'] as const).flatMap((help) => {
          const cm = lowestToHover(asking(helps[help]));
          return cm === null ? [] : [{ with: help, cm }];
        })
      : [];
  const rows = choice.rows.map((row) => ({ ...row, roomDeg: hoverRoomDeg({ ...seats, seatCm: row.cm }) }));
  return { typed, faults, answer: { ...choice, rows, shownCm, ankleDeg, assumed, capCm, helped } };
}

/** The rule of the first rung that leaves room for a bad moment. */
function roomyRuleOf(ladders: LevelRules['ladders']): HoverRule {
  const targets = ladders.flatMap(({ rungs }) => rungs.map(({ target }) => target));
  const found = targets.flatMap((t) => (t && 'hovers' in t ? [t] : [])).find((rule) => rule.roomLeastDeg > 0);
  if (!found) throw new RangeError('roomyRuleOf: no rung hovers with room');
  return found;
}

const wallRangeCm = [0, 25] as const;
