import { expect, test } from 'vitest';
import { askLoad } from './ask';
import { errorCodes } from './check';

const body = { heightM: 1.68, massKg: 70 };
const squat = { task: 'squat', ...body, seatHeightM: 0.45 };
const rail = { xFromToeM: 0.25, handHeightM: 0.9 };
const split = { task: 'split', ...body, hipHeightM: 0.62, stepM: 0.6, shankDeg: 15, trunkDeg: 15 };
const bridge = { task: 'bridge', ...body, heelToButtockM: 0.25 };

/** Section 6 of the specification, an input or more a code. */
const bad: [code: string, path: string, input: Readonly<Record<string, unknown>>][] = [
  ['E_NUMBER', '/heightM', { ...squat, heightM: NaN }],
  ['E_NUMBER', '/massKg', { ...squat, massKg: true }],
  ['E_NUMBER', '/seatHeightM', { ...squat, seatHeightM: '0.45' }],
  ['E_NUMBER', '/support/fyPct', { ...squat, support: { ...rail, fyPct: null } }],
  ['E_HEIGHT', '/heightM', { ...squat, heightM: 1.19 }],
  ['E_HEIGHT', '/heightM', { task: 'squat', massKg: 70, seatHeightM: 0.45 }],
  ['E_MASS', '/massKg', { ...squat, massKg: 251 }],
  ['E_LOAD', '/loadKg', { ...squat, loadKg: 141 }],
  ['E_LOAD', '/loadAt', { ...squat, loadAt: 'head' }],
  ['E_ARMS', '/arms', { ...squat, arms: 'folded' }],
  ['E_LIMIT', '/dfLimitDeg', { ...squat, dfLimitDeg: 61 }],
  ['E_LIMIT', '/frictionLimit', { ...squat, frictionLimit: -0.1 }],
  ['E_LIMIT', '/heelMargin', { ...squat, heelMargin: 1 }],
  ['E_WEDGE', '/heelLiftM', { ...squat, heelLiftM: 0.1 }],
  ['E_WEDGE', '/heelLiftM', { ...split, heelLiftM: 0.01 }],
  ['E_TOE_FRACTION', '/toeFraction', { ...squat, toeFraction: 1.1 }],
  ['E_COP_REF', '/copRef', { ...squat, copRef: 'heel' }],
  ['E_SUPPORT', '/support/fyPct', { ...squat, support: { ...rail, fyPct: 101 } }],
  ['E_SUPPORT', '/support/handHeightM', { ...squat, support: { xFromToeM: 0.25 } }],
  ['E_SUPPORT', '/support/hands', { ...squat, support: { ...rail, hands: 3 } }],
  ['E_SUPPORT', '/support/hands', { ...squat, support: { ...rail, hands: 1.5 } }],
  ['E_SUPPORT', '/support', { ...squat, support: 'rail' }],
  ['E_SUPPORT', '/support', { ...squat, rule: 'hold', shankDeg: 20, trunkDeg: 30 }],
  ['E_SUPPORT', '/support', { ...squat, task: 'support_needed', limit: 0.5 }],
  ['E_LOAD_HANDS_BUSY', '/loadAt', { ...squat, loadKg: 4, support: { ...rail, hands: 2 } }],
  ['E_SEAT', '/seatHeightM', { task: 'squat', ...body }],
  ['E_SEAT', '/seatHeightM', { ...squat, hipHeightM: 0.5 }],
  ['E_SEAT', '/seatHeightM', { ...squat, seatHeightM: 2.6 }],
  ['E_RULE', '/rule', { ...squat, rule: 'by_feel' }],
  ['E_RULE', '/trunkPerShank', { ...squat, trunkPerShank: 4 }],
  ['E_ANGLE', '/shankDeg', { ...squat, rule: 'shank', shankDeg: 91 }],
  ['E_ANGLE', '/trunkDeg', { ...squat, rule: 'trunk' }],
  ['E_ANGLE', '/kneePastToeM', { ...squat, rule: 'knee_past_toe', kneePastToeM: 0.5 }],
  ['E_TARGET', '/kneeLimit', { task: 'lowest_seat', ...body, kneeLimit: 0 }],
  ['E_STEP', '/stepM', { ...split, stepM: 1.5 }],
  ['E_SHARE', '/frontShare', { ...split, rule: 'share_by_shank', shankDeg: undefined, frontShare: 1.2 }],
  ['E_BRACE', '/bracePct', { ...split, bracePct: 31 }],
  ['E_BRACE', '/heelPullPct', { ...bridge, heelPullPct: 21 }],
  ['E_BRIDGE', '/heelToButtockM', { ...bridge, heelToButtockM: -0.1 }],
  ['E_BRIDGE', '/otherLeg', { ...bridge, otherLeg: 'bent' }],
  ['E_INPUT', '/task', { ...squat, task: 'jump' }],
  ['E_INPUT', '/shoeSize', { ...squat, shoeSize: 42 }],
  ['E_INPUT', '/support/colour', { ...squat, support: { ...rail, colour: 'red' } }],
];

test.each(bad)('%s at %s', (code, path, input) => {
  const answer = askLoad(input);
  const faults = answer.kind === 'bad' ? answer.faults : [];
  expect(faults.map((f) => [f.code, f.path])).toEqual([[code, path]]);
  // What is allowed, in words.
  expect(faults[0]?.message).toMatch(/\.$/);
});
test('every code is met by one of these', () => {
  expect([...new Set(bad.map(([code]) => code))].sort()).toEqual([...errorCodes].sort());
});
test('everything that is wrong is told at once, and prototype names are no fields', () => {
  const answer = askLoad(
    JSON.parse('{"task": "squat", "heightM": 3, "arms": 1, "__proto__": 1, "constructor": 2}') as Record<
      string,
      unknown
    >,
  );
  expect(answer.kind === 'bad' && answer.faults.map((f) => `${f.code} ${f.path}`).sort()).toEqual([
    'E_ARMS /arms',
    'E_HEIGHT /heightM',
    'E_INPUT /__proto__',
    'E_INPUT /constructor',
    'E_MASS /massKg',
    'E_SEAT /seatHeightM',
  ]);
});
