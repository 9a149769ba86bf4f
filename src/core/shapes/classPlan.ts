import type { IsoDate, Pattern } from './facts';
import type { PersonId } from './person';

/** One block of a plan: which block of which class, and how many rounds more or less. */
export interface BlockAsked {
  /** Its own, once a plan: a block may stand twice. */
  readonly id: string;
  /** `intervals/s`. */
  readonly of: string;
  readonly more: number;
}

/** A class to plan from: one that ships, or one of the hall’s own. */
export interface TemplateListed {
  readonly id: string;
  readonly title: string;
  readonly says: string;
  readonly minutes: number;
  readonly blocks: readonly BlockAsked[];
  readonly own: boolean;
}

export const turns = ['easier', 'harder'] as const;
export type Turn = (typeof turns)[number];

/** One step easier or harder than somebody trains, for this class alone. */
export interface TurnedBy {
  readonly personId: PersonId;
  readonly pattern: Pattern;
  readonly way: Turn;
}

/** A class a hall put together out of blocks that ship. */
export interface OwnTemplate {
  readonly id: string;
  readonly title: string;
  readonly minutes: number;
  /** The class it was made from. */
  readonly from: string;
  readonly blocks: readonly BlockAsked[];
}

/** What an instructor asks for; everything else follows from the levels. */
export interface PlanAsked {
  readonly day: IsoDate;
  readonly groupId: string | null;
  /** The class it was made from, of those that ship or of the hall’s own. */
  readonly template: string;
  /** The time there is. */
  readonly minutes: number;
  readonly leader: string;
  /** Who helps, by their ids in the list of helpers. */
  readonly helpers: readonly string[];
  readonly people: readonly PersonId[];
  readonly blocks: readonly BlockAsked[];
  /** Left out where everybody does their own. */
  readonly turned?: readonly TurnedBy[];
}
