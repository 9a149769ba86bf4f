import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, test } from 'vitest';
import { swapTable } from '../../catalogue/ladders/swaps';
import { levelRules } from '../../catalogue/rules';
import { limiterKinds, supports, type Facts, type Pattern } from '../shapes/facts';
import { loadedJoints, type LoadedJoint, type Rung } from '../shapes/ladder';
import { swapDialIds, type SwapOffer } from '../shapes/swap';
import { assignLevels, levelAt, withAccessories } from './assign';
import type { Level } from './answer';
import { done, legs, madeUpKit, someone, stands } from './madeUp';
import { isOpen } from './standing';
import { findSwaps, type StandingsOn, type SwapAsked } from './swap';

const all = withAccessories(levelRules);
const rungs = all.ladders.flatMap(({ pattern, rungs: of }) => of.map((rung) => ({ pattern, rung })));
const loadOn = (rung: Rung | undefined, joint: LoadedJoint): number =>
  ['some', 'much'].indexOf(rung?.loads[joint] ?? '') + 1;
const rungAt = (pattern: Pattern, rung: number): Rung | undefined =>
  rungs.find((r) => r.pattern === pattern && r.rung.rung === rung)?.rung;

/** The table as it was handed over: common practice, no published source. */
const table = Papa.parse<Record<string, string>>(
  readFileSync(join(__dirname, '../../catalogue/reference/swaps.csv'), 'utf8'),
  { header: true, skipEmptyLines: true },
).data;

describe('the table, row by row', () => {
  const printed = (offer: SwapOffer | undefined): string => {
    if (!offer) return '';
    return offer.same ? `same:${offer.dials.join(' ')}` : `rung:${[offer.rungs.join('|'), ...offer.dials].join(' ')}`;
  };
  test.each(rungs.map((r) => [`${r.pattern}${r.rung.rung}`, r] as const))('%s', (_code, { pattern, rung }) => {
    for (const joint of loadedJoints) {
      const row = table.find(
        (r) => r['pattern'] === pattern && Number(r['rung']) === rung.rung && r['joint'] === joint,
      );
      const offers = swapTable.byRung[pattern][rung.rung]?.[joint] ?? [];
      expect([0, 1, 2].map((i) => printed(offers[i]))).toEqual([row?.['first'], row?.['second'], row?.['third']]);
      expect(loadOn(rung, joint)).toBe(Number(row?.['load_now']));
      const why = row?.['why_first'] ?? '';
      const [first] = offers;
      expect(why.split(':')[0]).toBe(
        !first ? 'does not load it' : first.same ? 'same movement, one dial' : 'loads it less',
      );
      expect(swapTable.nothingWhen[joint].join('; ')).toBe(row?.['nothing_when']);
    }
  });
  test('every rung it names is one, and none of them loads the joint more', () => {
    for (const { pattern, rung } of rungs)
      for (const joint of loadedJoints)
        for (const offer of swapTable.byRung[pattern][rung.rung]?.[joint] ?? [])
          for (const code of offer.same ? [] : offer.rungs) {
            const other = rungAt(code[0] as Pattern, Number(code[1]));
            expect([code, other !== undefined]).toEqual([code, true]);
            if (loadOn(other, joint) > loadOn(rung, joint)) loadsMore.push(`${pattern}${rung.rung} ${joint} ${code}`);
          }
    // The finder never offers these, whatever the table has.
    expect(loadsMore).toEqual([]);
  });
  const loadsMore: string[] = [];
  test('every dial has its words, once', () => {
    expect(swapTable.dials.map((d) => d.id)).toEqual([...swapDialIds]);
    expect(new Set(swapTable.dials.map((d) => d.words)).size).toBe(swapDialIds.length);
  });
});

const fit = someone({
  results: [
    ...[stands(14), done('four-stage', 4), ...legs(30), done('thigh-hold', 40), done('floor-transfer', 12)],
    ...(['L', 'R'] as const).map((side) => done('knee-to-wall', 10, { side })),
  ],
});
const levelOn = (facts: Facts, pattern: Pattern, rung: number): Level => {
  const level = levelAt(all, facts, pattern, rung, null);
  if (!isOpen(level)) throw new RangeError(`${pattern}${rung} is closed`);
  return level;
};
const ask = (more: Partial<SwapAsked> & Pick<SwapAsked, 'level'>, facts = fit, standings: StandingsOn = []) =>
  findSwaps(swapTable, levelRules, facts, standings, {
    joint: 'knee',
    grade: '0-2',
    sharp: false,
    again: false,
    ...more,
  });
const told = (answer: ReturnType<typeof ask>) =>
  answer.kind === 'nothing'
    ? answer.why
    : answer.offers.map((o) => `${o.level.pattern}${o.level.rung} ${[...o.changes, o.why].join(', ')}`);

