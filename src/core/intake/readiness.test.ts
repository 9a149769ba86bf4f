import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { readinessRules as rules } from '../../catalogue/readiness/readiness';
import { addDays } from '../math/days';
import { limiterKinds, readinessOutcomes, type Limiter } from '../shapes/facts';
import {
  daySigns,
  joints,
  questionIds,
  symptomIds,
  type Entry,
  type EntryContent,
  type Intake,
  type QuestionId,
} from '../shapes/intake';
import { askFirstKindIn } from './facts';
import { daysLeft, knownOn, painsToAsk } from './known';
import { madeUpIntake } from './madeUp';
import { checksThatStay, newerThanAnswer } from './readiness';
import { branchOf } from './screening';

const day = '2026-03-02';
let count = 0;
const entry = (content: EntryContent, on = day): Entry => ({
  id: `e${count++}`,
  personId: 'p',
  on,
  savedAt: `${on}T08:00:00.${String(count % 1000).padStart(3, '0')}Z`,
  content,
});
const answers = (...yes: QuestionId[]) => Object.fromEntries(questionIds.map((id) => [id, yes.includes(id)]));
const screening = (yes: QuestionId[] = ['active'], on = day) =>
  entry({ kind: 'screening', answers: answers(...yes) }, on);
const known = (entries: Entry[], of: Intake = madeUpIntake(), on = day) => {
  const found = knownOn({ intakes: [{ ...of, savedAt: `${of.notedOn}T00:00:00.000Z` }], entries }, on, rules);
  if (!found) throw new Error('nothing known');
  return found;
};
const outcome = (entries: Entry[], of?: Intake, on?: string) => known(entries, of, on).readiness.outcome;
const fall = (more: object = {}, fellOn = '2026-02-01', on = fellOn) =>
  entry({ kind: 'fall', fellOn, hurt: false, lookedAt: true, headStruck: false, unexplained: false, ...more }, on);
const check = (more: object = {}, on = day) =>
  entry({ kind: 'day-check', signs: [], pulse: null, pressures: [], skippedBecause: null, ...more }, on);
const cleared = (more: object = {}, on = day) =>
  entry({ kind: 'clearance', by: 'Dr Imre Sollund', answer: 'may', limits: '', until: null, ...more }, on);

describe('the published screening logic, branch by branch (Riebe et al. 2015, Med Sci Sports Exerc 47:2473-2479, from memory)', () => {
  test.each([
    [{ active: false, disease: false, symptoms: false }, 'inactive, no disease', 'ready'],
    [{ active: false, disease: true, symptoms: false }, 'inactive, known disease', 'ask-first'],
    [{ active: false, disease: false, symptoms: true }, 'symptoms', 'ask-first'],
    [{ active: false, disease: true, symptoms: true }, 'symptoms', 'ask-first'],
    [{ active: true, disease: false, symptoms: false }, 'active, no disease', 'ready'],
    [{ active: true, disease: true, symptoms: false }, 'active, known disease', 'ready'],
    [{ active: true, disease: false, symptoms: true }, 'symptoms', 'ask-first'],
    [{ active: true, disease: true, symptoms: true }, 'symptoms', 'ask-first'],
  ] as const)('%j is %s: %s', (said, branch, wanted) => {
    expect(branchOf(said)).toBe(branch);
    const all = { ...answers(), ...said };
    expect(outcome([entry({ kind: 'screening', answers: all })])).toBe(wanted);
  });
  test.each([...symptomIds, 'symptoms'] as const)('%s alone is a symptom, and says which', (id) => {
    const { readiness } = known([entry({ kind: 'screening', answers: { ...answers('active'), [id]: true } })]);
    expect(branchOf({ active: true, [id]: true })).toBe('symptoms');
    expect(readiness.reasons.map((r) => [r.id, r.text])).toEqual([
      [id, [...rules.questions, rules.symptomsAtOnce].find((q) => q.id === id)?.why],
    ]);
    expect(askFirstKindIn(readiness.reasons)).toBe('symptoms');
  });
  test('inactive without disease: light to moderate; active with disease: moderate until asked', () => {
    expect(known([screening([])]).readiness.limits.join()).toMatch(/light to moderate/);
    expect(known([screening(['active', 'disease'])]).readiness.limits.join()).toMatch(/Moderate effort only/);
    expect(known([screening(['active'])]).readiness.limits).toEqual([]);
  });
});

