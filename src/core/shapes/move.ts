import type { LimiterKind } from './facts';

/** Where whoever looks at it stands. */
export const lookFroms = ['front', 'side', 'behind', 'feet end'] as const;
export type LookFrom = (typeof lookFroms)[number];

/** Something seen in a movement that says it is not clean. */
export const formCheckCodes = [
  'knee-in',
  'heel-up',
  'knee-far',
  'back-round',
  'chest-drop',
  'drop-seat',
  'narrow',
  'pelvis-drop',
  'low-back-arch',
  'breath-hold',
  'groin-pinch',
  'wobble',
  'pulls',
  'rush',
  'rolls-out',
  'knee-snap',
  'head-drop',
  'cramp',
  'shrug',
  'holds-stare',
] as const;
export type FormCheckCode = (typeof formCheckCodes)[number];

export interface FormCheck {
  readonly code: FormCheckCode;
  /** What is seen. */
  readonly seen: string;
  /** From where it is seen best; left out where it is felt or heard, or seen from anywhere. */
  readonly from?: LookFrom;
  /** What is said to the person. */
  readonly cue: string;
  /** What is changed. */
  readonly action: string;
  /** Whether it ends the set; `stays`: where it cannot be put right. */
  readonly ends: 'yes' | 'no' | 'stays';
  /** It ends the set of those who have one of these, whatever stands above. */
  readonly endsWith?: readonly LimiterKind[];
  /** Nobody goes on: seated, watched, help is called. */
  readonly stopSign?: true;
}

/** How one rung is taught. */
export interface Move {
  readonly rung: number;
  /** As it is said where its ladder does not stand beside it. */
  readonly name: string;
  readonly start: string;
  readonly down: string;
  readonly up: string;
  readonly breath: string;
  readonly tempo: string;
  /** The two or three that matter most, the first one first. */
  readonly checks: readonly FormCheckCode[];
  /** From where to look, first and then. */
  readonly lookFrom: readonly LookFrom[];
  /** What works. */
  readonly trains: readonly string[];
  readonly note?: string;
}
