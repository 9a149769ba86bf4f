import { describe, expect, test } from 'vitest';
import { formChecks } from '../../catalogue/form-checks/formChecks';
import { styleQuestions } from '../../catalogue/styles/styles';
import { levelRules } from '../../catalogue/rules';
import { coachingStyles } from '../shapes/facts';
import type { Entry } from '../shapes/intake';
import { styleQuestionIds } from '../shapes/style';
import { assignLevels, withAccessories } from './assign';
import { checksFirst, coachedBy, coachedOn } from './coaching';
import { done, legs, someone, stands } from './madeUp';

const nobody = { hall: {}, device: {}, entries: [], limiters: [] } as const;
const by = (more: Partial<Parameters<typeof coachedBy>[1]>) =>
  coachedBy(styleQuestions, { ...nobody, ...more }).map((c) => [c.question.id, c.option.id, c.from]);
const forPerson = (option: string, id = option): Entry => ({
  ...{ id, personId: 'she', on: '2026-03-02', savedAt: '' },
  content: { kind: 'coaching', question: 'squat', option, reason: 'her back' },
});

describe('whose choice it is', () => {
  test('as shipped: hips back, an upright lunge, toes as they fall, over the second toe, level', () => {
    expect(by({})).toEqual([
      ['squat', 'hips-back', 'shipped'],
      ['lunge', 'upright', 'shipped'],
      ['toes', 'as-they-fall', 'shipped'],
      ['knee-track', 'second-toe', 'shipped'],
      ['depth', 'level', 'shipped'],
    ]);
  });
  test('the hall over what is shipped, the device over the hall, the person over all', () => {
    const hall = { squat: 'square' };
    const device = { squat: 'upright' };
    expect(by({ hall })[0]).toEqual(['squat', 'square', 'hall']);
    expect(by({ hall, device })[0]).toEqual(['squat', 'upright', 'device']);
    expect(by({ hall, device, entries: [forPerson('hips-back')] })[0]).toEqual(['squat', 'hips-back', 'person']);
  });
  test('what is no answer of the question is passed over', () => {
    expect(by({ hall: { squat: 'sideways' }, entries: [forPerson('hinged')] })[0]).toEqual([
      'squat',
      'hips-back',
      'shipped',
    ]);
  });
  test('a sore or a replaced knee proposes what spares it, and takes nothing by itself', () => {
    const proposals = (more: Partial<Parameters<typeof coachedBy>[1]>) =>
      coachedBy(styleQuestions, { ...nobody, ...more }).flatMap((c) => c.proposed?.option.id ?? []);
    expect(proposals({})).toEqual([]);
    expect(proposals({ limiters: [{ kind: 'knee-pain', pain: 2 }] })).toEqual(['hinged']);
    expect(proposals({ hall: { squat: 'upright' }, limiters: [{ kind: 'knee-replaced' }] })).toEqual([
      'hips-back',
      'hinged',
    ]);
    expect(proposals({ limiters: [{ kind: 'knee-pain', pain: 0 }] })).toEqual([]);
    const chosen = { entries: [forPerson('upright')], limiters: [{ kind: 'knee-pain', pain: 2 }] } as const;
    expect(proposals(chosen)).toEqual(['hinged']);
  });
});

test('the words of a question bear on its own rungs only, and its checks come first, at most three', () => {
  const all = coachedBy(styleQuestions, nobody);
  const on = (pattern: 'S' | 'L' | 'B', rung: number) => coachedOn(all, pattern, rung).map((c) => c.question.id);
  expect(on('S', 3)).toEqual([]);
  expect(on('S', 7)).toEqual(['squat', 'toes', 'knee-track', 'depth']);
  expect(on('L', 5)).toEqual(['lunge', 'knee-track']);
  expect(on('B', 4)).toEqual([]);
  const upright = coachedOn(coachedBy(styleQuestions, { ...nobody, hall: { squat: 'upright' } }), 'S', 5);
  expect(checksFirst(['knee-in', 'drop-seat', 'back-round'], upright)).toEqual(['heel-up', 'knee-in', 'drop-seat']);
  expect(checksFirst(['rush'], [])).toEqual(['rush']);
});

test('every question ships one of its own options, every check it names is one, and what spares a knee is an option', () => {
  expect(styleQuestions.map((q) => q.id)).toEqual([...styleQuestionIds]);
  const codes = formChecks.map((c) => c.code);
  for (const { options, shipped, forSoreKnee } of styleQuestions) {
    const ids = options.map((o) => o.id);
    expect(ids).toContain(shipped);
    if (forSoreKnee) expect(ids).toContain(forSoreKnee);
    for (const check of options.flatMap((o) => o.first)) expect(codes).toContain(check);
  }
  expect(styleQuestions[0]?.options.map((o) => o.id)).toEqual([...coachingStyles]);
});

test('a style never changes a rung, a height, hands, a dose or what keeps a rung closed', () => {
  const results = [stands(13), done('four-stage', 3), ...legs(8), done('floor-transfer', 12)];
  const answers = coachingStyles.map((style) =>
    JSON.stringify(
      assignLevels(
        withAccessories(levelRules),
        someone({ results, style, limiters: [{ kind: 'knee-pain', pain: 3 }] }),
      ),
    ),
  );
  expect(new Set(answers).size).toBe(1);
});
