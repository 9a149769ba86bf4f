import type { Limiter } from '../../../core/shapes/facts';
import type { PersonForm } from '../../../schemas/person';
import { aidWords, dayWords, limiterLine, placeWords, tableWords } from '../../words';

const titles: Readonly<Record<keyof PersonForm, string>> = {
  name: 'name',
  birthDate: 'birth date',
  normTable: 'norm table',
  heightCm: 'height, cm',
  massKg: 'mass, kg',
  shankCm: 'shank, cm',
  kneecapCm: 'kneecap, cm',
  hipBoneCm: 'hip bone, cm',
  seatHeightCm: 'seat, cm',
  pains: 'what hurts',
  falls: 'falls',
  withdrawn: 'falls taken back',
  limiters: 'what to mind',
  aidOutdoors: 'walking aid outdoors',
  aidIndoors: 'walking aid indoors',
  sitsUnsupported: 'sits without a back or arms',
  heelDownAtTarget: 'heels seen down in a squat',
  followsTask: 'follows a shown task',
  aloneAtHome: 'nobody at home while they train',
  armsFree: 'both arms free to hold on',
  classesSoFar: 'classes so far',
  medicines: 'medicines',
  bloodThinners: 'thins the blood',
  sugarLowering: 'lowers sugar',
  contact: 'contact',
  clinician: 'clinician',
  toComplete: 'to complete',
};

/** What a clash is about. */
export function clashTitle([name = '', part]: readonly string[]): string {
  const title = titles[name as keyof PersonForm];
  return part === 'name' || part === 'phone' ? `${title}, ${part}` : title;
}

/** One side of a clash as it would be read out. */
export function clashWords(value: unknown, [name]: readonly string[]): string {
  if (value === undefined) return 'taken out';
  if (value === null || value === '') return name === 'normTable' ? tableWords(null) : 'left empty';
  if (value === true) return 'yes';
  if (value === false) return 'no';
  if (name === 'pains') {
    const { joint, side, level } = value as PersonForm['pains'][number];
    return `${placeWords(joint, side)} ${level} of 10`;
  }
  if (name === 'limiters') {
    const { since, limits, by, limitsLifted } = value as Limiter;
    return [
      limiterLine(value as Limiter),
      since ? `since ${dayWords(since)}` : '',
      limitsLifted ? 'limits lifted' : '',
      limits ?? '',
      by ? `by ${by}` : '',
    ]
      .filter((w) => w !== '')
      .join(', ');
  }
  if (name === 'birthDate' && typeof value === 'string') return dayWords(value);
  if (name === 'normTable') return tableWords(value as PersonForm['normTable']);
  if (name === 'aidIndoors' || name === 'aidOutdoors') return aidWords[value as PersonForm['aidIndoors']];
  return typeof value === 'string' || typeof value === 'number' ? `${value}` : JSON.stringify(value);
}
