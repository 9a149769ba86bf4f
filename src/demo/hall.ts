/** The made-up hall. Nobody here lives anywhere; any likeness of a name is chance. */
export const hall = {
  name: 'Tern Quay hall',
  town: 'Lower Averley',
  emergencyNumber: '112',
  units: 'metric',
  cupboard: {
    chairs: [
      { heightCm: 43, arms: false, stable: true, count: 6 },
      { heightCm: 46, arms: true, stable: true, count: 2 },
      { heightCm: 50, arms: true, stable: true, count: 1 },
      { heightCm: 44, arms: false, stable: false, count: 14 },
    ],
    pads: [
      { thickCm: 3, count: 4 },
      { thickCm: 5, count: 2 },
    ],
    bars: 1,
    railPlaces: 4,
    straps: 2,
    wedges: 2,
    bands: 8,
    mats: 5,
    tables: 2,
    weightsKg: [1, 2, 2.3, 3.5],
    raisedSurface: true,
    boxes: [
      { heightCm: 40, count: 2 },
      { heightCm: 20, count: 1 },
    ],
    steps: [
      { heightCm: 10, count: 4 },
      { heightCm: 15, count: 2 },
    ],
    floors: [
      { where: 'hall, sprung wood', slides: true },
      { where: 'side room, rubber', slides: false },
    ],
    walkwayM: 9,
    wallM: 14,
    things: ['tape', 'wall'],
  },
};

export interface DemoTestDay {
  /** Weeks before the start day. */
  readonly weeksAgo: number;
  readonly stands: number;
  /** Clean stands before the hands, where hands were used. */
  readonly cleanBeforeHands?: number;
  readonly seatHeightCm?: number;
  readonly fromPaper?: boolean;
  readonly ends?: 'breaks-off' | 'is-stopped';
  readonly confirmed?: boolean;
  /** Tests that were left out that day. */
  readonly without?: readonly string[];
}

export interface DemoPerson {
  readonly name: string;
  /** Age on the start day, and days since that birthday. */
  readonly age: number;
  readonly birthdayDaysAgo: number;
  readonly normTable: 'female' | 'male' | null;
  readonly heightCm: number | null;
  readonly massKg: number | null;
  /** Fields of the intake that differ from those of somebody well. */
  readonly more?: Readonly<Record<string, unknown>>;
  /** Joint, side, 0 to 10, and days before the start day on which it was asked. */
  readonly pains?: readonly (readonly [joint: string, side: 'L' | 'R' | null, level: number, askedDaysAgo: number])[];
  readonly falls?: readonly { readonly weeksAgo: number; readonly hurt: boolean }[];
  /** Weeks before the start day on which both pages of results were handed out. */
  readonly handedOutWeeksAgo?: number;
  /** Readiness questions answered with yes; those of somebody well are all no but for being active. */
  readonly yes?: readonly string[];
  /** `null` where the questions were never put again after the first testDay. */
  readonly askedAgainWeeksAgo?: null;
  readonly clearance?: {
    readonly weeksAgo: number;
    readonly by: string;
    readonly answer: 'may' | 'may-with-limits';
    readonly limits: string;
    readonly untilInDays: number | null;
  };
  /** Ticked in the check of the start day. */
  readonly signsToday?: readonly string[];
  readonly group?: number;
  /** Turned up at the start day: only the six questions were put. */
  readonly walkIn?: boolean;
  readonly testDays: readonly DemoTestDay[];
}

/** Sittings from the oldest to the newest, each level confirmed but for the last where `open`. */
function every12(stands: readonly number[], lastWeeksAgo: number, open = false): DemoTestDay[] {
  return stands.map((n, i) => ({
    weeksAgo: lastWeeksAgo + 12 * (stands.length - 1 - i),
    stands: n,
    confirmed: !(open && i === stands.length - 1),
  }));
}

/** Those who come together, on the start day of the week and two days later. */
export const groups = [
  { daysOn: 0, time: '10:00' },
  { daysOn: 2, time: '14:30' },
];