describe('ask first (common practice, no published source)', () => {
  test.each([
    ['uncontrolled', 'symptoms'],
    ['told', 'symptoms'],
    ['operation', 'operation'],
    ['changed', 'symptoms'],
    ['wasting', 'symptoms'],
  ] as const)('%s asks as for %s', (id, kind) => {
    const { readiness } = known([screening(['active', id])]);
    expect([readiness.outcome, askFirstKindIn(readiness.reasons)]).toEqual(['ask-first', kind]);
  });
  test('a known disease and not active asks as for a disease; of several the strictest', () => {
    expect(askFirstKindIn(known([screening(['disease'])]).readiness.reasons)).toBe('disease');
    expect(askFirstKindIn(known([screening(['disease', 'operation'])]).readiness.reasons)).toBe('operation');
    expect(askFirstKindIn(known([screening(['disease', 'operation', 'racing'])]).readiness.reasons)).toBe('symptoms');
  });
  test.each<[string, Limiter, string]>([
    [
      'a joint replaced 60 days ago',
      { kind: 'knee-replaced', since: addDays(day, -60), limits: 'bend 90' },
      'ask-first',
    ],
    ['replaced long ago, limits known', { kind: 'knee-replaced', since: '2015-05-05', limits: 'bend 90' }, 'ready'],
    ['replaced over a year ago, nobody set limits', { kind: 'hip-replaced', since: '2015-05-05' }, 'ready'],
    ['replaced 365 days ago', { kind: 'hip-replaced', since: addDays(day, -365) }, 'ask-first'],
    ['replaced 366 days ago', { kind: 'hip-replaced', since: addDays(day, -366) }, 'ready'],
    ['replaced, nobody knows when', { kind: 'hip-replaced' }, 'ask-first'],
    ['limits lifted in writing', { kind: 'hip-replaced', limitsLifted: true }, 'ready'],
    ['surgery 84 days ago', { kind: 'recent-surgery', since: addDays(day, -84) }, 'ask-first'],
    ['surgery 85 days ago', { kind: 'recent-surgery', since: addDays(day, -85) }, 'ready'],
    ['an eye 28 days ago', { kind: 'recent-surgery', since: addDays(day, -28), ofTheEye: true }, 'ask-first'],
    ['an eye 29 days ago', { kind: 'recent-surgery', since: addDays(day, -29), ofTheEye: true }, 'ready'],
    ['a spine fracture, the back does not hurt', { kind: 'spine-fracture' }, 'ready-with-care'],
    ['height lost, the back does not hurt', { kind: 'height-lost' }, 'ready-with-care'],
    ['fragile bone, nothing hurts', { kind: 'fragile-bone' }, 'ready'],
  ])('%s', (_words, limiter, wanted) => {
    expect(outcome([screening()], madeUpIntake({ limiters: [limiter] }))).toBe(wanted);
  });
  test.each(['fragile-bone', 'spine-fracture', 'height-lost'] as const)('%s and a back that hurts', (kind) => {
    const back = entry({ kind: 'pain', joint: 'back', side: null, level: 2, since: null }, addDays(day, -1));
    expect(outcome([back, screening()], madeUpIntake({ limiters: [{ kind }] }))).toBe('ask-first');
  });
  test('back pain of 6 for six weeks or less, or nobody knows since when, asks as a fracture would; older or milder does not', () => {
    const at = (level: number, since: string | null) =>
      known([entry({ kind: 'pain', joint: 'back', side: null, level, since }, addDays(day, -1)), screening()])
        .readiness;
    expect(at(6, addDays(day, -42))).toMatchObject({ outcome: 'ask-first', reasons: [{ askFirst: 'operation' }] });
    expect([at(6, null).outcome, at(6, addDays(day, -43)).outcome, at(5, null).outcome]).toEqual([
      ...['ask-first', 'ready', 'ready'],
    ]);
  });
  test.each([
    [{ headStruck: true }, 'ask-first'],
    [{ unexplained: true }, 'ask-first'],
    [{ hurt: true, lookedAt: false }, 'ask-first'],
    [{ hurt: true, lookedAt: true }, 'ready-with-care'],
    [{}, 'ready'],
  ])('a fall that was %j, questions put after it: %s', (more, wanted) => {
    expect(outcome([fall(more), screening()])).toBe(wanted);
  });
  test('two falls in twelve months are ready with care, and nothing waits for a letter', () => {
    expect(outcome([fall(), fall({}, '2025-06-01'), screening()])).toBe('ready-with-care');
    expect(outcome([fall(), fall({}, '2025-03-01'), screening()])).toBe('ready');
  });
});

