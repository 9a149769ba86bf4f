import { deviceKindOf, type DeviceKind } from '../core/shapes/device';
import { format, parseISO } from 'date-fns';
import { amount } from '../core/math/amount';
import type { StopReason } from '../core/shapes/attempt';
import type { Limiter, LimiterKind, WalkingAid } from '../core/shapes/facts';
import type { ConsentTo, IncidentKind, Noticed, IntakeSection, Joint } from '../core/shapes/intake';
import type { UnitSystem } from '../core/shapes/person';
import type { NormTable } from '../core/shapes/norms';
import { scoredValue } from '../core/score/scoreResult';
import type { Protocol } from '../core/shapes/protocol';
import { protocolById } from '../catalogue/protocols';
import type { RegisterLine } from '../core/view/registerLine';

/** `2 Mar 2026` */
export const dayWords = (day: string): string => format(parseISO(day), 'd MMM yyyy');
/** `2 Mar` */
export const shortDay = (day: string): string => format(parseISO(day), 'd MMM');
/** `Mar 2026` */
export const monthYear = (day: string): string => format(parseISO(day), 'MMM yyyy');
/** `Monday, 2 March` */
export const longDay = (day: string): string => format(parseISO(day), 'EEEE, d MMMM');

export const tableWords = (sex: NormTable): string =>
  sex === 'female' ? 'women' : sex === 'male' ? 'men' : 'norm table open';

export const rowWords = (row: { sex: 'female' | 'male' | 'both'; ageLow: number; ageHigh: number }): string =>
  `${row.sex === 'both' ? 'people' : tableWords(row.sex)} ${row.ageLow}–${row.ageHigh}`;

export const limiterWords: Readonly<Record<LimiterKind, string>> = {
  'knee-pain': 'knee sore',
  'hip-pain': 'hip sore',
  'back-pain': 'back sore',
  'ankle-pain': 'ankle sore',
  'shoulder-pain': 'shoulder sore',
  'knee-replaced': 'knee replaced',
  'hip-replaced': 'hip replaced',
  'fragile-bone': 'fragile bone',
  'spine-fracture': 'spine fracture',
  dizziness: 'dizziness, known',
  'numb-feet': 'numb feet',
  'cannot-lie': 'cannot lie down',
  'cannot-kneel': 'cannot kneel',
  'head-low': 'head must not be low',
  neurological: 'Parkinson’s, stroke, MS or similar',
  'recent-surgery': 'surgery in the last 12 weeks',
  'height-lost': 'height lost',
  'poor-sight': 'does not see well',
  hearing: 'does not hear well',
  lungs: 'lungs, oxygen or an inhaler',
  'lost-limb': 'a lost limb, or a brace',
  'blood-thinner': 'takes a blood thinner',
  other: 'something else',
};

export const isPain = (kind: LimiterKind): boolean => kind.endsWith('-pain');

export function limiterLine({ kind, pain, side, unasked, text = '' }: Limiter): string {
  if (kind === 'other' && text !== '') return text;
  if (unasked) return `${limiterWords[kind]}?`;
  return `${sideWords(side ?? null)}${limiterWords[kind]}${isPain(kind) && pain != null ? ` ${pain}/10` : ''}`;
}

/** `seat-2` as it is said. */
export const deviceName = (id: string): string =>
  `${deviceWords[deviceKindOf(id) ?? 'seat']} ${id.slice(id.indexOf('-') + 1)}`;
const deviceWords: Readonly<Record<DeviceKind, string>> = { seat: 'seat switch', steps: 'step counter' };

export const aidWords: Readonly<Record<WalkingAid, string>> = { none: 'none', stick: 'a stick', walker: 'a walker' };

/** A result as the lists say it: hands used prints "12 with hands", never 0. */
export function newestWords(newest: RegisterLine['newest']): string {
  const protocol = newest && protocolById(newest.test);
  if (!protocol || newest.value === null) return '–';
  return newest.handsUsed ? `${newest.value} with hands` : valueWords(protocol, newest.value);
}

/** A figure with no more digits than its measure has: a tape is read to a tenth, a watch to a hundredth at most. */
export const told = (figure: number, unit: string): number =>
  Number(figure.toFixed(unit === 'cm' || unit === 'in' ? 1 : 2));

/** A result with its unit, a walk with its speed: `9 stands`, `7.4 s`, `4.6 s (0.87 m/s)`. */
export function valueWords(protocol: Protocol, value: number): string {
  const words = amount(told(value, protocol.unit), protocol.unit);
  return protocol.speedOverM === undefined ? words : `${words} (${scoredValue(protocol, value).toFixed(2)} m/s)`;
}

export const signed = (by: number): string => (by > 0 ? `+${by}` : by < 0 ? `−${-by}` : '0');

/** Last third against the first third of the stands. */
export function slowingWords(slowing: number | null): string {
  if (slowing === null) return 'under six stands, not told';
  const percent = Math.round((slowing - 1) * 100);
  return percent > 5
    ? `last third ${percent} % slower`
    : percent < -5
      ? `last third ${-percent} % faster`
      : 'even to the end';
}

export const jointWords: Readonly<Record<Joint, string>> = {
  neck: 'neck',
  shoulder: 'shoulder',
  elbow: 'elbow',
  hand: 'hand or wrist',
  back: 'back',
  hip: 'hip',
  knee: 'knee',
  ankle: 'ankle or foot',
};

export const unitWords: Readonly<Record<UnitSystem, string>> = { metric: 'cm and kg', us: 'feet, inches, pounds' };

export const consentWords: Readonly<Record<ConsentTo, string>> = {
  tests: 'being tested and trained here',
  notes: 'notes of health kept here',
  letter: 'a letter to a licensed professional',
};

const sideWords = (side: 'L' | 'R' | null): string => (side === 'L' ? 'left ' : side === 'R' ? 'right ' : '');

/** `right knee` */
export const placeWords = (joint: Joint, side: 'L' | 'R' | null): string => `${sideWords(side)}${jointWords[joint]}`;

export const sectionWords: Readonly<Record<IntakeSection, string>> = {
  'birth-date': 'birth date',
  body: 'height and mass',
  bones: 'bones',
  nerves: 'sight, dizziness, feet and nerves',
  floor: 'lying and kneeling',
  aids: 'walking aid',
  contacts: 'contact and clinician',
};

export const weekdays = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

/** `Tuesday 10:00`, as far as it was said. */
export const groupTimeWords = (weekday: number, time: string): string =>
  [weekdays[weekday - 1] ?? '', time].filter((w) => w !== '').join(' ');

export const incidentWords: Readonly<Record<IncidentKind, string>> = {
  fall: 'a fall',
  chest: 'chest pain',
  faint: 'faint',
  dizzy: 'dizzy',
  pain: 'pain',
  unwell: 'unwell',
  other: 'something else',
};

/** What is wished for, or was seen, and offers a movement beside the four. */
export const noticedWords: Readonly<Record<Noticed, string>> = {
  stairs: 'wishes for stairs',
  'wide-stance': 'wishes for the wide stance',
  'heel-up-twice': 'a heel came up in two classes',
  'back-thigh-tight': 'the front of the back thigh is tight',
};

/** Why a test was stopped. */
export const stopReasonWords: Readonly<Record<StopReason, string>> = {
  'asked-to': 'Asked to stop',
  unwell: 'Unwell',
  pain: 'Pain',
  unsteady: 'Unsteady',
  form: 'Form lost',
  other: 'Something else',
};