export const people: readonly DemoPerson[] = [
  {
    name: 'Odile Brandvoll',
    age: 77,
    birthdayDaysAgo: 120,
    normTable: 'female',
    heightCm: 160,
    massKg: 64,
    more: { classesSoFar: 14, shankCm: 41, kneecapCm: 46, hipBoneCm: 92 },
    pains: [['knee', 'R', 3, 4]],
    group: 0,
    handedOutWeeksAgo: 13,
    testDays: [...every12([7, 8, 8, 9, 9, 10], 13), { weeksAgo: 0.5, stands: 9 }],
  },
  {
    name: 'Tomasz Rekkedal',
    age: 72,
    birthdayDaysAgo: 40,
    normTable: 'male',
    heightCm: 176,
    massKg: 81,
    more: { classesSoFar: 30, heelDownAtTarget: true },
    group: 0,
    testDays: every12([11, 12, 13, 13, 15, 16, 17], 6),
  },
  {
    name: 'Ines Albarrosa',
    age: 84,
    birthdayDaysAgo: 200,
    normTable: 'female',
    heightCm: 154,
    massKg: 58,
    more: { aidOutdoors: 'stick', aidIndoors: 'stick', contact: { name: 'Ruy Albarrosa, son', phone: '555 0143' } },
    falls: [{ weeksAgo: 20, hurt: true }],
    group: 1,
    testDays: every12([6, 6, 5, 6], 9),
  },
  {
    name: 'Bertil Kvarnholm',
    age: 68,
    birthdayDaysAgo: 10,
    normTable: 'male',
    heightCm: 181,
    massKg: 92,
    more: { classesSoFar: 8 },
    group: 0,
    testDays: every12([12, 13, 14], 5, true),
  },
  {
    name: 'Marit Osterlid',
    age: 80,
    birthdayDaysAgo: 12,
    normTable: 'female',
    heightCm: 158,
    massKg: 61,
    more: { classesSoFar: 22 },
    group: 1,
    testDays: [...every12([10, 10, 11, 10, 10], 14), { weeksAgo: 1, stands: 10 }],
  },
  {
    name: 'Signe Tollund',
    age: 71,
    birthdayDaysAgo: 300,
    normTable: 'female',
    heightCm: 166,
    massKg: 70,
    more: { classesSoFar: 40, heelDownAtTarget: true },
    group: 0,
    testDays: every12([9, 10, 14, 14, 15, 15], 6),
  },
  {
    name: 'Adelheid Pomm',
    age: 86,
    birthdayDaysAgo: 77,
    normTable: 'female',
    heightCm: 151,
    massKg: 54,
    signsToday: ['ill'],
    group: 1,
    testDays: every12([7, 6, 6], 11),
  },
  {
    name: 'Ruben Sastry',
    age: 66,
    birthdayDaysAgo: 150,
    normTable: 'male',
    heightCm: 172,
    massKg: 78,
    more: {
      limiters: [
        { kind: 'knee-replaced', side: 'L', sinceWeeksAgo: 10 },
        { kind: 'recent-surgery', sinceWeeksAgo: 10 },
      ],
      clinician: { name: 'Dr Imre Sollund', phone: '555 0117' },
    },
    yes: ['active', 'operation'],
    testDays: every12([14, 13], 22),
  },
  {
    name: 'Hannelore Vint',
    age: 79,
    birthdayDaysAgo: 260,
    normTable: 'female',
    heightCm: 162,
    massKg: 73,
    more: { classesSoFar: 11 },
    pains: [['knee', 'L', 5, 28]],
    group: 0,
    testDays: every12([11, 11, 10, 6], 4),
  },
  {
    name: 'Wiktor Lanz',
    age: 75,
    birthdayDaysAgo: 33,
    normTable: 'male',
    heightCm: 170,
    massKg: 84,
    more: { classesSoFar: 6 },
    testDays: every12([10, 11, 11], 15),
  },
  {
    name: 'Greta Munthal',
    age: 82,
    birthdayDaysAgo: 181,
    normTable: 'female',
    heightCm: 157,
    massKg: 60,
    askedAgainWeeksAgo: null,
    testDays: every12([8, 9, 9, 10], 18),
  },
  {
    name: 'Lise Havgaard',
    age: 74,
    birthdayDaysAgo: 95,
    normTable: 'female',
    heightCm: 164,
    massKg: 66,
    more: { classesSoFar: 9 },
    yes: ['disease'],
    clearance: {
      weeksAgo: 50,
      by: 'Dr Aune Falk',
      answer: 'may-with-limits',
      limits: 'pulse under 130',
      untilInDays: 9,
    },
    group: 0,
    testDays: [...every12([11, 12], 13), { weeksAgo: 0, stands: 6, ends: 'breaks-off' }],
  },
  {
    name: 'Josef Amundi',
    age: 91,
    birthdayDaysAgo: 222,
    normTable: 'male',
    heightCm: 168,
    massKg: 67,
    more: { aidOutdoors: 'stick' },
    testDays: every12([7, 8, 8, 7], 7),
  },
  {
    name: 'Pilar Ennoway',
    age: 63,
    birthdayDaysAgo: 18,
    normTable: 'female',
    heightCm: 169,
    massKg: 75,
    more: { classesSoFar: 50, heelDownAtTarget: true, medicines: 'metformin in the morning', sugarLowering: true },
    yes: ['active', 'disease'],
    group: 0,
    testDays: every12([15, 17, 18, 20, 21, 22], 2),
  },
  {
    name: 'Kees Oudraad',
    age: 78,
    birthdayDaysAgo: 8,
    normTable: 'male',
    heightCm: 174,
    massKg: 88,
    more: {
      limiters: [
        {
          kind: 'hip-replaced',
          side: 'R',
          limitsLifted: true,
          by: 'Dr Imre Sollund',
          limits: 'none left',
          writtenOn: '2025-05-14',
        },
      ],
      classesSoFar: 16,
    },
    group: 1,
    testDays: every12([6, 10, 10, 11], 8),
  },
  {
    name: 'Yvonne Caddick',
    age: 69,
    birthdayDaysAgo: 142,
    normTable: null,
    heightCm: 165,
    massKg: 69,
    more: { classesSoFar: 12 },
    testDays: every12([12, 12, 13], 10),
  },
  {
    name: 'Sol Merrivale',
    age: 76,
    birthdayDaysAgo: 60,
    normTable: null,
    heightCm: 167,
    massKg: 72,
    testDays: every12([9, 12], 11),
  },
  {
    name: 'Agnes Tverrå',
    age: 88,
    birthdayDaysAgo: 170,
    normTable: 'female',
    heightCm: 149,
    massKg: 50,
    more: { aidOutdoors: 'walker', aidIndoors: 'walker' },
    falls: [
      { weeksAgo: 40, hurt: false },
      { weeksAgo: 25, hurt: false },
    ],
    testDays: [
      { weeksAgo: 30, stands: 3, cleanBeforeHands: 0, confirmed: true },
      { weeksAgo: 18, stands: 4, cleanBeforeHands: 0, confirmed: true },
      { weeksAgo: 6, stands: 5, cleanBeforeHands: 1, confirmed: true },
    ],
  },
  {
    name: 'Dov Hallström',
    age: 70,
    birthdayDaysAgo: 6,
    normTable: 'male',
    heightCm: 179,
    massKg: 86,
    more: { classesSoFar: 20 },
    pains: [['back', null, 4, 2]],
    group: 0,
    testDays: every12([13, 14, 15, 13], 7),
  },
  {
    name: 'Renske Poldervaart',
    age: 73,
    birthdayDaysAgo: 244,
    normTable: 'female',
    heightCm: 171,
    massKg: 77,
    more: { classesSoFar: 4 },
    testDays: [
      { weeksAgo: 26, stands: 10, seatHeightCm: 43, confirmed: true },
      { weeksAgo: 9, stands: 15, seatHeightCm: 50, confirmed: true },
    ],
  },
  {
    name: 'Emeka Doyle',
    age: 65,
    birthdayDaysAgo: 111,
    normTable: 'male',
    heightCm: 183,
    massKg: 95,
    testDays: [{ weeksAgo: 5, stands: 12, fromPaper: true }],
  },
  {
    name: 'Thora Linnevik',
    age: 93,
    birthdayDaysAgo: 320,
    normTable: 'female',
    heightCm: 152,
    massKg: 52,
    more: { limiters: [{ kind: 'fragile-bone' }], aidOutdoors: 'stick' },
    testDays: [
      ...every12([6, 5], 16),
      { weeksAgo: 4, stands: 3, ends: 'is-stopped' },
      { weeksAgo: 3.9, stands: 5, confirmed: true },
    ],
  },
  { name: 'Casper Oyelaran', age: 61, birthdayDaysAgo: 25, normTable: 'male', heightCm: 178, massKg: 83, testDays: [] },
  {
    name: 'Maud Jessop',
    age: 81,
    birthdayDaysAgo: 190,
    normTable: 'female',
    heightCm: null,
    massKg: null,
    walkIn: true,
    testDays: [],
  },
];
