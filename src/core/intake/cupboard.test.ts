import { describe, expect, test } from 'vitest';
import { protocolById, protocols } from '../../catalogue/protocols';
import type { Cupboard } from '../shapes/person';
import { emptyCupboard as empty, missingFor, stepHeightCm } from './cupboard';

const chair = { heightCm: 43, arms: false, stable: true, count: 1 };

describe('tests this hall can run', () => {
  const missing = (id: string, cupboard: Cupboard) => {
    const protocol = protocolById(id);
    if (!protocol) throw new Error(id);
    return missingFor(protocol, cupboard);
  };
  test('an empty hall can run none, and every test says what it needs', () => {
    for (const p of protocols) expect(missingFor(p, empty)).not.toEqual([]);
  });
  test('a chair of 60 cm is none for the chair stand', () => {
    expect(missing('chair-stand-30s', { ...empty, chairs: [{ ...chair, heightCm: 60 }] })).toEqual([
      'a firm chair of 40 to 48 cm',
    ]);
    expect(missing('chair-stand-30s', { ...empty, chairs: [chair] })).toEqual([]);
  });
  test('the 8-foot up and go wants 3.5 m, the 4-metre walk 6', () => {
    const hall = { ...empty, chairs: [chair], walkwayM: 3.5 };
    expect([missing('up-and-go-8ft', hall), missing('gait-4m', hall)]).toEqual([[], ['6 m of free straight floor']]);
  });
  test('the arm curl wants 5 lb and 8 lb, which are 2.3 and 3.6 kg', () => {
    expect(missing('arm-curl', { ...empty, chairs: [chair], weightsKg: [2.27, 3.63] })).toEqual([]);
    expect(missing('arm-curl', { ...empty, chairs: [chair], weightsKg: [2.3] })).toEqual(['a weight of 3.6 kg']);
  });
});

test.each([
  [46, 92, 69],
  [45.5, 91, 68.3],
  [null, 92, null],
])(
  'kneecap %s and hip bone %s: lift to %s cm, half-way (Rikli & Jones 1999, from memory)',
  (kneecapCm, hipBoneCm, cm) => {
    expect(stepHeightCm({ kneecapCm, hipBoneCm })).toBe(cm);
  },
);
