import { toKit } from '../core/intake/cupboard';
import { seatHeights } from '../core/level/seat';
import { ankleFromWall, chooseSeat, hoverFit, untestedAnkleDeg, type SeatChoice } from '../core/load/seatTable';
import { readLength, unitsOf } from '../core/math/units';
import type { Place } from '../core/shapes/person';
import type { LevelRules } from '../core/shapes/ladder';
import { bodyLimits } from '../schemas/requests';

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
    | (SeatChoice & {
        readonly shownCm: number;
        readonly ankleDeg: number;
        /** Nobody tested the ankle. */
        readonly assumed: boolean;
        readonly capCm: number;
      })
    | null;
}

/** From S6 up a seat leaves at least so much room; common practice, no published source. */
const roomLeastDeg = 3;

/** The seat of this hall that somebody hovers over with about the effort of the one they rose from; nothing is kept. */
export async function findSeat(
  place: Place,
  { house }: LevelRules,
  question: Readonly<Record<string, string | undefined>>,
): Promise<SeatFound> {
  const typed = { height: question['height'] ?? '', shown: question['shown'] ?? '', wall: question['wall'] ?? '' };
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
  const ankleDeg = assumed ? untestedAnkleDeg : ankleFromWall(heightCm, wallCm);
  const capCm = Math.max(shownCm, Math.floor(house.seatCap.share * house.seatCap.kneeShareOfHeight * heightCm));
  const kitCm = seatHeights(toKit(place.cupboard)).map((seat) => seat.heightCm);
  const hover = { heightCm, ankleDeg, arms: 'forward', loadShare: 0 } as const;
  // Each seat is some hundredths of a second the first time it is asked of; others are answered in between.
  for (const seatCm of [shownCm, ...kitCm]) {
    hoverFit({ ...hover, seatCm });
    await new Promise((others) => setImmediate(others));
  }
  const choice = chooseSeat({ ...hover, shownCm, kitCm, capCm, roomLeastDeg });
  return { typed, faults, answer: { ...choice, shownCm, ankleDeg, assumed, capCm } };
}

const wallRangeCm = [0, 25] as const;
