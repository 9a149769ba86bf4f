/**
 * Lengths of the body as shares of standing height, masses as shares of body mass; both sides alike. Those marked [W] are
 * Drillis and Contini 1966, Dempster 1955, as given by Winter, Biomechanics and Motor Control of Human Movement, all from
 * memory; those marked [A] are assumptions of this model.
 */
const arm = { upper: 0.186, fore: 0.146, halfHand: 0.054 } as const;

export const lengthShares = {
  /** [W] Of the ankle above the floor. */
  ankle: 0.039,
  /** [W] */
  foot: 0.152,
  /** [W] Ankle to knee. */
  shank: 0.246,
  /** [W] Knee to hip. */
  thigh: 0.245,
  /** [W] Hip to shoulder. */
  trunk: 0.288,
  /** [W] */
  upperArm: arm.upper,
  /** [W] Shoulder to the middle of the grip. */
  reach: arm.upper + arm.fore + arm.halfHand,
  /** [W] From the middle to a shoulder, half of 0.259. */
  shoulderOut: 0.1295,
  /** [A] From the middle to a hip joint. */
  hipOut: 0.067,
  /** [W] Shoulder to the centre of mass of the arm: 0.530 of shoulder to wrist. */
  armCentre: 0.17596,
  /** [A] Hip joint above what is sat on. */
  hipAboveSeat: 0.05,
  /** [A] Centre of crossed arms along the trunk from the hip, and to the front of it. */
  crossedArms: [0.225, 0.07],
  /** [A] Centre of a weight held to the chest, the same way. */
  hugged: [0.25, 0.11],
} as const;

/** Of the length of the foot, from the heel. [A] */
export const footShares = { ankle: 0.25, ball: 0.7, heelPad: 0.12 } as const;

/** Of the length of the trunk, from the hip. `centre` [W], of the trunk with head and neck; the others [A]. */
export const trunkShares = { centre: 0.66, centreWithoutHead: 0.5, lumbar: 0.2, pelvisOfLumbar: 0.895 } as const;

/** [W] Of shank and thigh from their upper end. */
export const legCentre = 0.433;

export const massShares = {
  foot: 0.0145,
  shank: 0.0465,
  thigh: 0.1,
  arm: 0.05,
  /** Trunk, head and neck. */
  trunkWithHead: 0.578,
  trunk: 0.497,
  pelvis: 0.142,
} as const;

/** Lengths in metres of a body. */
export interface Lengths {
  readonly height: number;
  readonly ankle: number;
  readonly foot: number;
  /** Of the ankle, the ball and the heel pad from the heel. */
  readonly ankleFromHeel: number;
  readonly ballFromHeel: number;
  readonly heelPad: number;
  readonly shank: number;
  readonly thigh: number;
  readonly trunk: number;
  readonly reach: number;
  readonly armCentre: number;
  readonly hipAboveSeat: number;
}

export function lengthsOf(heightM: number): Lengths {
  const { ankle, foot, shank, thigh, trunk, reach, armCentre, hipAboveSeat } = lengthShares;
  return {
    height: heightM,
    ankle: ankle * heightM,
    foot: foot * heightM,
    ankleFromHeel: footShares.ankle * foot * heightM,
    ballFromHeel: footShares.ball * foot * heightM,
    heelPad: footShares.heelPad * foot * heightM,
    shank: shank * heightM,
    thigh: thigh * heightM,
    trunk: trunk * heightM,
    reach: reach * heightM,
    armCentre: armCentre * heightM,
    hipAboveSeat: hipAboveSeat * heightM,
  };
}

/** Of the hip of somebody who stands upright, in metres. */
export const standingHip = ({ ankle, shank, thigh }: Lengths): number => ankle + shank + thigh;
