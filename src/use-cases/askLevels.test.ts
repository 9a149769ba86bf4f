import { describe, expect, test } from 'vitest';
import { askLevels } from './askStateless';

const today = '2026-03-02';
const person = { age: 77, sex: 'female', heightCm: 160, massKg: 64 };
const kit = {
  chairs: [{ heightCm: 43 }, { heightCm: 40 }],
  ...{ padsCm: [3, 5], weightsKg: [1, 2], raisedSurface: true, rail: true, mat: true, box: true },
};
const strong = [
  { test: 'chair-stand-30s', value: 18, seatHeightCm: 43 },
  { test: 'four-stage', value: 4 },
  ...(['L', 'R'] as const).map((side) => ({ test: 'one-leg', side, value: 45, trials: [45] })),
  { test: 'floor-transfer', value: 10 },
];
const sent = { person, testedOn: today, results: strong, kit, sessionsLogged: 4, heelDownAtTarget: true };
interface Sent {
  pattern: string;
  rung: number;
  code: string;
  blockers: { rung: number; fact: string }[];
}
function levelsOf(more: object = {}): Sent[] {
  const answer = askLevels({ ...sent, ...more }, today);
  if (answer.kind !== 'answered') throw new Error(JSON.stringify(answer));
  return (answer.body as { levels: Sent[] }).levels;
}
const rungs = (more: object = {}) => levelsOf(more).map((l) => `${l.pattern}${l.rung}`);
function faultsOf(more: object): { path: string; message: string }[] {
  const answer = askLevels({ ...sent, ...more }, today);
  if (answer.kind !== 'rejected') throw new Error('it was answered');
  return [...answer.errors];
}

describe('what is left out', () => {
  test('a hall that nothing is told of has no rail, mat or box, and the first classes are not over', () => {
    expect(rungs({ kit: { chairs: kit.chairs } })).toEqual(['S7', 'L6', 'H6', 'B1']);
    const { sessionsLogged: _, ...fewer } = sent;
    const answer = askLevels(fewer, today);
    expect(answer).toMatchObject({ body: { levels: [{ rung: 6 }, { rung: 4 }, { rung: 4 }, { rung: 3 }] } });
  });
  test('a floor that nothing is told of grips: the foot steps back to a mark', () => {
    const short = {
      results: [
        { test: 'chair-stand-30s', value: 6 },
        { test: 'four-stage', value: 2 },
      ],
    };
    expect(levelsOf(short).find((l) => l.pattern === 'L')).toMatchObject({ rung: 2, form: 'mark' });
    expect(levelsOf({ ...short, floorSlides: true }).find((l) => l.pattern === 'L')).toMatchObject({ form: 'slide' });
  });
});

describe('facts of the log and of the day', () => {
  test.each([
    ['followsTask', false],
    ['armsFree', false],
    ['missedWeeks', 3],
  ])('%s of %s gives less, and says so', (field, value) => {
    const [squat] = levelsOf({ [field]: value });
    expect(squat?.code).not.toBe(levelsOf()[0]?.code);
    expect(squat?.blockers.map((b) => b.fact)).toContain(field);
  });
  test('something else closes the ladders ticked with it and says its own words; sight, hearing and lungs are said', () => {
    const other = { kind: 'other', text: 'a stoma', closes: ['L', 'B'] };
    expect(rungs({ limiters: [other] })).toEqual(['S7', 'H6']);
    const answer = askLevels({ ...sent, limiters: [other, { kind: 'hearing' }, { kind: 'lungs' }] }, today);
    const { cautions } = (answer.kind === 'answered' ? answer.body : {}) as {
      cautions: { id: string; text: string }[];
    };
    expect(cautions.map((c) => c.id)).toEqual(expect.arrayContaining(['other', 'hearing', 'lungs']));
    expect(cautions.find((c) => c.id === 'other')?.text).toBe('a stoma.');
  });
  test('a fall after the tests makes them not true any more', () => {
    const earlier = { results: strong.map((r) => ({ ...r, testedOn: '2026-02-20' })) };
    expect(rungs({ ...earlier, lastFallOn: '2026-02-25' })).toEqual(['S1', 'H1', 'B2']);
    expect(rungs({ ...earlier, lastFallOn: '2026-02-10' })).toEqual(['S7', 'L6', 'H6', 'B4']);
  });
  test('a seat shown in classes, and a height lifted from, move the height', () => {
    const nine = { results: [{ test: 'chair-stand-30s', value: 9, seatHeightCm: 43 }, ...strong.slice(1)] };
    expect(levelsOf({ ...nine, shownSeatCm: 40 })[0]).toMatchObject({ rung: 5, targetCm: 40 });
    const ten = { results: [{ test: 'chair-stand-30s', value: 10, seatHeightCm: 43 }, ...strong.slice(1)] };
    expect(levelsOf({ ...ten, liftHeightCm: 30 }).find((l) => l.pattern === 'H')).toMatchObject({
      rung: 5,
      targetCm: 30,
    });
  });
  test('light work while a disease is asked about only where the hall has it so', () => {
    const asked = { readiness: 'ask-first', askFirstKind: 'disease' };
    expect(rungs(asked)).toEqual(['S1', 'B1']);
    expect(rungs({ ...asked, lightWhileAsking: true })).toEqual(['S3', 'H1', 'B2']);
  });
  test('several answers to one pain: the newest while it is fresh, else the worst of the last three', () => {
    const pains = (...answers: (readonly [string, number])[]) => ({
      limiters: answers.map(([askedOn, pain]) => ({ kind: 'knee-pain', side: 'L', askedOn, pain })),
    });
    expect(rungs(pains(['2026-02-28', 1], ['2026-01-20', 6]))[0]).toBe('S7');
    expect(rungs(pains(['2026-02-10', 1], ['2026-01-20', 6]))[0]).toBe('S2');
    expect(rungs({ limiters: [{ kind: 'knee-pain', askedOn: '2026-03-01' }] })[0]).toBe('S2');
  });
  test('surgery of the eye heals in four weeks, any other in twelve', () => {
    const surgery = { kind: 'recent-surgery', since: '2026-01-20' };
    const at = (more: object) => rungs({ limiters: [{ ...surgery, ...more }] });
    expect([at({ site: 'eye' }).length > 1, at({})]).toEqual([true, ['B1']]);
  });
  test('a kneecap that was measured moves what a seat may be high', () => {
    const sore = {
      results: [{ test: 'chair-stand-30s', value: 12, seatHeightCm: 43 }],
      limiters: [{ kind: 'knee-pain', pain: 5 }],
    };
    const wish = (more: object) => levelsOf({ ...sore, person: { ...person, ...more } })[0];
    expect([wish({}), wish({ kneeHeightCm: 40 })]).toMatchObject([{ wishCm: 53 }, { wishCm: 48 }]);
  });
});

