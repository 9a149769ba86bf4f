import { protocolById } from '../../../catalogue/protocols';
import { protocolIn } from '../../../core/score/shownUnits';
import type { Sat, SatState } from '../../../core/measure/day/sitting';
import { instructor, type DayStaff } from '../../../core/shapes/day';
import type { Helper } from '../../../core/shapes/helper';
import type { UnitSystem } from '../../../core/shapes/person';
import { stopReasonWords, valueWords } from '../../words';

export const testWord = (id: string): string => protocolById(id)?.short ?? id;
/** Several of them inside a sentence. */
export const testsWords = (ids: readonly string[]): string => ids.map(inside).join(', ');
const inside = (id: string): string => testWord(id).charAt(0).toLowerCase() + testWord(id).slice(1);

/** Whose station it is. */
export const staffName = (id: string, helpers: readonly Helper[]): string =>
  id === instructor ? 'Instructor' : (helpers.find((h) => h.id === id)?.name ?? 'a helper who is gone');

/** What whoever stands there may do. */
export const mayWords = ({ id, may }: DayStaff): string =>
  id === instructor
    ? 'spots, counts, floor'
    : may.includes('spots')
      ? 'spots, counts'
      : may.includes('counts')
        ? 'counts'
        : 'may do nothing yet';

const satWords: Readonly<Record<SatState, string>> = {
  done: 'done',
  stopped: 'stopped',
  declined: 'not tried',
  paper: 'on paper',
  later: 'next class day',
  left: 'left',
  closed: 'closed',
  open: 'still to do',
};

/** One test of a sitting in words: the result, or why there is none. */
export function satLine({ test, state, values, why, stopReason }: Sat, units: UnitSystem): string {
  const protocol = protocolById(test);
  const shown = protocol && protocolIn(units, protocol);
  if (state === 'done' && shown && values.length > 0) return values.map((v) => valueWords(shown, v)).join(' · ');
  const reason = stopReason ? stopReasonWords[stopReason] : why;
  const own = satWords[state];
  return reason === '' || reason === own ? own : `${own}: ${reason}`;
}

export const minutesWords = (s: number): string => `${Math.max(0, Math.round(s / 60))} min`;

/** First letters, for a screen that the hall sees. */
export const initials = (name: string): string =>
  name
    .trim()
    .split(/\s+/)
    .map((part) => `${part.charAt(0)}.`)
    .join(' ');
