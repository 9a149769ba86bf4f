import type { Intake } from '../shapes/intake';

/** What the made-up people of the tests told at their intake, where a test does not say otherwise. */
export const madeUpIntake = (more: Partial<Intake> = {}): Intake => ({
  notedOn: '2025-01-01',
  heightCm: 160,
  massKg: 64,
  shankCm: null,
  kneecapCm: null,
  hipBoneCm: null,
  seatHeightCm: 43,
  limiters: [],
  aidOutdoors: 'none',
  aidIndoors: 'none',
  sitsUnsupported: true,
  heelDownAtTarget: false,
  followsTask: true,
  armsFree: true,
  aloneAtHome: false,
  classesSoFar: 5,
  medicines: '',
  bloodThinners: false,
  sugarLowering: false,
  contact: { name: '', phone: '' },
  clinician: { name: '', phone: '' },
  toComplete: [],
  ...more,
});
