// The statics a second way: all bodies of a posture at once, by a general linear solver. Slow and obvious; the tests hold the
// recursion of the core against it, and the bench the time.
import { Matrix, solve } from 'ml-matrix';
import type { Point } from '../src/core/body/figure';
import { root } from '../src/core/math/root';
import { gravity, type Carrying, type Split, type Squat } from '../src/core/load/setUp';
import { strideOver, type Stride } from '../src/core/load/split';
import { squatAt } from '../src/core/load/squat';
import { standingOn, type Stood } from '../src/core/load/standing';
import { cross, legMasses, weightOf, type Mass } from '../src/core/load/statics';

interface Body {
  readonly masses: readonly Mass[];
  readonly force?: { readonly at: Point; readonly n: Point };
}
interface Joint {
  readonly at: Point;
  /** The body it acts on, and the one it acts on the other way round; `null` is the floor. */
  readonly on: number;
  readonly from: number | null;
  /** Parts of it that are looked for; all where left out. */
  readonly only?: readonly Part[];
}

const parts = ['fx', 'fy', 'm'] as const;
type Part = (typeof parts)[number];

/** All bodies at once: three equations each, and of each joint the parts that are looked for, by a general solver. */
export function allAtOnce(bodies: readonly Body[], joints: readonly Joint[]): Record<Part, number>[] {
  const unknown = joints.flatMap((joint) => (joint.only ?? parts).map((part) => ({ joint, part })));
  const left = Matrix.zeros(3 * bodies.length, unknown.length);
  const right = Matrix.zeros(3 * bodies.length, 1);
  for (const [u, { joint, part }] of unknown.entries()) {
    const { at, on, from } = joint;
    for (const [body, sign] of [[on, 1], ...(from === null ? [] : [[from, -1]])] as [number, number][]) {
      if (part !== 'm') left.set(3 * body + (part === 'fx' ? 0 : 1), u, sign);
      left.set(3 * body + 2, u, part === 'm' ? sign : part === 'fx' ? -sign * at[1] : sign * at[0]);
    }
  }
  for (const [b, { masses, force }] of bodies.entries()) {
    right.set(3 * b, 0, -(force?.n[0] ?? 0));
    right.set(3 * b + 1, 0, weightOf(masses) - (force?.n[1] ?? 0));
    const turning = masses.reduce((sum, m) => sum + m.at[0] * m.kg * gravity, 0);
    right.set(3 * b + 2, 0, turning - (force ? cross(force.at, force.n) : 0));
  }
  const found = solve(left, right).to1DArray();
  return joints.map((joint) => {
    const one = { fx: 0, fy: 0, m: 0 };
    for (const [u, { joint: of, part }] of unknown.entries()) if (of === joint) one[part] = found[u] ?? NaN;
    return one;
  });
}

/** Trunk without pelvis and arms, in the order of the bodies: what is carried goes with what carries it. */
function aboveOf(one: Carrying, upper: Stood['upper']): Body[] {
  const [rest, ...arms] = upper.above;
  if (!rest) throw new Error('nothing above the hips');
  const hands = one.support?.hands ?? 0;
  // What is carried in a hand belongs to the free arms, on the shoulders to the trunk; arms that do the same are one group.
  const [armOne, armTwo, load] = arms;
  const onTrunk = load && one.loadAt === 'shoulders' ? [load] : [];
  const inHand = load && one.loadAt === 'hands' ? [load] : [];
  const holding = [armOne, armTwo].slice(0, hands).flatMap((a) => a ?? []);
  const free = [armOne, armTwo].slice(hands).flatMap((a) => a ?? []);
  const groups: Body[] = [
    ...(holding.length > 0 && upper.support ? [{ masses: holding, force: upper.support }] : []),
    ...(free.length > 0 ? [{ masses: [...free, ...inHand] }] : []),
  ];
  return [{ masses: [rest, ...onTrunk] }, ...groups];
}