describe('what a professional answered', () => {
  const asks = () => screening(['active', 'operation'], addDays(day, -10));
  test('may: nothing waits; with limits: ready with care, and the limits are said; not for now: still asked', () => {
    expect(outcome([asks(), cleared()])).toBe('ready');
    const limited = known([asks(), cleared({ answer: 'may-with-limits', limits: 'pulse under 130' })]).readiness;
    expect([limited.outcome, limited.limits.join()]).toEqual(['ready-with-care', 'pulse under 130 (Dr Imre Sollund)']);
    expect(outcome([asks(), cleared({ answer: 'not-now' })])).toBe('ask-first');
  });
  test('an answer from before says nothing of what came after it', () => {
    expect(outcome([cleared({}, addDays(day, -20)), asks()])).toBe('ask-first');
    expect(outcome([asks(), cleared(), fall({ headStruck: true }, day), screening(['active', 'operation'])])).toBe(
      'ask-first',
    );
  });
  test('the same yes put again a year on is still answered, until the answer lapses', () => {
    const first = screening(['disease'], addDays(day, -300));
    const letter = cleared({ until: addDays(day, 3) }, addDays(day, -299));
    expect(outcome([first, letter, screening(['disease'])])).toBe('ready');
    expect(outcome([first, letter, screening(['disease'])], undefined, addDays(day, 4))).toBe('ask-first');
  });
  test('of before what happened it does not speak of it, whenever it was noted; of before it was asked here it does', () => {
    const fell = () => [fall({ headStruck: true }, '2026-02-20', addDays(day, -3)), screening()];
    const letter = (answeredOn: string) => cleared({ answeredOn });
    expect(outcome([...fell(), letter('2026-02-19')])).toBe('ask-first');
    expect(outcome([...fell(), letter('2026-02-20')])).toBe('ready');
    const { readiness } = known(fell());
    expect(newerThanAnswer(readiness, '2026-02-19')).toMatchObject({ text: 'a fall: the head was struck' });
    expect([
      newerThanAnswer(readiness, '2026-02-20'),
      newerThanAnswer(known([screening()]).readiness, '2020-01-01'),
    ]).toEqual([null, null]);
    expect(outcome([asks(), letter('2025-12-24')])).toBe('ready');
    expect(newerThanAnswer(known([...fell(), screening(['wasting'])]).readiness, '2026-02-19')).toBeNull();
  });
  test('it settles no "not today"', () => {
    expect(outcome([screening(), check({ signs: ['chest'] }), cleared()])).toBe('not-today');
  });
});

