/**
 * How a movement looks at its start and at its end, as data. Angles in degrees as in the load model: shank from vertical,
 * + knee forward; thigh, + hip behind the knee; trunk, + shoulder forward; foot, + heel up. Lengths in shares of height.
 */

/** What hands may hold or rest on. */
export const holds = [
  'rail',
  'side-rail',
  'chair-back',
  'chair-seat',
  'own-seat',
  'wall',
  'box',
  'floor',
  'thighs',
  'knees',
  'creases',
  'hips',
  'breastbone',
  'ribs',
  'forehead',
] as const;
export type Hold = (typeof holds)[number];
/** Those that stand in the room: they keep their height and their place from start to end. */
export const outsideHolds = ['rail', 'chair-back', 'chair-seat', 'wall', 'box'] as const satisfies readonly Hold[];
export type OutsideHold = (typeof outsideHolds)[number];

export type HandsAt =
  | {
      readonly to: Hold;
      /** Lower than the hold, as hands that slide down it; above it, not touching. */ readonly down?: number;
    }
  /** Of the upper arm and the forearm from hanging, + forward; how far apart the hands are, in widths of the shoulders. */
  | { readonly upper: number; readonly fore: number; readonly apart?: number };

/** One leg. Where it carries the body it is solved from the ground up, else from the hip down. */
export type LegAt =
  | { readonly shank: number; readonly thigh: number; readonly foot?: number }
  /** The thigh follows from how high the hip is; `bridge`: knee, hip and shoulder in one line. */
  | { readonly shank: number; readonly hip: 'seat' | 'lying' | 'bridge'; readonly foot?: number }
  /** As the weight is balanced over the seat of this body; else at these angles. */
  | { readonly balanced: 'squat'; readonly shank: number; readonly arms: 'forward' | 'crossed' | 'hanging' }
  /** As the weight is balanced with that knee bend. */
  | { readonly balanced: 'bow'; readonly bend: number }
  /** Swings about the hip until it stands on the floor (or on what the other leg stands on), with that knee bend. */
  | { readonly bend: number; readonly falls: 'front' | 'back'; readonly foot?: number; readonly onto?: 'same' }
  /** The ball of the foot where it stood at the start. */
  | { readonly stays: true; readonly foot: number }
  /** The knee on the floor, in front of the hip or behind it. */
  | { readonly kneels: 'front' | 'back'; readonly foot: number }
  /** In one line with the trunk, down to what rests on the floor. */
  | { readonly inLine: 'knees' | 'feet'; readonly foot: number };

export interface Pose {
  /** What carries the body: a foot on the floor or on a step, a hip on something, a knee, forearms. */
  readonly root:
    'foot' | 'foot-on-step' | 'foot-on-surface' | 'hip-on-floor' | 'hip-on-seat' | 'knee' | 'elbow' | 'free';
  /** `lies`: the shoulders on what the body lies on. */
  readonly trunk: number | 'lies';
  readonly leg: LegAt;
  /** Where it does something else. */
  readonly other?: LegAt;
  /** How far both legs lean out to the side, and how far they are turned out. */
  readonly out?: number;
  readonly turn?: number;
  readonly hands: HandsAt;
  readonly otherHand?: HandsAt;
  /** Of head and neck, where they do not follow the trunk. */
  readonly head?: number;
}

/** On one forearm, lying on the side; seen from in front. The knees are bent, one on the other. */
export interface SideSupport {
  readonly root: 'side-elbow';
  /** On the floor, or up in one line with shoulder and knee. */
  readonly hip: 'down' | 'up';
  /** How far the upper leg is lifted, in degrees. */
  readonly lift?: number;
}

/** What stands around; drawn to scale. */
export const poseProps = [
  'chair',
  'chair-turned',
  'mat',
  'surface',
  'step',
  'plate',
  'pad',
  'box',
  'weight',
  'band',
  'strap',
  'wall-behind',
  'towel',
  'three-ways',
] as const;
export type PoseProp = (typeof poseProps)[number];

/** One point of the body that the arrow follows. */
export type PathPoint = 'hip' | 'shoulder' | 'knee' | 'hand' | 'heel' | 'otherFoot' | 'otherKnee';

/** How one rung looks. */
export interface RungPoses {
  readonly rung: number;
  /** From in front where the width matters; from above where the body lies on its side. */
  readonly view: 'side' | 'front' | 'above';
  /** What the hands hold where the level says how free they are; left out where the movement says it. */
  readonly hold?: 'rail' | 'side-rail' | 'chair-back';
  readonly props: readonly PoseProp[];
  readonly start: Pose | SideSupport;
  readonly end: Pose | SideSupport;
  /** What comes after it, where a repetition has two halves. */
  readonly then?: Pose;
  readonly path: PathPoint;
}
