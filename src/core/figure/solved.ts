import { lengthShares, type Lengths } from '../body/segments';

/** x forward to the toes, y up, z to the side of the leg that is told first; metres. */
export type Point3 = readonly [x: number, y: number, z: number];

export interface SolvedLeg {
  readonly hip: Point3;
  readonly knee: Point3;
  readonly ankle: Point3;
  readonly heel: Point3;
  readonly ball: Point3;
  readonly toe: Point3;
  /** What its lowest point stands or lies on. */
  readonly on: number;
}
export interface SolvedArm {
  readonly shoulder: Point3;
  readonly elbow: Point3;
  readonly hand: Point3;
}
export interface SolvedPose {
  readonly head: Point3;
  readonly neck: Point3;
  readonly hip: Point3;
  readonly legs: readonly [SolvedLeg, SolvedLeg];
  readonly arms: readonly [SolvedArm, SolvedArm];
  /** Joint angles in degrees, as they are held against what joints allow. */
  readonly bends: readonly JointBend[];
}
export interface JointBend {
  readonly joint: 'knee' | 'hip' | 'ankle' | 'elbow';
  readonly degrees: number;
}

/** What is wrong with a pose for this body: which point, and by how much. */
export type PoseFault =
  | { readonly kind: 'out-of-reach'; readonly what: string; readonly byMm: number }
  | { readonly kind: 'past-limit'; readonly joint: JointBend['joint']; readonly degrees: number }
  | { readonly kind: 'under-the-floor'; readonly what: string; readonly byMm: number }
  | { readonly kind: 'off-contact'; readonly what: string; readonly byMm: number };

/** What joints allow, in degrees; - beyond straight. Common figures of range, from memory. */
export const jointLimits: Readonly<Record<JointBend['joint'], readonly [number, number]>> = {
  knee: [-3, 150],
  hip: [-32, 135],
  ankle: [-65, 38],
  elbow: [-1, 150],
};

/** Of flesh between a joint and what it rests on, in shares of height. Assumptions of the drawing. */
export const pads = { knee: 0.03, hip: 0.05, shoulder: 0.05, elbow: 0.022, hand: 0.02, head: 0.112 } as const;
/** Upper arm; forearm with half a hand, as the grip is held. */
export const armOf = ({ height }: Lengths) => ({
  upper: lengthShares.upperArm * height,
  fore: (lengthShares.reach - lengthShares.upperArm) * height,
});
