import { describe, expect, test } from 'vitest';
import { accessories, ladders } from '../../catalogue/ladders';
import { posesOf } from '../../catalogue/ladders/poses';
import { supports } from '../shapes/facts';
import type { Pose, RungPoses } from '../shapes/pose';
import { distance } from '../body/figure';
import { lengthsOf } from '../body/segments';
import { placeFor, withHands } from './held';
import { solvePair, type SolvedPair } from './pose';
import { armOf, pads, type Point3, type SolvedPose } from './solved';

/** From small to tall, with a seat each that is about as high as the kneecap. */
const bodies = [
  [145, 41],
  [155, 44],
  [165, 46],
  [175, 49],
  [190, 53],
] as const;
const rungs = [...ladders, ...accessories].flatMap(({ pattern, rungs: all }) =>
  all.map(({ rung, freest, name }) => ({ pattern, rung, name, freest, code: `${pattern}${rung}` })),
);
const solvedFor = (poses: RungPoses, heightCm: number, seatCm: number) =>
  solvePair(poses, placeFor(heightCm, { rung: poses.rung, targetCm: seatCm }));

/** Everything that can be measured of a pose without asking the solver what it thinks of it. */
function measured(pose: SolvedPose, heightM: number) {
  const lengths = lengthsOf(heightM);
  const apart = (a: readonly number[], b: readonly number[]) => Math.hypot(...a.map((x, i) => x - (b[i] ?? 0)));
  const bones = pose.legs.flatMap((leg) => [
    apart(leg.hip, leg.knee) - lengths.thigh,
    apart(leg.knee, leg.ankle) - lengths.shank,
    apart(leg.heel, leg.ball) - lengths.ballFromHeel,
  ]);
  const trunk = apart(pose.hip, pose.neck) - lengths.trunk;
  const lowest = Math.min(
    ...[pose.hip, pose.neck, pose.head].map(([, y]) => y),
    ...pose.legs.flatMap((l) => [l.knee[1], l.ankle[1], l.heel[1], l.ball[1], l.toe[1]]),
    ...pose.arms.flatMap((a) => [a.elbow[1], a.hand[1]]),
  );
  return { bones: Math.max(...[...bones, trunk].map(Math.abs)), lowest };
}

describe.each(rungs)('$code $name', ({ pattern, rung }) => {
  const poses = posesOf(pattern, rung);
  test('stands in five bodies: feet where they stand, hands on their hold, no joint past its limit, nothing under the floor', () => {
    if (!poses) throw new Error('no pose');
    const free = poses.hold === undefined ? (['0'] as const) : supports;
    for (const [heightCm, seatCm] of bodies)
      for (const support of free) {
        const held = withHands(poses, support);
        const pair = solvedFor(held, heightCm, seatCm);
        expect([heightCm, support, 'faults' in pair ? pair.faults : []]).toEqual([heightCm, support, []]);
        if ('faults' in pair) continue;
        for (const pose of [pair.start, pair.end, ...(pair.then ? [pair.then] : [])]) {
          const { bones, lowest } = measured(pose, heightCm / 100);
          expect(bones).toBeLessThan(0.001);
          expect(lowest).toBeGreaterThan(-0.001);
        }
        expect(handsOff(held, pair)).toBeLessThan(0.001);
      }
  });
});

test('where the level says how free the hands are there is something to hold; but for two whose movement says it', () => {
  const without = rungs.filter((r) => r.freest !== undefined && posesOf(r.pattern, r.rung)?.hold === undefined);
  // The seat of the firm chair, and the wall.
  expect(without.map((r) => r.code)).toEqual(['F1', 'F2', 'M1']);
});

/** How far a hand that holds something of the room is from where that stands, in metres. */
function handsOff({ start, end }: RungPoses, pair: SolvedPair): number {
  const off = (pose: RungPoses['start'], solved: SolvedPose) =>
    pose.root === 'side-elbow'
      ? [0]
      : [pose.hands, pose.otherHand ?? pose.hands].map((at, i) => {
          if (!('to' in at)) return 0;
          const x = { ...pair.placed }[at.to as 'rail'];
          const hand = solved.arms[i]?.hand;
          return x === undefined || !hand ? 0 : Math.abs(hand[0] - x);
        });
  return Math.max(...off(start, pair.start), ...off(end, pair.end));
}

const far = (a: Point3, b: Point3) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

const poseOf = (more: Partial<Pose>): Pose => ({
  ...{ root: 'foot', trunk: 0, leg: { shank: 0, thigh: 0 }, hands: { upper: 0, fore: 0 } },
  ...more,
});
const place = placeFor(165, { rung: 1, targetCm: 46 });
const faultsOf = (more: Partial<Pose>) => {
  const pair = solvePair({ start: poseOf(more), end: poseOf(more) }, place);
  return 'faults' in pair ? pair.faults : [];
};

