import { emptyCupboard } from '../core/intake/cupboard';
import type { Place } from '../core/shapes/person';
import type { Register } from '../database/connection';
import { findPlace, markAsDemo, savePlace } from '../database/place';
import { parse, type FieldError } from '../schemas/parse';
import { placeForm } from '../schemas/place';

/** What a hall has before anybody looked into its cupboard: two usual chairs and two pads. */
export const usualPlace: Place = {
  name: 'This hall',
  town: '',
  emergencyNumber: '112',
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
    weightsKg: [1, 2],
    floors: [{ where: 'hall', slides: true }],
    things: ['tape', 'wall'],
  },
};

export async function readPlace(db: Register): Promise<Place> {
  return (await findPlace(db)) ?? usualPlace;
}

export type SavePlace = { kind: 'saved' } | { kind: 'rejected'; errors: readonly FieldError[] };

export async function changePlace(db: Register, input: unknown): Promise<SavePlace> {
  const parsed = parse(placeForm, input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  await savePlace(db, parsed.value);
  return { kind: 'saved' };
}

/** Marks the register as the made-up hall. */
export async function beDemo(db: Register): Promise<void> {
  await markAsDemo(db);
}