describe('the questions lapse', () => {
  const asked = (entries: Entry[], on?: string) => known(entries, undefined, on).readiness.asked;
  test('never put, put, over a year ago', () => {
    expect([asked([]), asked([screening()])]).toEqual(['never', 'current']);
    const put = screening(['active'], '2025-03-02');
    expect(asked([put], addDays('2025-03-02', 365))).toBe('current');
    expect(asked([put], addDays('2025-03-02', 366))).toBe('lapsed');
    expect(outcome([put], undefined, addDays('2025-03-02', 366))).toBe('ask-first');
    expect(daysLeft(known([put], undefined, addDays('2025-03-02', 360)), addDays('2025-03-02', 360))).toBe(6);
  });
  test('put in the words from before, or only the six of a walk-in, they hold no longer than their day, and it says why', () => {
    const earlier = ['active', 'disease', 'symptoms', 'uncontrolled', 'operation', 'changed', 'wasting'] as const;
    const put = (ids: readonly QuestionId[]) =>
      entry({ kind: 'screening', answers: Object.fromEntries(ids.map((id) => [id, id === 'active'])) });
    const next = (ids: readonly QuestionId[]) => known([put(ids)], undefined, addDays(day, 1)).readiness;
    expect(asked([put(earlier)])).toBe('current');
    expect(next(earlier)).toMatchObject({ asked: 'lapsed', outcome: 'ask-first' });
    expect(next(earlier).reasons[0]?.text).toContain('Questions were added');
    expect(next(['active', 'disease', 'symptoms', 'operation']).reasons[0]?.text).toContain('six questions');
  });
  const pain = (level: number, on: string) => entry({ kind: 'pain', joint: 'knee', side: 'L', level, since: null }, on);
  const put = () => screening(['active'], addDays(day, -30));
  test.each<[string, () => Entry, string]>([
    ['a fall', () => fall({}, addDays(day, -2)), 'lapsed'],
    ['new pain 5', () => pain(5, addDays(day, -2)), 'lapsed'],
    ['new pain 4', () => pain(4, addDays(day, -2)), 'current'],
    [
      'an incident',
      () =>
        entry(
          { kind: 'incident', at: '', what: ['dizzy'], head: 'no', bloodThinners: 'no', called: '', note: '' },
          addDays(day, -2),
        ),
      'lapsed',
    ],
  ])('%s after them: %s', (_what, happened, wanted) => {
    expect(asked([put(), happened()])).toBe(wanted);
    expect(asked([put(), happened(), screening()])).toBe('current');
  });
  test('pain that was strong before is nothing new', () => {
    expect(asked([pain(6, addDays(day, -40)), put(), pain(7, addDays(day, -2))])).toBe('current');
  });
  test('surgery after them', () => {
    const of = madeUpIntake({ limiters: [{ kind: 'recent-surgery', since: addDays(day, -5) }] });
    expect(known([put()], of).readiness.asked).toBe('lapsed');
  });
  test('the six questions of a walk-in hold for their day', () => {
    const six = entry({
      kind: 'screening',
      answers: { symptoms: false, disease: false, active: true, operation: false },
    });
    expect([asked([six]), asked([six], addDays(day, 1))]).toEqual(['current', 'lapsed']);
  });
});

