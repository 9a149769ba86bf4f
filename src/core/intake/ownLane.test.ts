import { describe, expect, test } from 'vitest';
import type { Known } from './known';
import { ownLaneReasons } from './ownLane';

type Of = Pick<Known, 'falls' | 'limiters'> & { readonly intake: Partial<Known['intake']> };
const plain: Of = {
  falls: [],
  limiters: [],
  intake: { aidIndoors: 'none', aidOutdoors: 'none', bloodThinners: false },
};
const reasons = (more: Partial<Of>, handsLast = false, onOneLeg = false) =>
  ownLaneReasons({ ...plain, ...more } as Known, handsLast, onOneLeg);

describe('who is better watched alone (common practice, no published source)', () => {
  test('nobody to mind is watched beside others', () => {
    expect(reasons({})).toEqual([]);
  });
  test.each<[string, Partial<Of>, boolean, boolean]>([
    ['walks with an aid', { intake: { ...plain.intake, aidOutdoors: 'stick' } }, false, false],
    ['rose with the hands last time', {}, true, false],
    ['a condition of the nerves', { limiters: [{ kind: 'neurological' }] }, false, false],
    ['takes a blood thinner', { intake: { ...plain.intake, bloodThinners: true } }, false, true],
  ])('%s', (words, more, handsLast, onOneLeg) => {
    expect(reasons(more, handsLast, onOneLeg)).toEqual([words]);
  });
  test('a blood thinner asks for an own spotter on one leg only', () => {
    expect(reasons({ intake: { ...plain.intake, bloodThinners: true } })).toEqual([]);
  });
});
