import type { PersonId } from './person';

/** Where somebody stands: at something fixed to hold on to, at a chair along the wall, or on the free floor. */
export const placeKinds = ['rail', 'table', 'strap', 'wall', 'floor'] as const;
export type PlaceKind = (typeof placeKinds)[number];

/** `rail-2`, the second from the left; on the floor row by row. It stays the same whoever stands there. */
export type PlaceId = `${PlaceKind}-${number}`;

const placeShape = new RegExp(`^(${placeKinds.join('|')})-[1-9][0-9]?$`);
export const isPlaceId = (text: string): text is PlaceId => placeShape.test(text);

/** A place that an instructor gave somebody. */
export interface KeptPlace {
  readonly personId: PersonId;
  readonly at: PlaceId;
}

/** Somebody who is put somewhere by hand; `null` lets them go where the rules say. */
export interface PlaceMove {
  readonly personId: PersonId;
  readonly at: PlaceId | null;
}