describe('the check of the day', () => {
  const careful: readonly string[] = ['tablets', 'hot-joint', 'worse', 'shoes'];
  test.each(daySigns)(
    '%s is not today; new tablets, a hot joint, worse than usual and shoes only need care',
    (sign) => {
      expect(outcome([screening(), check({ signs: [sign] })])).toBe(
        careful.includes(sign) ? 'ready-with-care' : 'not-today',
      );
    },
  );
  test.each([
    [39, 'not-today'],
    [40, 'ready'],
    [99, 'ready'],
    [100, 'ready-with-care'],
    [120, 'ready-with-care'],
    [121, 'not-today'],
  ])('resting pulse %i: %s (ATS 2002, Am J Respir Crit Care Med 166:111-117, from memory)', (pulse, wanted) => {
    expect(outcome([screening(), check({ pulse })])).toBe(wanted);
  });
  test.each([
    [159, 99, 'ready', ''],
    [160, 80, 'not-today', 'this week'],
    [130, 100, 'not-today', 'this week'],
    [180, 90, 'not-today', 'Call their own doctor today'],
    [150, 110, 'not-today', 'Call their own doctor today'],
  ])('second reading %i/%i: %s %s', (systolic, diastolic, wanted, nextStep) => {
    const first = { systolic: 170, diastolic: 95 };
    const { readiness } = known([screening(), check({ pressures: [first, { systolic, diastolic }] })]);
    expect(readiness.outcome).toBe(wanted);
    if (nextStep !== '') expect(readiness.reasons[0]?.nextStep).toContain(nextStep);
  });
  test('dizziness raises the lower limits: pulse under 50, upper pressure under 100 (common practice, no published source)', () => {
    const dizzy = madeUpIntake({ limiters: [{ kind: 'dizziness' }] });
    const at = (more: object, of?: Intake) => outcome([screening(), check(more)], of);
    const upper = (systolic: number) => ({ pressures: [{ systolic, diastolic: 60 }] });
    expect([at({ pulse: 49 }), at({ pulse: 49 }, dizzy), at({ pulse: 50 }, dizzy)]).toEqual([
      'ready',
      'not-today',
      'ready',
    ]);
    expect([at(upper(89)), at(upper(90)), at(upper(99), dizzy), at(upper(100), dizzy)]).toEqual([
      ...['not-today', 'ready', 'not-today', 'ready'],
    ]);
  });
  test('one high reading waits five minutes for the second', () => {
    const { reasons } = known([screening(), check({ pressures: [{ systolic: 165, diastolic: 90 }] })]).readiness;
    expect(reasons[0]?.nextStep).toBe('Sit five minutes, then read again.');
  });
  test('a later check of the same day counts; fever is over the next day, chest pain is asked about', () => {
    expect(outcome([screening(), check({ signs: ['no-food'] }), check()])).toBe('ready');
    expect(outcome([screening(), check({ signs: ['ill'] })], undefined, addDays(day, 1))).toBe('ready');
    expect(outcome([screening(), check({ signs: ['chest'] })], undefined, addDays(day, 1))).toBe('ask-first');
  });
  test('a sign that asks for help stays for the day whatever a later check says; taken back as a mistake it is gone', () => {
    const chest = check({ signs: ['chest'] });
    expect(outcome([screening(), chest, check()])).toBe('not-today');
    expect(checksThatStay([chest, check({ signs: ['ill'] })], day, rules)).toEqual([
      { entryId: chest.id, why: 'chest pain or pressure' },
    ]);
    const back = entry({ kind: 'withdrawn', entryId: chest.id, reason: 'the wrong line was ticked' });
    expect(outcome([screening(), chest, check(), back])).toBe('ready');
  });
  test('an incident ends the day, and asks afterwards', () => {
    const down = entry({
      kind: 'incident',
      at: '',
      what: ['fall'],
      head: 'no',
      bloodThinners: 'no',
      called: '',
      note: '',
    });
    expect(outcome([screening(), down])).toBe('not-today');
    expect(outcome([screening(), down, screening(['active'], addDays(day, 1))], undefined, addDays(day, 1))).toBe(
      'ask-first',
    );
  });
});

