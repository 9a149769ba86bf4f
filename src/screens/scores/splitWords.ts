import type { PercentileSplit } from '../../core/retest/split';
import { signed } from '../words';

/** How much of a change of percentile is the person’s and how much the birthday’s, in whole points that add up. */
export function splitWords({ before, after, birthday }: PercentileSplit): string {
  const total = Math.round(after) - Math.round(before);
  const ofBirthday = Math.round(birthday);
  const own = total - ofBirthday;
  const all = `From about ${Math.round(before)} to ${Math.round(after)} in 100`;
  return ofBirthday === 0
    ? `${all}: ${signed(own)}, all of it own.`
    : `${all}: ${signed(own)} own, ${signed(ofBirthday)} from the birthday alone.`;
}
