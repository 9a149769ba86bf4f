import type { DayEvent, DayNote } from '../../../core/shapes/day';
import type { IsoDate } from '../../../core/shapes/facts';
import { thisRegister } from '../../frame/thisRegister';
import { sendDayNote, type Sent } from '../bench/sending';
import { keepDayNote, newClientKey, type KeptDayNote } from '../bench/store';

/** One after the other: the order in which they come is the order of the day. */
let before: Promise<unknown> = Promise.resolve();

/**
 * Notes something of a testing day: kept in this browser first, then sent; what is not taken goes out by itself later.
 * @returns the note at once, and when it was sent
 */
export function noteDay(day: IsoDate, event: DayEvent): { readonly note: DayNote; readonly sent: Promise<Sent> } {
  const note: KeptDayNote = {
    ...{ key: newClientKey(), day, wallMs: Date.now(), event },
    ...{ register: thisRegister(), refused: null },
  };
  const sent = before
    .then(() => keepDayNote(note))
    .catch((error: unknown) => console.error('Not kept here, only sent:', error))
    .then(() => sendDayNote(note))
    .catch((error: unknown): Sent => {
      console.error('Not sent yet:', error);
      return 'later';
    });
  before = sent;
  return { note, sent };
}
