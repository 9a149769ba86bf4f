import type { LimiterKind, Pattern, Support } from './facts';
import type { LoadedJoint, MeasuredFactId, SeenFactId, Stance } from './ladder';
import type { FormCheckCode } from './move';

/** What of the hall a movement may ask for. */
export const ownPlaces = [
  'kit.rail',
  'kit.chair',
  'kit.mat',
  'kit.raisedSurface',
] as const satisfies readonly SeenFactId[];
export type OwnPlace = (typeof ownPlaces)[number];

export const ownStances = ['seated', 'lying', 'two-foot', 'split', 'one-leg'] as const satisfies readonly Stance[];
export const ownLoads = ['none', 'some', 'much'] as const;
export type OwnLoad = (typeof ownLoads)[number];

/** Every item of a set that is a hall's own has this number in its code; its name stands behind it. */
export const ownItem = 9;

/**
 * A movement of the hall's own: in the set, or beside a rung of a ladder, never between two. It is judged as that rung is, and
 * by its own flags, loads and needs besides.
 */
export interface OwnExercise {
  readonly id: string;
  /** Rises with every change. */
  readonly version: number;
  readonly name: string;
  /** What it does, in one line. */
  readonly does: string;
  readonly pattern: Pattern;
  /** The rung it stands beside; `null` in a set. */
  readonly beside: number | null;
  readonly stance: (typeof ownStances)[number];
  /** The hands are never freer. */
  readonly hands: Support;
  readonly aSide: boolean;
  readonly dose: 'reps' | 'holds';
  readonly floor: boolean;
  readonly slides: boolean;
  readonly impact: boolean;
  readonly weight: boolean;
  readonly trains: string;
  /** What is left out counts as much. */
  readonly loads: Partial<Readonly<Record<LoadedJoint, OwnLoad>>>;
  readonly needs: readonly { readonly fact: MeasuredFactId; readonly atLeast: number }[];
  readonly places: readonly OwnPlace[];
  readonly closedBy: readonly LimiterKind[];
  readonly checks: readonly FormCheckCode[];
  /** Offered to nobody any more; never deleted. */
  readonly aside: boolean;
}
