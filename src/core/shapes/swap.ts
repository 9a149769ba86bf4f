import type { CoachingStyle, Pattern } from './facts';
import type { LoadedJoint } from './ladder';

/** What may be changed of a movement that hurts. */
export const swapDialIds = [
  'seat+5',
  'seat+10',
  'box+10',
  'range-half',
  'step-short',
  'step-lower',
  'knee-lower',
  'hands+1',
  'other-hand',
  'hand-on-hip',
  'hands-off',
  'rail-hip-high',
  'no-load',
  'no-band',
  'no-straps',
  'heel-wedge',
  'style=hips-back',
  'style=upright',
  'stance-wider',
  'feet-closer',
  'feet-further',
  'heels-further',
  'trunk-tall',
  'knees-softer',
  'press-lighter',
  'other-leg-leads',
  'mark-form',
  'stick',
  'pad',
  'second-pad',
  'strap',
  'arms-at-sides',
  'arms-crossed',
  'arms-on-belly',
  'hands-on-thighs',
  'beside-hips',
  'forearms-on-wall',
  'back-supported',
  'towel-higher',
  'seated',
  'toes-only',
  'low',
] as const;
export type SwapDialId = (typeof swapDialIds)[number];

export interface SwapDial {
  readonly id: SwapDialId;
  readonly words: string;
  /** How far a height moves up at least, cm. */
  readonly moves?: { readonly seatCm: number } | { readonly liftCm: number };
  /** What must be so of the hall or of the level; without it nothing is changed by it. */
  readonly needs?:
    'wedge' | 'step' | 'pad' | 'two-pads' | 'loaded' | 'hands' | 'slides' | { readonly notStyle: CoachingStyle };
}

export type SwapOffer =
  | { readonly same: true; readonly dials: readonly SwapDialId[] }
  /** The first of these rungs, such as `B3`, that is open. */
  | { readonly same: false; readonly rungs: readonly string[]; readonly dials: readonly SwapDialId[] };

/** By rung, then by the joint that hurts, in the order in which they are offered. */
export type LadderSwaps = Readonly<Record<number, Partial<Readonly<Record<LoadedJoint, readonly SwapOffer[]>>>>>;

export interface SwapTable {
  readonly byRung: Readonly<Record<Pattern, LadderSwaps>>;
  readonly dials: readonly SwapDial[];
  /** Signs at a joint that leave nothing to swap. */
  readonly nothingWhen: Readonly<Record<LoadedJoint, readonly string[]>>;
}

/** How much it hurts, 0 to 10, as it is tapped in class. */
export const swapGrades = ['0-2', '3-4', '5+'] as const;
export type SwapGrade = (typeof swapGrades)[number];

/** Where in the movement it hurts. */
export const swapWheres = ['going-down', 'at-the-bottom', 'coming-up', 'after'] as const;
export type SwapWhere = (typeof swapWheres)[number];
