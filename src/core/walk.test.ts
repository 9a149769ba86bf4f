import { expect, test } from 'vitest';
import { chairStand30s } from '../catalogue/protocols/chair-stand-30s/protocol';
import { levelRules } from '../catalogue/rules';
import { assignLevels } from './level/assign';
import { standingsOf, trainedLevels, waitingLevels } from './level/standing';
import { toResult } from './measure/attempt';
import { readTrial } from './measure/readTrial';
import { scoreResult } from './score/scoreResult';
import type { AttemptEvent } from './shapes/attempt';
import { plainFacts, type Facts } from './shapes/facts';

test('twelve presses become S5, step by step, as the readme of the core tells it', () => {
  const on = '2026-03-02';
  const tapped = [2.5, 5, 7.4, 9.9, 12.3, 15.2, 17.6, 20, 22.4, 25.1, 28, 30.2];
  const events = [
    { kind: 'start', atMs: 0 },
    ...tapped.map((s) => ({ kind: 'rep', atMs: 1000 * s })),
    { kind: 'end', atMs: 30_000 },
    { kind: 'half-rep', counts: false, atMs: 31_000 },
  ].map((e, seq) => ({ ...e, seq, wallMs: seq, by: 'key' })) as AttemptEvent[];
  const trial = readTrial(chairStand30s, events);
  expect(trial).toMatchObject({ state: 'finished', value: 11 });
  const result = toResult({
    ...{ clientKey: 'key', personId: 'she', test: 'chair-stand-30s', protocolVersion: 1, sittingDate: on, side: null },
    ...{ conditions: { seatHeightCm: 43 }, trial, startedWallMs: 0, receivedAt: '' },
  });
  if (!result) throw new Error('a finished trial has a result');
  const score = scoreResult(chairStand30s, result, { ageYears: 77, sex: 'female' });
  expect(score.rank).toMatchObject({ kind: 'ranked', row: { p25: 10, p75: 15 } });
  const positions = { test: 'four-stage', testedOn: on, outcome: 'done', value: 2 } as const;
  const facts: Facts = {
    ...{
      person: { ageYears: 77, sex: 'female', heightCm: 160, massKg: 64 },
      testedOn: on,
      results: [result, positions],
    },
    ...plainFacts,
    ...{ floorSlides: true, sessionsLogged: 4 },
    kit: {
      ...{ chairs: [{ heightCm: 43, arms: false }], padsCm: [3, 5], weightsKg: [1], boxesCm: [], stepsCm: [] },
      ...{ raisedSurface: true, rail: true, wedge: false, mat: true },
    },
  };
  const answer = assignLevels(levelRules, facts);
  const squat = answer.levels[0];
  expect(squat?.code).toBe('S5/43/h@5x2');
  expect(squat?.blockers.filter((b) => b.rung === 6).map((b) => b.fact)).toEqual(['fourStage']);
  const before = standingsOf(levelRules.ladders, answer, [], on);
  expect(waitingLevels(before)[0]?.code).toBe('S5/43/h@5x2');
  const decided = answer.levels.map((level) => ({ decidedOn: on, kind: 'test' as const, by: 'Kim', level }));
  expect(trainedLevels(standingsOf(levelRules.ladders, answer, decided, on))[0]?.code).toBe('S5/43/h@5x2');
});