describe('pain has its date', () => {
  const pain = (level: number, ago: number) =>
    entry({ kind: 'pain', joint: 'knee', side: 'R', level, since: null }, addDays(day, -ago));
  const reckoned = (...entries: Entry[]) => known(entries).pains[0]?.reckoned;
  test('14 days it stands as answered; from the 15th the worst of the last three answers counts', () => {
    expect(reckoned(pain(9, 90), pain(6, 60), pain(2, 30), pain(3, 14))).toBe(3);
    expect(reckoned(pain(9, 90), pain(6, 60), pain(2, 30), pain(3, 15))).toBe(6);
    expect(painsToAsk(known([pain(3, 15)]))).toHaveLength(1);
  });
  test('gone stays gone while fresh, and comes back once stale', () => {
    expect(reckoned(pain(4, 20), pain(0, 10))).toBeUndefined();
    expect(reckoned(pain(4, 30), pain(0, 20))).toBe(4);
  });
  test('strong since the first strong answer without a break', () => {
    expect(known([pain(3, 40), pain(6, 12), pain(7, 3)]).pains[0]?.since).toBe(addDays(day, -12));
  });
  test('a joint without a row in the table is noted and closes nothing', () => {
    const hand = entry({ kind: 'pain', joint: 'hand', side: 'L', level: 7, since: null });
    expect([known([hand]).pains.length, known([hand]).limiters.length]).toEqual([1, 0]);
  });
});

describe('history', () => {
  test('an earlier day is read as it was known then, not with what was noted later', () => {
    const late = fall({ headStruck: true }, '2026-01-10', '2026-02-20');
    const put = screening(['active'], '2026-01-01');
    expect(outcome([put, late], undefined, '2026-02-19')).toBe('ready');
    expect(outcome([put, late], undefined, '2026-02-20')).toBe('ask-first');
  });
  test('an entry taken back is gone from then on, and was there before', () => {
    const wrong = fall({ hurt: true }, '2026-02-01');
    const back = entry({ kind: 'withdrawn', entryId: wrong.id, reason: 'another person' }, '2026-02-10');
    expect(known([wrong, back], undefined, '2026-02-09').falls).toHaveLength(1);
    expect(known([wrong, back]).falls).toHaveLength(0);
  });
  test('a blood thinner is something to mind, and holds nobody back', () => {
    const of = known([screening()], madeUpIntake({ bloodThinners: true }));
    expect([of.limiters, of.readiness.outcome]).toEqual([[{ kind: 'blood-thinner' }], 'ready']);
  });
  test('what was not asked is read as present until it is', () => {
    const waiting = known([screening()], madeUpIntake({ toComplete: ['nerves', 'floor'] })).limiters;
    expect(waiting.map((l) => l.kind)).toEqual([
      'poor-sight',
      'dizziness',
      'numb-feet',
      'neurological',
      'cannot-lie',
      'cannot-kneel',
      'head-low',
    ]);
    expect(waiting.every((l) => l.unasked)).toBe(true);
  });
});

const anyEntry: fc.Arbitrary<Entry> = fc
  .tuple(
    fc.oneof(
      fc.record({
        kind: fc.constant('pain' as const),
        joint: fc.constantFrom(...joints),
        side: fc.constantFrom('L' as const, 'R' as const),
        level: fc.integer({ min: 0, max: 10 }),
        since: fc.constant(null),
      }),
      fc.record({
        kind: fc.constant('fall' as const),
        fellOn: fc.integer({ min: 0, max: 500 }).map((ago) => addDays(day, -ago)),
        hurt: fc.boolean(),
        lookedAt: fc.boolean(),
        headStruck: fc.boolean(),
        unexplained: fc.boolean(),
      }),
      fc.record({
        kind: fc.constant('screening' as const),
        answers: fc.record(
          Object.fromEntries(questionIds.map((id) => [id, fc.boolean()])) as Record<QuestionId, fc.Arbitrary<boolean>>,
        ),
      }),
      fc.record({
        kind: fc.constant('clearance' as const),
        by: fc.constant('Dr A'),
        answer: fc.constantFrom('may' as const, 'may-with-limits' as const, 'not-now' as const),
        limits: fc.constant('slow'),
        until: fc.constant(null),
      }),
      fc.record({
        kind: fc.constant('day-check' as const),
        signs: fc.subarray([...daySigns]),
        pulse: fc.constant(null),
        pressures: fc.constant([]),
        skippedBecause: fc.constant(null),
      }),
    ),
    fc.integer({ min: 0, max: 500 }),
  )
  .map(([content, ago]) => entry(content, addDays(day, -ago)));
