/** What a key of a test does, and to which lane. */
export type LaneDeed = 'tap' | 'undo' | 'first-mark' | 'not-full' | 'stop' | 'again' | 'yes' | 'no' | 'main';

export interface LaneKey {
  /** Places of the lanes, from 0. */
  readonly lanes: readonly number[];
  readonly deed: LaneDeed;
}

/** The keys of each lane, in their order on the keyboard: under each other a lane’s own column. */
export const laneKeys = { tap: ['1', '2', '3', '4'], undo: 'QWER', mark: 'ASDF', stop: 'ZXCV' } as const;

/**
 * Reads a key by its place on the keyboard (`event.code`), so that every layout has the same columns.
 * @param lanes how many are tested at once
 * @param letters whether single letters are switched on
 * @returns `null` where it means nothing here
 */
export function laneKey(code: string, shift: boolean, lanes: number, letters: boolean): LaneKey | null {
  const every = Array.from({ length: lanes }, (_, i) => i);
  const one = (place: number, deed: LaneDeed): LaneKey | null =>
    place >= 0 && place < lanes ? { lanes: [place], deed } : null;
  if (code === 'Escape') return { lanes: every, deed: 'stop' };
  if (code === 'F8') return { lanes: every, deed: 'again' };
  if (code === 'Enter' || code === 'NumpadEnter') return { lanes: every, deed: 'main' };
  const digit = /^(?:Digit|Numpad)([1-4])$/.exec(code)?.[1];
  if (digit) return one(Number(digit) - 1, shift ? 'not-full' : 'tap');
  if (lanes === 1) {
    if (code === 'Space' || code === 'PageDown') return one(0, shift ? 'not-full' : 'tap');
    if (code === 'Backspace' || code === 'PageUp') return one(0, 'undo');
  }
  const letter = letters ? /^Key([A-Z])$/.exec(code)?.[1] : undefined;
  if (!letter) return null;
  if (lanes === 1 && letter === 'Y') return one(0, 'yes');
  if (lanes === 1 && letter === 'N') return one(0, 'no');
  return (
    one(laneKeys.undo.indexOf(letter), 'undo') ??
    one(laneKeys.mark.indexOf(letter), 'first-mark') ??
    one(laneKeys.stop.indexOf(letter), 'stop')
  );
}
