import type { Point } from '../body/figure';

/** Of what a joint, a foot and a hand may be asked. All are assumptions; a person’s own screening values come first. */
export interface Limits {
  readonly dfLimitDeg: number;
  readonly trunkLimitDeg: number;
  readonly trunkBackLimitDeg: number;
  /** Trunk to thigh, the bend of the low back included. */
  readonly hipFlexLimitDeg: number;
  readonly kneeFlexLimitDeg: number;
  readonly hipExtLimitDeg: number;
  readonly mtpLimitDeg: number;
  /** Where the weight may lie at most, from the heel and from the toes, in lengths of the foot. */
  readonly heelMargin: number;
  readonly toeMargin: number;
  readonly frictionLimit: number;
  /** In percent of body weight. */
  readonly pullLimitPct: number;
  readonly braceCapPct: number;
}

export const usualLimits: Limits = {
  dfLimitDeg: 30,
  trunkLimitDeg: 60,
  trunkBackLimitDeg: 5,
  hipFlexLimitDeg: 130,
  kneeFlexLimitDeg: 135,
  hipExtLimitDeg: 15,
  mtpLimitDeg: 65,
  heelMargin: 0.1,
  toeMargin: 0.2,
  frictionLimit: 0.4,
  pullLimitPct: 15,
  braceCapPct: 10,
};

export const armWays = ['crossed', 'forward', 'hanging'] as const;
export type ArmWay = (typeof armWays)[number];
export const loadPlaces = ['hands', 'shoulders'] as const;
export type LoadPlace = (typeof loadPlaces)[number];
export const copRefs = ['mtp', 'toe', 'pads'] as const;
/** From where to where the share of the weight on the toes is counted: heel to ball, heel to toe, heel pad to ball. */
export type CopRef = (typeof copRefs)[number];

/** What a hand holds on to. The force on the person in percent of body weight: up, and + forward where the person pulls. */
export interface Support {
  readonly fxPct: number;
  readonly fyPct: number;
  readonly xFromToeM: number;
  readonly handHeightM: number;
  readonly hands: 1 | 2;
}

/** A body with what it carries and holds on to. */
export interface Carrying {
  readonly heightM: number;
  readonly massKg: number;
  readonly arms: ArmWay;
  readonly loadKg: number;
  readonly loadAt: LoadPlace;
  readonly support: Support | null;
  readonly toeFraction: number;
  readonly copRef: CopRef;
  readonly limits: Limits;
}

/** How a posture is found among all that put the hip at its height. */
export type SquatRule =
  /** The trunk leans as the shins do, or so many times as much. */
  | { readonly rule: 'parallel'; readonly trunkPerShank: number }
  | { readonly rule: 'shank'; readonly shankDeg: number }
  | { readonly rule: 'knee_past_toe'; readonly kneePastToeM: number }
  | { readonly rule: 'trunk'; readonly trunkDeg: number }
  /** Nothing is solved: where the weight lies comes out. */
  | { readonly rule: 'pose'; readonly shankDeg: number; readonly trunkDeg: number }
  /** Posture and weight are held; how hard the hands pull comes out. */
  | { readonly rule: 'hold'; readonly shankDeg: number; readonly trunkDeg: number };

export type Squat = Carrying & { readonly hipHeightM: number; readonly heelLiftM: number } & SquatRule;

export type Hinge = Carrying & { readonly trunkDeg: number; readonly kneeFlexDeg: number };

export type Split = Carrying & {
  readonly hipHeightM: number;
  readonly stepM: number;
  readonly rearFootDeg: number;
  /** The pair of forces that the feet brace against each other, percent of body weight; nobody can see it. */
  readonly bracePct: number | 'auto';
} & (
    | { readonly rule: 'pose'; readonly shankDeg: number; readonly trunkDeg: number }
    | { readonly rule: 'share_by_shank'; readonly trunkDeg: number; readonly frontShare: number }
    | { readonly rule: 'share_by_trunk'; readonly shankDeg: number; readonly frontShare: number }
  );

export type Bridge = Pick<Carrying, 'heightM' | 'massKg' | 'loadKg' | 'toeFraction' | 'copRef' | 'limits'> & {
  readonly heelToButtockM: number;
  /** Trunk to thigh at the top; 0 is a straight line. */
  readonly hipFlexDeg: number;
  readonly singleLeg: boolean;
  readonly otherLeg: 'straight' | 'tucked';
  /** Percent of body weight, + towards the buttocks. */
  readonly heelPullPct: number;
};

/** A force and where it takes hold. */
export interface Force {
  readonly at: Point;
  readonly n: Point;
}

/** m/s2 */
export const gravity = 9.81;