const anyLimiter: fc.Arbitrary<Limiter> = fc.record({
  kind: fc.constantFrom(...limiterKinds.filter((k) => !k.endsWith('-pain'))),
  side: fc.constant(null),
  since: fc.option(fc.integer({ min: 0, max: 900 }).map((ago) => addDays(day, -ago))),
  limitsLifted: fc.boolean(),
});
const rank = (entries: Entry[], of: Intake) => readinessOutcomes.indexOf(outcome(entries, of));

describe('a fall under an instructor’s eyes', () => {
  const incident = (more: object, on = addDays(day, -2)) =>
    entry(
      {
        kind: 'incident',
        at: `${on}T10:20:00+01:00`,
        what: ['fall'],
        head: 'no',
        bloodThinners: 'no',
        called: '',
        note: '',
        ...more,
      },
      on,
    );
  test('is a fall of the last twelve months', () => {
    expect(known([incident({})]).falls.map((f) => [f.content.fellOn, f.content.hurt])).toEqual([
      [addDays(day, -2), false],
    ]);
    expect(known([incident({ what: ['dizzy'] })]).falls).toEqual([]);
    expect(known([incident({ head: 'yes' })]).falls[0]?.content.headStruck).toBe(true);
  });
  test('a fall told of that day stands for it and is not counted twice', () => {
    const told = fall({ hurt: true }, addDays(day, -2));
    expect(known([incident({}), told]).falls.map((f) => f.content.hurt)).toEqual([true]);
  });
});

describe('more to worry about never gives a better outcome', () => {
  const record = fc.tuple(fc.array(anyEntry, { maxLength: 12 }), fc.array(anyLimiter, { maxLength: 3 }));
  test('another fall', () => {
    fc.assert(
      fc.property(record, fc.boolean(), fc.boolean(), ([entries, limiters], hurt, headStruck) => {
        const of = madeUpIntake({ limiters });
        expect(rank([...entries, fall({ hurt, headStruck }, day)], of)).toBeGreaterThanOrEqual(rank(entries, of));
      }),
    );
  });
  test('pain where nothing hurt', () => {
    fc.assert(
      fc.property(
        record,
        fc.integer({ min: 1, max: 10 }),
        fc.constantFrom(...joints),
        ([entries, limiters], level, joint) => {
          const of = madeUpIntake({ limiters });
          const quiet = entries.filter((e) => e.content.kind !== 'pain');
          const hurts = entry({ kind: 'pain', joint, side: null, level, since: null });
          expect(rank([...quiet, hurts], of)).toBeGreaterThanOrEqual(rank(quiet, of));
        },
      ),
    );
  });
  test('another limiter, known or not asked', () => {
    fc.assert(
      fc.property(record, anyLimiter, ([entries, limiters], more) => {
        const others = limiters.filter((l) => l.kind !== more.kind);
        const without = rank(entries, madeUpIntake({ limiters: others }));
        expect(rank(entries, madeUpIntake({ limiters: [...others, more] }))).toBeGreaterThanOrEqual(without);
      }),
    );
  });
  test('another sign in the check of the day', () => {
    fc.assert(
      fc.property(
        record,
        fc.subarray([...daySigns]),
        fc.constantFrom(...daySigns),
        ([entries, limiters], signs, more) => {
          const of = madeUpIntake({ limiters });
          const before = entries.filter((e) => e.on < day);
          expect(rank([...before, check({ signs: [...signs, more] })], of)).toBeGreaterThanOrEqual(
            rank([...before, check({ signs })], of),
          );
        },
      ),
    );
  });
});

