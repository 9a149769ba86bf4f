import { expect, test } from 'vitest';
import { cardWords } from '../../catalogue/cards/words';
import { formChecks } from '../../catalogue/form-checks/formChecks';
import { accessories, ladders } from '../../catalogue/ladders';
import { moves } from '../../catalogue/ladders/moves';
import { parseLevelCode } from '../level/code';
import type { Rung } from '../shapes/ladder';
import { supports, type Pattern, type Support } from '../shapes/facts';
import { breathLine, doseLine, handsLine, tempoLine } from './words';

const none = { arms: false, walker: false };
const hands = (code: string, support: Support, has = none) =>
  handsLine(cardWords.hands, { pattern: code.charAt(0) as Pattern, rung: Number(code.charAt(1)), support }, has);

/** The table of exact words for the hands, row by row. */
test.each([
  ['2', ['S1'], 'Hands on the seat beside you.'],
  ['2', ['S2'], 'Hands on the seat, beside your hips. Push, do not pull.'],
  ['2', ['S3'], 'Hands on your thighs.'],
  ['2', ['L1', 'L4', 'W3', 'A1', 'U1', 'S4', 'S7', 'H6', 'H8'], 'Both hands on the rail.'],
  ['2', ['L2', 'L3'], 'Both hands on the chair back; its seat touches the wall.'],
  ['2', ['H1'], 'Hands in the creases of your hips.'],
  ['2', ['W1'], 'Hands on the chair back in front of you.'],
  ['2', ['F1', 'F2'], 'Hands on the seat of the firm chair.'],
  ['1', ['F1', 'F2'], 'Hands on the seat of the firm chair.'],
  ['2', ['H2'], 'Both hands on the chair back. They slide down with you.'],
  ['1', ['L4', 'A2', 'U2', 'S6', 'W4'], 'One hand on the rail. The other on your hip.'],
  ['1', ['H3'], 'One hand in the crease of the hip, one on the rail.'],
  ['1', ['H4'], 'One hand glides down the thigh, one holds.'],
  ['1', ['S4', 'S5'], 'One hand on the rail beside you.'],
  ['f', ['S5', 'L5', 'A3', 'H7'], 'Fingertips on the rail.'],
  ['h', ['S5', 'H3', 'L4', 'W3', 'U2'], 'Hands just above the rail. Do not touch unless you must.'],
  ['h', ['H5'], 'Both hands on the box. The rail is beside you.'],
  ['0', ['H5'], 'Both hands on the box. The rail is beside you.'],
  ['0', ['S7', 'L6', 'H4', 'W4', 'W6', 'A4', 'U3'], 'No hands. The rail is one step away.'],
  ['0', ['B2', 'B6'], 'Arms flat beside you.'],
  ['0', ['B1', 'W2', 'F3', 'Q1', 'K2', 'M3'], null],
] as const)('hands %s of %j: %s', (support, codes, words) => {
  for (const code of codes) expect([code, hands(code, support)]).toEqual([code, words]);
});

test('a chair with arms and a frame in front are said; the frame first', () => {
  expect(hands('S2', '2', { arms: true, walker: false })).toBe('Hands on the arms of the chair.');
  expect(hands('S3', '2', { arms: false, walker: true })).toBe(
    'Frame in front, brakes on. Push the chair, not the frame.',
  );
});

test('every rung has words for every way of its hands', () => {
  for (const { pattern, rungs } of [...ladders, ...accessories])
    for (const { rung } of rungs)
      for (const support of supports) expect(hands(`${pattern}${rung}`, support)).not.toBe('');
});

/** The table of exact words for the dose, row by row. */
test.each([
  ['S2/46/2@4x1', false, '4 times.'],
  ['S2/46/2@4x3', false, '4 times. Sit one minute. Do this three times.'],
  ['S7/46/0@10x2', false, '10 times. Rest. 10 times again.'],
  ['H3/1@5x3', false, '5 times. Rest. Do this three times.'],
  ['L2/2@5x2', true, '5 with the left, 5 with the right. Rest. Once more.'],
  ['S6/46/2@h15x3', false, 'Hold and count to 15 aloud. Rest one minute. Three times.'],
  ['B1/2@h5x3', false, 'Squeeze and count to 5. Let go. Three times.'],
  ['S7/46/0@30/15x3', false, 'Half a minute of work, 15 seconds rest. Three times. (In class)'],
  ['S7/46/0@5e30x4', false, '5 times each half-minute. Four rounds. (In class)'],
  ['A4/f@30/0x2', true, 'Half a minute each leg. On the days ticked.'],
] as const)('%s: %s', (code, aSide, words) => {
  const level = parseLevelCode(code);
  expect(level?.dose && doseLine({ ...level, dose: level.dose }, aSide)).toBe(words);
});