describe('what is offered', () => {
  test('a free squat that hurts at the knee a little: a higher seat, then the hinge, then the bridge', () => {
    expect(told(ask({ level: levelOn(fit, 'S', 7) }))).toEqual([
      'S7 the seat one height up: 48 cm, same',
      'H4 less',
      'B4 less',
    ]);
  });
  test('at 3 to 4 what that pain closes is passed over: the hold gives way to the tap, from a higher seat', () => {
    expect(told(ask({ level: levelOn(fit, 'S', 6), grade: '3-4' }))).toEqual([
      'S5 the seat one height up: 51 cm, less',
      'B4 less',
      'Q1 less',
    ]);
    expect(told(ask({ level: levelOn(fit, 'L', 5), grade: '3-4' }))).toEqual([
      'L2 half the length of the step, less',
      'H6 less',
      'B4 less',
    ]);
  });
  test.each([
    ['sharp', { sharp: true }],
    ['much', { grade: '5+' }],
    ['again', { again: true }],
  ] as const)('nothing where it is %s', (why, more) => {
    expect(told(ask({ level: levelOn(fit, 'S', 5), ...more }))).toBe(why);
  });
  test('a joint the movement does not load is asked for again', () => {
    expect(told(ask({ level: levelOn(fit, 'M', 3), joint: 'knee' }))).toBe('not-loaded');
  });
  test('what cannot be built, is not here or is so already is not offered as a change', () => {
    const low: Facts = { ...fit, kit: { ...madeUpKit, padsCm: [] } };
    expect(told(ask({ level: levelOn(low, 'S', 5) }, low))).toEqual(['B3 less']);
    const ankle = { level: levelOn(fit, 'S', 7), joint: 'ankle' } as const;
    const wedge: Facts = { ...fit, kit: { ...madeUpKit, wedge: true } };
    expect(told(ask(ankle))[0]).toBe('S7 the seat one height up: 48 cm, same');
    expect(told(ask(ankle, wedge))[0]).toBe('S7 the seat one height up: 48 cm, a firm wedge under both heels, same');
    const upright: Facts = { ...fit, style: 'upright' };
    expect(told(ask({ level: levelOn(upright, 'S', 7) }, upright))[0]).toBe(
      'S7 the seat one height up: 48 cm, hips back first, same',
    );
  });
  test('what somebody’s word leaves out or holds lower is not offered, nor with freer hands', () => {
    const level = levelOn(fit, 'S', 7);
    const said = (pattern: Pattern, rung: number, word: 'not-this' | 'lower'): StandingsOn => {
      const at = { ...levelOn(fit, pattern, rung), support: '1' as const, byHand: { word, why: '', from: '' } };
      const inForce = { decidedOn: fit.testedOn, kind: 'hand', by: 'Made Up', level: at } as const;
      return [{ pattern, state: word === 'lower' ? 'holds' : 'aside', inForce }];
    };
    expect(told(ask({ level }, fit, said('H', 4, 'not-this')))).toEqual([
      'S7 the seat one height up: 48 cm, same',
      'B4 less',
    ]);
    expect(told(ask({ level }, fit, said('H', 3, 'lower')))).not.toContain('H4 less');
    const held = ask({ level }, fit, said('H', 4, 'lower'));
    if (held.kind === 'nothing') throw new Error(held.why);
    expect(held.offers.map((o) => o.level.code)).toContain('H4/1@5x2');
  });
});

test('of anybody, every rung and joint: never what is closed with that pain, loads the joint more, has freer hands or a lower seat', () => {
  const anyone = fc.record({
    limiters: fc.array(fc.record({ kind: fc.constantFrom(...limiterKinds), pain: fc.integer({ min: 0, max: 10 }) }), {
      maxLength: 2,
    }),
    results: fc.subarray([...fit.results]),
    floorSlides: fc.boolean(),
    sessionsLogged: fc.integer({ min: 0, max: 3 }),
    style: fc.constantFrom('hips-back', 'upright', 'square'),
    falls12m: fc.integer({ min: 0, max: 2 }),
  });
  fc.assert(
    fc.property(
      anyone,
      fc.constantFrom('0-2', '3-4', '5+'),
      fc.boolean(),
      fc.boolean(),
      (more, grade, sharp, again) => {
        const facts = someone(more);
        for (const level of assignLevels(all, facts).levels)
          for (const joint of loadedJoints) {
            const answer = findSwaps(swapTable, levelRules, facts, [], { level, joint, grade, sharp, again });
            if (sharp || again || grade === '5+') expect(answer.kind).toBe('nothing');
            if (answer.kind === 'nothing') continue;
            expect(answer.offers.length).toBeLessThanOrEqual(3);
            const kind = `${joint}-pain` as const;
            const pain = grade === '0-2' ? 2 : 4;
            const known = facts.limiters.filter((l) => l.kind === kind).map((l) => l.pain ?? 10);
            const others = facts.limiters.filter((l) => l.kind !== kind);
            const then = { ...facts, limiters: [...others, { kind, pain: Math.max(pain, ...known) }] };
            const top = new Map(
              assignLevels(all, then).levels.map((l) => [l.pattern === 'M' ? `M${l.rung}` : l.pattern, l]),
            );
            for (const { level: to, why } of answer.offers) {
              const ceiling = top.get(to.pattern === 'M' ? `M${to.rung}` : to.pattern);
              expect(to.rung).toBeLessThanOrEqual(ceiling?.rung ?? 0);
              const open = to.rung === ceiling?.rung ? ceiling : levelAt(all, then, to.pattern, to.rung, null);
              if (!isOpen(open)) throw new Error(`${to.code} is closed`);
              expect(supports.indexOf(to.support)).toBeLessThanOrEqual(supports.indexOf(open.support));
              expect(to.targetCm ?? 0).toBeGreaterThanOrEqual(open.targetCm ?? 0);
              expect(to.loadKg ?? 0).toBeLessThanOrEqual(open.loadKg ?? 0);
              const [from, at] = [level, to].map((l) => loadOn(rungAt(l.pattern, l.rung), joint));
              expect(at).toBeLessThanOrEqual(from ?? 0);
              if (why === 'less') expect(at).toBeLessThan(from ?? 0);
            }
          }
      },
    ),
    { numRuns: 60 },
  );
});