describe('moments, not days', () => {
  const at = (time: string, content: EntryContent): Entry => ({
    ...entry(content),
    savedAt: `${day}T${time}:00.000Z`,
  });
  const may = (time: string) => at(time, { kind: 'clearance', by: 'Dr A', answer: 'may', limits: '', until: null });
  const joint: Limiter = { kind: 'hip-replaced' };
  const noted = (time: string, entries: Entry[], limiters: Limiter[] = [joint]) =>
    knownOn(
      {
        intakes: [
          { ...madeUpIntake(), savedAt: '2025-01-01T00:00:00.000Z' },
          { ...madeUpIntake({ notedOn: day, limiters }), savedAt: `${day}T${time}:00.000Z` },
        ],
        entries: [screening(['active'], '2026-02-01'), ...entries],
      },
      day,
      rules,
    )?.readiness.outcome;
  test('a “may” of 9:00 does not settle a joint noted at 10:00, one of 11:00 or of the very moment does', () => {
    expect(noted('10:00', [may('09:00')])).toBe('ask-first');
    expect(noted('10:00', [may('10:00')])).toBe('ready');
    expect(noted('10:00', [may('11:00')])).toBe('ready');
  });
  test('fragile bone was settled; the back that begins to hurt after that is asked about anew', () => {
    const fragile: Limiter = { kind: 'fragile-bone' };
    const hurts = (time: string) => at(time, { kind: 'pain', joint: 'back', side: null, level: 3, since: null });
    expect(noted('08:00', [hurts('08:30'), may('09:00')], [fragile])).toBe('ready');
    expect(noted('08:00', [may('09:00'), hurts('09:30')], [fragile])).toBe('ask-first');
  });
});

describe('what a day decides and the next one does not', () => {
  test('yesterday’s check is not today’s: it says nothing of today and has to be made again', () => {
    const made = check({ signs: ['ill'] }, '2026-03-01');
    expect(known([screening(), made], madeUpIntake(), '2026-03-01').dayCheck).not.toBeNull();
    expect(known([screening(), made]).dayCheck).toBeNull();
    expect(outcome([screening(), made])).toBe('ready');
  });
  test('two tablets with a sheet each for the same fall tell of one fall', () => {
    const sheet = () =>
      entry({
        ...{ kind: 'incident', at: `${day}T10:00:00Z`, what: ['fall'], head: 'no', bloodThinners: 'no' },
        ...{ called: '', note: '' },
      });
    expect(known([screening(), sheet(), sheet()]).falls).toHaveLength(1);
  });
  test('a fall counts for 365 days and no longer', () => {
    const falls = (on: string) => known([fall({ hurt: true }, '2025-03-02')], madeUpIntake(), on).falls.length;
    expect([falls('2025-12-27'), falls('2026-03-02'), falls('2026-03-03')]).toEqual([1, 1, 0]);
  });
});

describe('surgery without a date', () => {
  const surgery: Limiter = { kind: 'recent-surgery' };
  const on = (asked: string, ...saved: string[]) =>
    knownOn(
      {
        intakes: saved.map((notedOn) => ({
          ...madeUpIntake({ notedOn, limiters: [surgery] }),
          savedAt: `${notedOn}T09:00:00.000Z`,
        })),
        entries: [screening(['active'], '2026-01-05')],
      },
      asked,
      rules,
    );
  test('heals from the day it was first noted, however often the intake is saved again', () => {
    const there = (asked: string, ...saved: string[]) => on(asked, ...saved)?.limiters.length;
    expect(there('2026-03-27', '2026-01-02')).toBe(1);
    expect(there('2026-03-28', '2026-01-02')).toBe(0);
    expect(there('2026-03-28', '2026-01-02', '2026-02-20', '2026-03-20')).toBe(0);
  });
  test('questions put after it was noted are not undone by saving the intake again', () => {
    expect(on('2026-03-28', '2026-01-02', '2026-03-20')?.readiness.asked).toBe('current');
  });
});
