import type { Level } from '../level/answer';
import { printLevelCode } from '../level/code';
import { addDays } from '../math/days';
import type { IsoDate } from '../shapes/facts';
import type { TurnedDial } from './dials';
import { amountOf, halfDose } from './doseSteps';
import type { PastSession } from './past';

/** A dial that was turned by a class and stands: up after a yes, back at once; a step of the dose is none. */
export interface Moved {
  readonly day: IsoDate;
  readonly way: 'up' | 'back';
  readonly from: Level;
  readonly to: Level;
  /** Of a way back: for so many sessions the dose is half. */
  readonly halfDoseFor: 0 | 1 | 2;
}

/** A dial is turned back to where it came from for so many sessions; then the general rule holds. */
const undoneWithin = 4;
/** Up and back twice within so many days: it rests as long. Common practice, no published source. */
const restDays = 56;

/** What differs between two levels, the dose left out. */
export function dialBetween(a: Level, b: Level): TurnedDial | null {
  if (a.rung !== b.rung) return 'rung';
  if (a.targetCm !== b.targetCm) return 'seat';
  if (a.support !== b.support) return 'hands';
  if ((a.within?.step ?? 0) !== (b.within?.step ?? 0)) return 'within';
  return a.loadKg === b.loadKg ? null : 'load';
}

/** Sessions that were graded since a day, without it. */
const since = (past: readonly PastSession[], day: IsoDate): number =>
  past.filter((s) => s.grade !== null && s.day > day).length;

/**
 * Where the dial that was last turned up came from, with half its dose: what a down-sign within four sessions goes back to.
 * @param moves newest first
 * @param past newest first
 */
export function undone(level: Level, moves: readonly Moved[], past: readonly PastSession[]): Level | null {
  const [last] = moves;
  if (last?.way !== 'up' || dialBetween(last.to, level) !== null || since(past, last.day) > undoneWithin) return null;
  return withDose(last.from, halfDose(last.from.dose));
}

/** The whole dose again, once the sessions of half of it are over; `null` where none was halved, or not yet. */
export function wholeAgain(level: Level, moves: readonly Moved[], past: readonly PastSession[]): Level | null {
  const [last] = moves;
  if (last?.way !== 'back' || last.halfDoseFor === 0 || dialBetween(last.to, level) !== null) return null;
  const { dose } = last.from;
  const halved = dose.kind === level.dose.kind && amountOf(level.dose) < amountOf(dose);
  return halved && since(past, last.day) >= last.halfDoseFor ? withDose(level, dose) : null;
}

/** Until when a dial rests that went up and back twice within eight weeks; `null` where it does not. */
export function restsUntil(dial: TurnedDial, moves: readonly Moved[], today: IsoDate): IsoDate | null {
  const turned = moves.filter((m) => dialBetween(m.from, m.to) === dial);
  const backs = turned.flatMap((m, i) => {
    const up = m.way === 'back' ? turned.slice(i + 1).find((other) => other.way === 'up') : undefined;
    return up ? [{ up: up.day, back: m.day }] : [];
  });
  const [newest, before] = backs;
  if (!newest || !before || newest.back > addDays(before.up, restDays)) return null;
  const until = addDays(newest.back, restDays);
  return until > today ? until : null;
}

const withDose = (level: Level, dose: Level['dose']): Level => ({
  ...level,
  dose,
  code: printLevelCode({ ...level, heightCm: level.targetCm, dose }),
});