test('tempo and breath are counted out in words', () => {
  expect(tempoLine({ tempo: '2 up 4 down' })).toBe('Up: one, two. Down: one, two, three, four.');
  expect(tempoLine({ tempo: '1 up 3 down' })).toBe('Up: one. Down: one, two, three.');
  expect(tempoLine({ tempo: '2 up, hold 3, 4 down' })).toBe(
    'Up: one, two. Hold: one, two, three. Down: one, two, three, four.',
  );
  expect(tempoLine({ tempo: 'hold' })).toBeNull();
  expect(breathLine({ breath: 'Out as you stand.' })).toBe('Breathe out as you stand.');
  expect(breathLine({ breath: 'In going down, out coming up.' })).toBe('Breathe in going down, out coming up.');
  expect(breathLine({ breath: 'Keep breathing: count aloud.' })).toBe('Keep breathing: count aloud.');
});

test('nothing that may never stand on a card stands in its words, nor in the cue of a first check', () => {
  const never = /percent|risk|weight of|kg of body|only|fail|weak|poor|\bold\b|stool|limiter|tablets? you|pain \d|QR/i;
  const checks = Object.values(moves).flatMap((all) =>
    all.map((m) => formChecks.find((c) => c.code === m.checks[0])?.cue ?? ''),
  );
  const names = Object.values(moves).flatMap((all) => all.map((m) => m.name));
  const howFar = [...ladders, ...accessories].flatMap((l) =>
    l.rungs.flatMap((r: Rung) => r.within?.map((w) => w.words) ?? []),
  );
  const said = [
    ...cardWords.hands.flatMap((r) => r.words ?? []),
    ...cardWords.home.rules,
    cardWords.aches,
    ...checks,
    ...names,
    ...howFar,
  ];
  expect(said.filter((words) => never.test(words))).toEqual([]);
  // No movement begins with what not to do.
  expect(said.filter((words) => words.startsWith('Do not'))).toEqual([]);
});

/** What to look after, as the table of card words has it: the cue of the first check of the rung. */
test.each([
  ['knee-in', 'Knees point where the second toe points.'],
  ['heel-up', 'Heels stay down.'],
  ['knee-far', 'Hips go back, knees stay over the toes.'],
  ['back-round', 'Back stays long. Stop where it rounds.'],
  ['chest-drop', 'Chest up, hips and chest rise together.'],
  ['drop-seat', 'Sit like a feather.'],
  ['narrow', 'Feet on two lanes.'],
  ['pelvis-drop', 'Belt stays level.'],
  ['low-back-arch', 'Ribs down, lift the hips.'],
  ['breath-hold', 'Keep talking.'],
  ['groin-pinch', 'Let the knees go out a little.'],
  ['wobble', 'Touch the rail, start again.'],
  ['pulls', 'Push down, do not pull.'],
  ['rush', 'Down: one, two, three, four.'],
  ['rolls-out', 'Weight on the big toes.'],
  ['knee-snap', 'Soft knees.'],
  ['head-drop', 'Look at a spot two metres ahead on the floor.'],
  ['cramp', 'Straighten, toes up, wait.'],
  ['shrug', 'Long neck.'],
  ['holds-stare', 'Tell me your street.'],
])('look after %s: %s', (code, cue) => {
  expect(formChecks.find((c) => c.code === code)?.cue).toBe(cue);
});

test('the back of a card: five signs, what then, whom to tell; the four sentences of whoever spots', () => {
  const { stop, then, notToday, aches, warmUp, effort, spotter, home } = cardWords;
  expect(`${stop.join('. ')}. - ${then.join(' ')}`).toBe(
    'Chest pain or pressure. Cannot get your breath. Dizzy, sick or cold sweat. Sudden weakness, face or speech not right. A sharp pain. - Sit down. Do not go home alone.',
  );
  expect(notToday).toMatch(/ill, dizzy, have a new pain, or fell since/);
  expect(aches).toMatch(/^Stiff on both sides for two days is normal. .* do half, tell us. .* newly sore or swollen/);
  expect([warmUp, effort]).toEqual(['First: walk or march five minutes.', 'How hard: I could still chat (3-4 of 10).']);
  expect(spotter.join(' ')).toBe(
    'Stand on the side named, half a step behind, feet apart, one hand open near the belt. Do not hold, do not talk during the ten seconds. If they go: belt and shoulder, down with them to the chair behind. Say “caught”, not “sorry”.',
  );
  expect([home.title, home.rules.join(' '), home.weeks, home.days, home.how, home.most]).toEqual([
    'At home, on days without class',
    'Shoes on. Phone in the pocket. Not after tablets for sleep, not in the first half-hour after getting up, not with the light off.',
    ...[4, 3, ['easy', 'right', 'hard', 'it hurt'], 3],
  ]);
});

test('words that never stand on a card of a person stand in none of its texts', () => {
  const all = JSON.stringify([
    cardWords,
    formChecks.map((c) => c.cue),
    Object.values(moves)
      .flat()
      .map((m) => m.name),
  ]);
  expect(all).not.toMatch(/percentile|watch line|\brisk\b|diagnos|\bonly\b|failed|\bweak\b|\bpoor\b|\bold\b|stool/i);
});
