import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { protocols } from '../../catalogue/protocols';
import { chairStand30s } from '../../catalogue/protocols/chair-stand-30s/protocol';
import { shippedRules } from '../../catalogue/rules/book';
import { knownOn } from '../intake/known';
import { madeUpIntake } from '../intake/madeUp';
import { emptyCupboard } from '../intake/cupboard';
import { addDays, daysBetween } from '../math/days';
import { readTrial } from '../measure/readTrial';
import type { AttemptView } from '../measure/attempt';
import type { AttemptEvent } from '../shapes/attempt';
import type { IsoDate, Limiter } from '../shapes/facts';
import { daySigns, questionIds, type Entry, type EntryContent, type PersonRecord } from '../shapes/intake';
import { holdsUntil } from './holdsUntil';
import { lineOf, type RegisterLine } from './registerLine';
import { standOn, type Hall } from './personView';

const today = '2026-03-02';
const cupboard = {
  ...emptyCupboard,
  chairs: [{ heightCm: 43, arms: false, stable: true, count: 1 }],
  bars: 1,
  mats: 1,
};
const hall: Hall = {
  place: { name: '', town: '', emergencyNumber: '', units: 'metric', cupboard },
  book: { protocols, version: 'shipped' },
  rules: shippedRules,
};

interface Story {
  readonly birthDate: IsoDate;
  readonly record: PersonRecord;
  readonly attempts: readonly AttemptView[];
  readonly lastClassOn?: IsoDate | null;
}

function stood(on: IsoDate, value: number): AttemptView {
  const event = { kind: 'entered', value, handsUsed: false, seq: 0, atMs: 0, wallMs: 0, by: 'hand' } as AttemptEvent;
  return {
    ...{ clientKey: on, personId: 'p', test: chairStand30s.id, protocolVersion: 1, sittingDate: on, side: null },
    ...{ conditions: { seatHeightCm: 43 }, startedWallMs: 0, receivedAt: on, trial: readTrial(chairStand30s, [event]) },
  };
}
const entryOf = (content: EntryContent, on: IsoDate, n: number): Entry => ({
  ...{ id: `e${n}`, personId: 'p', on, content },
  savedAt: `${on}T08:00:00.${String(n).padStart(3, '0')}Z`,
});

function lineOn({ birthDate, record, attempts, lastClassOn = null }: Story, day: IsoDate) {
  const known = knownOn(record, day, shippedRules.readiness);
  if (!known) throw new Error('nothing known');
  const person = { id: 'p', name: 'Ada Averly', birthDate, normTable: 'female' } as const;
  const records = {
    person,
    archived: false,
    known,
    attempts,
    decided: [],
    classesSince: 0,
    lastClassOn,
    cameBack: null,
  };
  const line = lineOf(standOn(records, hall, day), protocols, [], day);
  return { line, until: holdsUntil(line, records, record, shippedRules, day) };
}

/** From day to day that is worked out anew; what was kept must be true up to the day before each. */
function walk(story: Story, days: number): { readonly turns: number; readonly lines: readonly RegisterLine[] } {
  let turns = 0;
  const lines: RegisterLine[] = [];
  for (let day: IsoDate = today; daysBetween(today, day) < days; turns++) {
    const { line, until } = lineOn(story, day);
    expect(until > day).toBe(true);
    const lastDay = addDays(until, -1);
    expect([lastDay, lineOn(story, lastDay).line]).toEqual([lastDay, line]);
    lines.push(line);
    day = until;
  }
  return { turns, lines };
}

const well = Object.fromEntries(questionIds.map((id) => [id, id === 'active']));
const intakeOf = (on: IsoDate, limiters: readonly Limiter[]) => ({
  ...madeUpIntake({ notedOn: on, limiters }),
  savedAt: `${on}T07:00:00.000Z`,
});
const check = { kind: 'day-check', pulse: null, pressures: [], skippedBecause: null } as const;

const incident = {
  kind: 'incident',
  at: `${today}T10:00:00+00:00`,
  bloodThinners: 'no',
  called: '',
  note: '',
} as const;