describe('the instructor’s word', () => {
  const word = (rung: number, more: object = {}) => ({
    setByHand: [{ pattern: 'S', rung, reason: 'trained elsewhere', ...more }],
  });
  test('a rung set by hand is answered, with the word among its reasons', () => {
    const nine = { results: [{ test: 'chair-stand-30s', value: 9, seatHeightCm: 43 }, ...strong.slice(1)] };
    expect(rungs(nine)[0]).toBe('S5');
    expect(levelsOf({ ...nine, ...word(7) })[0]).toMatchObject({ rung: 7 });
  });
  test('past a limiter it is refused where it stands, and says by what', () => {
    const [fault, ...more] = faultsOf({ ...word(8), limiters: [{ kind: 'back-pain', pain: 5 }] });
    expect(fault?.path).toBe('/setByHand/0/rung');
    expect(fault?.message).toContain('back pain from 4: opens at 3 of 10 or less');
    expect(more).toEqual([]);
    expect(faultsOf({ setByHand: [{ pattern: 'L', rung: 9, reason: 'trained' }] })[0]).toMatchObject({
      path: '/setByHand/0/rung',
      message: 'is no rung of L: the highest is 8',
    });
  });
  test.each([
    ['a word without a reason', { setByHand: [{ pattern: 'S', rung: 8 }] }, '/setByHand/0/reason'],
    [
      'two words on one ladder',
      { setByHand: ['S', 'S'].map((pattern) => ({ pattern, rung: 7, reason: 'trained' })) },
      '/setByHand/1/pattern',
    ],
    [
      'two last levels of one ladder',
      { lastConfirmed: ['H', 'H'].map((pattern) => ({ pattern, rung: 2, support: '2' })) },
      '/lastConfirmed/1/pattern',
    ],
    ['an unknown limiter', { limiters: [{ kind: 'grumpy' }] }, '/limiters/0/kind'],
    ['a kit without a chair', { kit: { rail: true } }, '/kit/chairs'],
    ['an empty list of chairs', { kit: { ...kit, chairs: [] } }, '/kit/chairs'],
  ])('%s is refused at its path, and nothing else is', (_what, more, path) => {
    expect(faultsOf(more).map((f) => f.path)).toEqual([path]);
  });
});

test('a ladder with no open rung is answered as closed, with what keeps each of its rungs', () => {
  const answer = askLevels({ ...sent, results: [] }, today);
  if (answer.kind !== 'answered') throw new Error('it was refused');
  const { levels, closed } = answer.body as { levels: Sent[]; closed: Pick<Sent, 'pattern' | 'blockers'>[] };
  expect([levels.map((l) => l.pattern), closed.map((c) => c.pattern)]).toEqual([
    ['S', 'H', 'B'],
    ['L', 'U', 'F', 'K', 'M'],
  ]);
  expect([...new Set(closed[0]?.blockers.map((b) => b.rung))]).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
});

test('beside the four every open ladder is answered as a level, with what offers it; of the set two items are told apart', () => {
  const asked = (more: object) => {
    const answer = askLevels({ ...sent, ...more }, today);
    return answer.kind === 'answered' ? (answer.body as { accessories: Beside[] }).accessories : answer.errors;
  };
  interface Beside {
    readonly code: string;
    readonly offered: number | null;
    readonly offeredFor: string | null;
  }
  const limiters = [{ kind: 'knee-pain', pain: 3 }];
  const [first] = (asked({ limiters, wishes: ['wide-stance'] }) as Beside[]).filter((l) => l.offered === 1);
  expect(first).toMatchObject({ code: 'Q1/0@5x2', offered: 1, offeredFor: 'a sore knee', form: null });
  const held = [{ pattern: 'W', rung: 4, seconds: 30 }];
  const stepsCm = [10];
  const set = (...rungs: number[]) => rungs.map((rung) => ({ pattern: 'M', rung, reason: 'trained elsewhere' }));
  expect(asked({ held, kit: { ...kit, stepsCm }, setByHand: set(1, 3) })).not.toHaveLength(0);
  expect(asked({ setByHand: set(3, 3) })).toMatchObject([{ path: '/setByHand/1/pattern' }]);
  expect(asked({ setByHand: set(9) })).toMatchObject([{ path: '/setByHand/0/rung' }]);
});
