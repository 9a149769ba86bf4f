import { effortPct } from './compare';
import { forgetTable, hoverFit, loadStep, leavesRoom, type Hover, type HoverFit } from './seatTable';

/** What a seat to hover over is chosen by. Lengths in cm. */
export interface SeatQuestion extends Omit<Hover, 'seatCm'> {
  /** The lowest seat they rose from. */
  readonly shownCm: number;
  /** So far under it at most. */
  readonly underShownCm: number;
  /** At most so high. */
  readonly capCm: number;
  /** Effort of knee and hip over that on the seat shown, per cent. */
  readonly mostEffortPct: number;
  readonly roomLeastDeg: number;
}

export type SeatWhyNot = 'far-under-shown' | 'over-cap' | 'no-posture' | 'knee' | 'hip' | 'room';

export interface SeatRow {
  readonly cm: number;
  readonly fit: HoverFit;
  /** Effort over that of the seat shown, per cent; `null` where either has no posture. */
  readonly kneePct: number | null;
  readonly hipPct: number | null;
  readonly whyNot: SeatWhyNot | null;
}

const tiny = 1e-9;
/** Past this an ankle takes nothing away from a hover; looked through in these steps. */
export const ampleAnkleDeg = 45;
export const ankleStepDeg = 0.5;

/** One seat, held against the seat shown under the same ankle, arms, wedge and pull. */
export function seatRow(question: SeatQuestion, cm: number): SeatRow {
  const shown = fitAt(question, question.shownCm);
  const fit = fitAt(question, cm);
  // Both as people do it, which is the lock of the table.
  const [then, thenHip] = shown.reasons.length === 0 ? [shown.knee, shown.hip] : [null, null];
  const [kneePct, hipPct] = [effortPct(fit.knee, then), effortPct(fit.hip, thenHip)];
  return { cm, fit, kneePct, hipPct, whyNot: whyNot(question, cm, fit, kneePct, hipPct) };
}

const fitAt = (question: SeatQuestion, seatCm: number): HoverFit => hoverFit({ ...question, seatCm });

/** Whether the seat shown has a posture to be compared with. */
export const comparable = (question: SeatQuestion): boolean => fitAt(question, question.shownCm).reasons.length === 0;

function whyNot(
  question: SeatQuestion,
  cm: number,
  fit: HoverFit,
  kneePct: number | null,
  hipPct: number | null,
): SeatWhyNot | null {
  const { shownCm, underShownCm, capCm, mostEffortPct, roomLeastDeg } = question;
  if (cm < shownCm - underShownCm) return 'far-under-shown';
  if (cm > capCm) return 'over-cap';
  if (fit.reasons.length > 0) return 'no-posture';
  if (kneePct !== null && kneePct > mostEffortPct + tiny) return 'knee';
  if (hipPct !== null && hipPct > mostEffortPct + tiny) return 'hip';
  return roomLeastDeg > 0 && !leavesRoom({ ...question, seatCm: cm }, roomLeastDeg) ? 'room' : null;
}

const lowest = new Map<string, number | null>();
/** So many answers are kept; then the book starts anew, which changes no answer. */
const kept = 50_000;

/**
 * The lowest seat in whole cm that this body can hover over with about the effort of the seat shown; `null` where none up
 * to the cap does. A stiffer ankle is never given a lower one than a suppler: where the comparison alone would, the
 * suppler one’s counts.
 */
export function lowestToHover(question: SeatQuestion): number | null {
  const ankleDeg = Math.floor(question.ankleDeg / ankleStepDeg + tiny) * ankleStepDeg;
  const { heightCm, arms, heelLiftCm, pullPct } = question;
  const loadShare = loadStep(question.loadShare).toFixed(3);
  const { shownCm, underShownCm, capCm, mostEffortPct, roomLeastDeg } = question;
  const key = `${[heightCm, ankleDeg, arms, loadShare, heelLiftCm, pullPct].join(' ')} ${[shownCm, underShownCm, capCm, mostEffortPct, roomLeastDeg].join(' ')}`;
  const known = lowest.get(key);
  if (known !== undefined) return known;
  const own = firstFrom(question, Math.ceil(shownCm - underShownCm - tiny));
  // Where the ankle takes nothing away from either posture no suppler one gets a higher seat.
  const free = own !== null && [own, shownCm].every((cm) => fitAt(question, cm).free);
  const suppler =
    own !== null && !free && ankleDeg < ampleAnkleDeg
      ? lowestToHover({ ...question, ankleDeg: ankleDeg + ankleStepDeg })
      : null;
  const found = own === null || suppler === null ? own : firstFrom(question, Math.max(own, suppler));
  if (lowest.size >= kept) lowest.clear();
  lowest.set(key, found);
  return found;
}

/** As `forgetTable`, with the answers drawn from it. */
export function forgetAll(): void {
  lowest.clear();
  forgetTable();
}

function firstFrom(question: SeatQuestion, fromCm: number): number | null {
  for (let cm = fromCm; cm <= question.capCm; cm++) if (seatRow(question, cm).whyNot === null) return cm;
  return null;
}

export interface SeatChoice {
  readonly rows: readonly SeatRow[];
  /** The lowest that does; `null` where none of them does. */
  readonly chosenCm: number | null;
  readonly compared: boolean;
}

/** Each seat of a kit, and the lowest that does. @param kitCm seats that can be made, lowest first */
export function chooseSeat(question: SeatQuestion, kitCm: readonly number[]): SeatChoice {
  const least = lowestToHover(question);
  const rows = kitCm.map((cm) => seatRow(question, cm));
  const chosen = rows.find((row) => least !== null && row.cm >= least && row.whyNot === null);
  return { rows, chosenCm: chosen?.cm ?? null, compared: comparable(question) };
}
