import type { Grade, SessionFacts } from '../shapes/progress';

/**
 * The grade of a session, the first row that holds. What nobody looked at is never clean and seen: silence moves the dose only.
 * @param heavyBefore the two sessions before on this level were heavy too
 */
export function gradeOf(f: SessionFacts, heavyBefore: boolean): Grade {
  const down = f.pain === 'much' || f.stopSign === 'first' || f.nextDay === 'worse' || f.dose === 'under-half';
  if (down) return 'D';
  const heavy =
    f.pain === 'some' ||
    f.effort !== 'in-band' ||
    f.stopSign === 'later' ||
    f.form === 'not-put-right' ||
    f.support === 'more';
  if (heavy) return heavyBefore ? 'D' : 'H';
  if (f.dose === 'short') return 'S';
  return f.looked === 'seen' ? 'C' : 'U';
}