test('on the side: forearm and knee on the floor; up, shoulder, hip and knee of the lower side are one line; lifted, the upper knee is a hand higher', () => {
  const kinds = [
    [3, 'start'],
    [3, 'end'],
    [4, 'end'],
  ] as const;
  for (const [heightCm, seatCm] of bodies) {
    const h = heightCm / 100;
    const solvedAt = kinds.map(([rung, which]) => {
      const poses = posesOf('K', rung);
      const pair = poses && solvedFor(poses, heightCm, seatCm);
      if (!pair || 'faults' in pair) throw new Error('nobody is too long for it');
      return pair[which];
    });
    for (const { arms, legs } of solvedAt) {
      expect(arms[1].elbow[1]).toBeCloseTo(pads.elbow * h, 6);
      expect(legs[1].knee[1]).toBeCloseTo(pads.knee * h, 6);
      for (const { shoulder, elbow } of arms) expect(far(shoulder, elbow)).toBeCloseTo(armOf(lengthsOf(h)).upper, 6);
    }
    const [down, up, lifted] = solvedAt;
    if (!down || !up || !lifted) throw new Error('three of them');
    const bend = ({ hip, neck, legs: [, { hip: low, knee }] }: SolvedPose) => {
      const [a, b] = [
        [neck[2] - hip[2], neck[1] - hip[1]],
        [low[2] - knee[2], low[1] - knee[1]],
      ] as const;
      return Math.abs(a[0] * b[1] - a[1] * b[0]) / (Math.hypot(...a) * Math.hypot(...b));
    };
    expect(bend(up)).toBeLessThan(1e-9);
    expect(bend(down)).toBeGreaterThan(0.2);
    expect(down.legs[1].hip[1]).toBeCloseTo(pads.hip * h, 6);
    expect(up.hip[1] - down.hip[1]).toBeGreaterThan(0.04 * h);
    expect(lifted.legs[0].knee[1] - up.legs[0].knee[1]).toBeGreaterThan(0.08);
  }
});

test('with the toes up the heel stands and the ball is off the floor; on the toes it is the other way round', () => {
  for (const [heightCm, seatCm] of bodies) {
    const poses = posesOf('A', 1);
    const pair = poses && solvedFor(withHands(poses, '2'), heightCm, seatCm);
    if (!pair || 'faults' in pair || !pair.then) throw new Error('heels and toes');
    const [up, toes] = [pair.end.legs[0], pair.then.legs[0]];
    expect([up.ball[1], toes.heel[1]].map((y) => Math.abs(y) < 1e-6)).toEqual([true, true]);
    expect(up.heel[1]).toBeGreaterThan(0.04);
    expect(toes.ball[1]).toBeGreaterThan(0.02);
  }
});

test('upright with straight joints the hip is as high as the lengths say, by hand: 0.039 + 0.246 + 0.245 of height', () => {
  const pair = solvePair({ start: poseOf({}), end: poseOf({}) }, place);
  if ('faults' in pair) throw new Error('upright is a pose');
  expect(pair.start.hip[1]).toBeCloseTo(1.65 * 0.53, 6);
  expect(pair.start.neck[1]).toBeCloseTo(1.65 * 0.818, 6);
});

test('what cannot be is named: past a limit, out of reach and by how much, under the floor', () => {
  expect(faultsOf({ leg: { shank: 60, thigh: 20 } })).toContainEqual({
    kind: 'past-limit',
    joint: 'ankle',
    degrees: 60,
  });
  expect(faultsOf({ leg: { shank: -20, thigh: 5 } })).toContainEqual({
    kind: 'past-limit',
    joint: 'knee',
    degrees: -15,
  });
  // Bent far over nobody holds a chair seat with straight arms from standing.
  const [reach] = faultsOf({ hands: { to: 'chair-seat' } });
  expect(reach).toMatchObject({ kind: 'out-of-reach', what: 'hands on the chair-seat' });
  // By hand: shoulder at 1.3497 m, seat at 0.46 m, an arm of 0.386 x 1.65, nearly straight.
  expect(reach && 'byMm' in reach ? reach.byMm : 0).toBeCloseTo((1.3497 - 0.46 - 0.985 * 0.386 * 1.65) * 1000, -1);
  expect(faultsOf({ root: 'hip-on-floor', leg: { shank: 0, thigh: 20 } }).map((f) => f.kind)).toContain(
    'under-the-floor',
  );
});

test('a foot that stays is where it was, whatever the hip does', () => {
  const poses = posesOf('L', 4);
  if (!poses) throw new Error('no split squat');
  const pair = solvedFor(poses, 165, 46);
  if ('faults' in pair) throw new Error('a split squat stands');
  const [a, b] = [pair.start.legs[1].ball, pair.end.legs[1].ball];
  expect(distance([a[0], a[1]], [b[0], b[1]])).toBeLessThan(1e-6);
});

test('over every seat a level may give, from well under the kneecap to over it, there is a figure in every body', () => {
  for (let heightCm = 145; heightCm <= 195; heightCm += 5)
    for (let seatCm = Math.ceil(0.23 * heightCm); seatCm <= 0.34 * heightCm; seatCm++)
      for (const [pattern, rung, support] of [
        ['S', 1, '2'],
        ['S', 2, '2'],
        ['S', 3, '2'],
        ['S', 4, 'h'],
        ['S', 5, 'h'],
        ['S', 6, 'f'],
        ['S', 7, '0'],
        ['S', 8, '0'],
        ['W', 3, '2'],
        ['W', 5, 'h'],
        ['H', 1, '2'],
        ['B', 1, '2'],
      ] as const) {
        const poses = posesOf(pattern, rung);
        if (!poses) throw new Error('no pose');
        const pair = solvedFor(withHands(poses, support), heightCm, seatCm);
        expect([pattern, rung, heightCm, seatCm, 'faults' in pair ? pair.faults : []]).toEqual([
          pattern,
          rung,
          heightCm,
          seatCm,
          [],
        ]);
      }
});