describe('a kept line', () => {
  test('says on every day of a year what a fresh one says, of somebody of whom much lapses', () => {
    const contents: [EntryContent, number][] = [
      [{ kind: 'screening', answers: well }, 200],
      [
        {
          kind: 'fall',
          fellOn: addDays(today, -300),
          hurt: true,
          lookedAt: true,
          headStruck: false,
          unexplained: false,
        },
        290,
      ],
      [
        { kind: 'clearance', by: 'Dr A', answer: 'may-with-limits', limits: 'no weights', until: addDays(today, 40) },
        100,
      ],
      [{ kind: 'pain', joint: 'back', side: null, level: 7, since: addDays(today, -30) }, 20],
      [{ kind: 'pain', joint: 'back', side: null, level: 2, since: null }, 3],
      [{ ...check, signs: ['dizzy'] }, 0],
    ];
    const story = {
      birthDate: '1944-02-29',
      record: {
        intakes: [intakeOf(addDays(today, -320), [{ kind: 'hip-replaced', side: 'L', since: addDays(today, -60) }])],
        entries: contents.map(([content, ago], n) => entryOf(content, addDays(today, -ago), n)),
      },
      attempts: [stood(addDays(today, -90), 9), stood(addDays(today, -5), 11)],
      lastClassOn: addDays(today, -10),
    };
    let kept = lineOn(story, today);
    let turns = 0;
    for (let n = 1; n < 366; n++) {
      const day = addDays(today, n);
      const fresh = lineOn(story, day);
      if (day >= kept.until) [kept, turns] = [fresh, turns + 1];
      expect([day, kept.line]).toEqual([day, fresh.line]);
    }
    expect(turns).toBeLessThan(40);
  });

  test('ends with the third week without a class, from which on the level is a step easier', () => {
    const story = {
      birthDate: '1948-05-06',
      record: {
        intakes: [intakeOf(addDays(today, -60), [])],
        entries: [entryOf({ kind: 'screening', answers: well }, addDays(today, -35), 0)],
      },
      attempts: [stood(addDays(today, -20), 12)],
      lastClassOn: addDays(today, -15),
    };
    const { line, until } = lineOn(story, today);
    expect(until).toBe(addDays(today, 6));
    expect(lineOn(story, until).line.waitingCodes).not.toEqual(line.waitingCodes);
  });
  test('ends with the day on which a pain is to be asked about again', () => {
    const pain = (level: number) => ({ kind: 'pain', joint: 'back', side: null, level, since: null }) as const;
    const contents: [EntryContent, number][] = [
      [pain(7), 40],
      [{ kind: 'screening', answers: well }, 35],
      [pain(2), 0],
    ];
    const record = {
      intakes: [intakeOf(addDays(today, -60), [])],
      entries: contents.map(([content, ago], n) => entryOf(content, addDays(today, -ago), n)),
    };
    const story = { birthDate: '1948-05-06', record, attempts: [] };
    const { line, until } = lineOn(story, addDays(today, 14));
    expect([line.state, until]).toEqual(['not-tested', addDays(today, 15)]);
    expect(lineOn(story, until).line.state).toBe('ask-first');
  });
  test('is true up to its last day, whatever was noted and tested', () => {
    const ago = (most: number, soonest = 0) => fc.integer({ min: soonest, max: most }).map((n) => addDays(today, -n));
    const content = fc.oneof(
      fc.record({
        kind: fc.constant('screening' as const),
        answers: fc.constantFrom(well, { ...well, active: false }, { active: true }),
      }),
      fc.record({
        kind: fc.constant('pain' as const),
        joint: fc.constantFrom('back' as const, 'knee' as const),
        side: fc.constant(null),
        level: fc.integer({ min: 0, max: 10 }),
        since: fc.option(ago(500)),
      }),
      fc.record({
        kind: fc.constant('fall' as const),
        fellOn: ago(400),
        hurt: fc.boolean(),
        lookedAt: fc.boolean(),
        headStruck: fc.boolean(),
        unexplained: fc.constant(false),
      }),
      fc.record({
        kind: fc.constant('clearance' as const),
        by: fc.constant('Dr A'),
        answer: fc.constantFrom('may' as const, 'not-now' as const),
        limits: fc.constant(''),
        until: fc.option(fc.integer({ min: -50, max: 300 }).map((n) => addDays(today, n))),
      }),
      fc
        .record({
          head: fc.constantFrom('yes' as const, 'no' as const),
          of: fc.constantFrom('fall' as const, 'pain' as const),
        })
        .map(({ head, of }) => ({ ...incident, head, what: [of] })),
      fc.subarray([...daySigns], { maxLength: 2 }).map((signs) => ({ ...check, signs })),
    );
    const limiter: fc.Arbitrary<Limiter> = fc.record({
      kind: fc.constantFrom(
        'recent-surgery' as const,
        'hip-replaced' as const,
        'knee-replaced' as const,
        'fragile-bone' as const,
      ),
      side: fc.constant('L' as const),
      since: fc.option(ago(500)),
    });
    const story = fc
      .record({
        birthDate: fc.constantFrom('1936-03-03', '1944-02-29', '1950-12-31'),
        intakes: fc.array(fc.tuple(ago(400, -40), fc.array(limiter, { maxLength: 2 })), { minLength: 1, maxLength: 2 }),
        // A clock that was put back leaves days still to come.
        entries: fc.array(fc.tuple(content, ago(400, -40)), { maxLength: 7 }),
        attempts: fc.uniqueArray(ago(500, -40), { maxLength: 3 }),
      })
      .map(({ birthDate, intakes, entries, attempts }): Story => ({
        birthDate,
        record: {
          intakes: intakes
            .map(([on, limiters]) => intakeOf(on, limiters))
            .sort((a, b) => (a.notedOn < b.notedOn ? -1 : 1)),
          entries: entries.map(([of, on], n) => entryOf(of, on, n)).sort((a, b) => (a.on < b.on ? -1 : 1)),
        },
        attempts: attempts.sort().map((on, n) => stood(on, 6 + n)),
      }));
    fc.assert(
      fc.property(story, (one) => {
        const noted = one.record.intakes.some((i) => i.notedOn <= today);
        fc.pre(noted);
        walk(one, 380);
      }),
      { numRuns: 50 },
    );
  });
});
