import type { ClassLogContent } from '../core/shapes/classLog';
import type { Pattern } from '../core/shapes/facts';
import type { DemoPerson } from './hall';

/** Two groups with eight weeks of classes behind them: nobody of them lives anywhere; any likeness of a name is chance. */
export interface TrainedGroup {
  /** Days after the start day’s weekday; a class on each, every week. */
  readonly daysOn: readonly number[];
  readonly time: string;
  readonly leader: string;
  /** The oldest class first. */
  readonly templates: readonly string[];
  readonly people: readonly DemoPerson[];
}

const someone = (
  name: string,
  age: number,
  normTable: 'female' | 'male',
  stands: number,
  classesSoFar: number,
  more: Partial<DemoPerson> = {},
): DemoPerson => ({
  ...{ name, age, birthdayDaysAgo: 37 + age, normTable, heightCm: normTable === 'male' ? 175 : 162 },
  ...{ massKg: normTable === 'male' ? 79 : 66, more: { classesSoFar }, askedAgainWeeksAgo: null },
  ...{ testDays: [{ weeksAgo: 9.5, stands, confirmed: true }] },
  ...more,
});

export const trainedGroups: readonly TrainedGroup[] = [
  {
    ...{ daysOn: [1], time: '09:30', leader: 'Kaja Brenn' },
    templates: ['first-timers', 'first-timers', 'intervals', 'chain', 'intervals', 'chain', 'intervals', 'chain'],
    people: [
      someone('Alma Fennick', 74, 'female', 9, 0),
      someone('Boris Tallow', 81, 'male', 8, 0),
      someone('Carys Windle', 69, 'female', 12, 0),
      someone('Desmond Okell', 77, 'male', 10, 0),
      someone('Edda Marlow', 84, 'female', 7, 0),
      someone('Fergus Lind', 72, 'male', 11, 0),
    ],
  },
  {
    ...{ daysOn: [1, 4], time: '15:00', leader: 'Ivo Haldane' },
    templates: Array.from({ length: 16 }, (_, nth) => (nth === 4 ? 'chain' : 'intervals')),
    people: [
      someone('Gerda Paxton', 70, 'female', 12, 20),
      someone('Hamish Orrel', 76, 'male', 14, 31),
      someone('Ilse Ravnborg', 79, 'female', 13, 18, { pains: [['knee', 'L', 3, 60]] }),
      someone('Jonas Keppel', 83, 'male', 10, 26),
      someone('Katya Sommerby', 67, 'female', 16, 24, {
        testDays: [{ weeksAgo: 9.5, stands: 16, confirmed: true, without: ['one-leg'] }],
      }),
      someone('Leopold Finch', 80, 'male', 11, 22),
    ],
  },
];

/** What was different: in which class of their group, from 0, with whom. */
export const different: readonly (readonly [nth: number, name: string, content: ClassLogContent])[] = [
  ...[2, 3].map((nth) => [nth, 'Boris Tallow', { kind: 'fewer', pattern: 'H', half: 'more' }] as const),
  ...[4, 5].map((nth) => [nth, 'Edda Marlow', { kind: 'stop', pattern: 'L', why: 'form', set: 'first' }] as const),
  ...[3, 4].map((nth) => [nth, 'Fergus Lind', { kind: 'effort', pattern: 'S', value: 7 }] as const),
  [3, 'Desmond Okell', { kind: 'absent' }],
  [5, 'Alma Fennick', { kind: 'form', pattern: 'H', check: 'back-round', putRight: true }],
  [12, 'Jonas Keppel', { kind: 'pain', pattern: 'S', joint: 'knee', side: 'R', level: 3, sharp: false }],
  ...[4, 5, 6, 7, 8, 9].map((nth) => [nth, 'Leopold Finch', { kind: 'absent' }] as const),
  [12, 'Ilse Ravnborg', { kind: 'next-day', worse: true, joint: 'knee', side: 'L' }],
];

/** Of whom nobody looked at a pattern, in one class or in all. */
export const unseen: readonly (readonly [name: string, pattern: Pattern, nth?: number])[] = [
  ['Gerda Paxton', 'B'],
  ['Gerda Paxton', 'L', 11],
  ['Desmond Okell', 'L'],
  ['Boris Tallow', 'L', 5],
  ['Carys Windle', 'L', 5],
  ['Alma Fennick', 'L', 6],
];