/** Moments of both legs and of L5/S1. @param at where the floor takes hold */
export function secondMoments(one: Carrying, { leg, upper }: Pick<Stood, 'leg' | 'upper'>, at: Point) {
  const [foot, shank, thigh] = legMasses(leg, 2 * one.massKg);
  const above = aboveOf(one, upper);
  const bodies: Body[] = [foot, shank, thigh, upper.pelvis].map((m) => ({ masses: [m] }));
  const [ground, ankle, knee, hip, lumbar] = allAtOnce(
    [...bodies, ...above],
    [
      { at, on: 0, from: null },
      { at: leg.ankle, on: 0, from: 1 },
      { at: leg.knee, on: 1, from: 2 },
      { at: leg.hip, on: 2, from: 3 },
      { at: upper.lumbar, on: 3, from: 4 },
      ...above.slice(1).map((_, g) => ({ at: upper.shoulder, on: 5 + g, from: 4 })),
    ],
  );
  if (!ground || !ankle || !knee || !hip || !lumbar) throw new Error('a joint is missing');
  return { ground, ankle: -ankle.m / 2, knee: knee.m / 2, hip: -hip.m / 2, lumbarTotal: -lumbar.m };
}

/** A squat: the posture whose floor bears no moment where the weight is wanted. The trunk leans as the shins do. */
export function secondSquat(one: Squat, trunkPerShank: number) {
  const at = squatAt(one);
  if (!at) return null;
  const moments = (shank: number) => secondMoments(one, at.stood(shank, trunkPerShank * shank), at.standing.target);
  const to = Math.min(at.to, (one.limits.dfLimitDeg * Math.PI) / 180 + at.standing.pitch);
  const found = root((shank) => moments(shank).ground.m, at.from, to);
  return 'at' in found ? { shank: found.at, ...moments(found.at) } : null;
}

/** Both legs of a split stance, the brace given and nothing held on to. */
export function secondStride(one: Split, braceN: number, { front, rear, upper, standing }: Stride) {
  const legs = [front, rear] as const;
  const above = aboveOf(one, upper);
  // 0 to 2 the front leg, 3 to 5 the rear one, 6 the pelvis.
  const bodies: Body[] = [
    ...legs.flatMap((leg, l) =>
      legMasses(leg, one.massKg).map((m, b): Body => {
        const brace = { at: l === 0 ? standing.target : rear.ball, n: [l === 0 ? -braceN : braceN, 0] as const };
        return b === 0 ? { masses: [m], force: brace } : { masses: [m] };
      }),
    ),
    { masses: [upper.pelvis] },
    ...above,
  ];
  const found = allAtOnce(bodies, [
    { at: standing.target, on: 0, from: null, only: ['fy'] },
    // Nothing is left for it along the floor: it takes up that all bodies together are told twice.
    { at: rear.ball, on: 3, from: null, only: ['fx', 'fy'] },
    ...legs.flatMap((leg, l) => [
      { at: leg.ankle, on: 3 * l, from: 3 * l + 1 },
      { at: leg.knee, on: 3 * l + 1, from: 3 * l + 2 },
      { at: leg.hip, on: 3 * l + 2, from: 6 },
    ]),
    { at: upper.lumbar, on: 6, from: 7 },
    ...above.slice(1).map((_, g) => ({ at: upper.shoulder, on: 8 + g, from: 7 })),
  ]);
  const [floor, behind, ...joints] = found;
  const of = (leg: 0 | 1) => {
    const [ankle, knee, hip] = joints.slice(3 * leg, 3 * leg + 3);
    return { ankle: -(ankle?.m ?? NaN), knee: knee?.m ?? NaN, hip: -(hip?.m ?? NaN) };
  };
  const [onFront, onRear] = [floor?.fy ?? NaN, behind?.fy ?? NaN];
  return { frontShare: onFront / (onFront + onRear), front: of(0), rear: of(1) };
}

/** A split stance with a share on the front leg, found over the shins. */
export function secondSplit(one: Split, trunk: number, frontShare: number, [from, to]: readonly [number, number]) {
  const over = strideOver(one, standingOn(one, 0));
  const at = (shank: number) => {
    const stride = over.at(shank, trunk);
    return stride && secondStride(one, 0, stride);
  };
  const found = root((shank) => (at(shank)?.frontShare ?? NaN) - frontShare, from, to);
  return 'at' in found ? { shank: found.at, ...at(found.at) } : null;
}
