import { emptyCupboard } from '../core/intake/cupboard';
import type { Place } from '../core/shapes/person';
import { canonicalJson } from '../core/math/canonical';
import { mergeChanges, type Clash } from '../core/math/mergeChanges';
import { proveWritable } from '../database/connection';
import { findPlace, markAsDemo, registerId, savePlace } from '../database/place';
import { openedAs, parse, type FieldError } from '../schemas/parse';
import { cupboardItem, placeForm } from '../schemas/place';
import { together, type Desk } from './desk';

/** What a hall has before anybody looked into its cupboard: two usual chairs and two pads. */
export const usualPlace: Place = {
  name: 'This hall',
  town: '',
  // Never assumed: a wrong number is worse than none, and the hall is asked for it before its first test.
  emergencyNumber: '',
  units: 'metric',
  cupboard: {
    ...emptyCupboard,
    chairs: [
      { heightCm: 43, arms: false, stable: true, count: 1 },
      { heightCm: 46, arms: false, stable: true, count: 1 },
    ],
    pads: [
      { thickCm: 3, count: 1 },
      { thickCm: 5, count: 1 },
    ],
    bars: 1,
    railPlaces: 2,
    weightsKg: [1, 2],
    floors: [{ where: 'hall', slides: true }],
    things: ['tape', 'wall'],
  },
};

/** Whether anybody has told of this hall yet. */
export const isPlaceKnown = async (desk: Desk): Promise<boolean> => (await findPlace(desk.db)) !== undefined;

export async function readPlace(desk: Desk): Promise<Place> {
  return (await findPlace(desk.db)) ?? usualPlace;
}

/** Whether the cupboard is still as a page shows it. */
export async function isCupboardStill(desk: Desk, shown: unknown): Promise<boolean> {
  return canonicalJson(shown) === canonicalJson((await readPlace(desk)).cupboard);
}

export type SavePlace =
  | { readonly kind: 'saved' }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] }
  /** Changed elsewhere since the form was opened, and not in the same way. */
  | { readonly kind: 'changed'; readonly theirs: Place; readonly merged: Place; readonly clashes: readonly Clash[] };

/** @param opened the place as the form showed it: what was changed elsewhere since is kept */
export async function changePlace(desk: Desk, input: unknown, opened?: unknown): Promise<SavePlace> {
  const parsed = parse(placeForm, input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  return together(desk, async (trx): Promise<SavePlace> => {
    const theirs = await readPlace(trx);
    const shown: Place = openedAs(theirs, opened) ?? theirs;
    const { merged, clashes } = mergeChanges<Place>(shown, parsed.value, theirs, cupboardItem);
    if (clashes.length > 0) return { kind: 'changed', theirs, merged, clashes };
    await savePlace(trx.db, merged);
    return { kind: 'saved' };
  });
}

/** The number that is called here; everything else of the hall stays as it is. */
export async function changeEmergencyNumber(desk: Desk, emergencyNumber: unknown): Promise<SavePlace> {
  return together(desk, async (trx) => changePlace(trx, { ...(await readPlace(trx)), emergencyNumber }));
}

/** Marks the register as the made-up hall. */
export async function beDemo(desk: Desk): Promise<void> {
  await markAsDemo(desk.db);
}

/** That something new can be kept. @throws the error of the file where it cannot */
export const proveKeeping = (desk: Desk): Promise<void> => proveWritable(desk.db, desk.now().getTime());

/** The register’s own name. */
export const readRegisterId = (desk: Desk): Promise<string> => registerId(desk.db);
