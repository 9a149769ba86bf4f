import type { Facts } from '../shapes/facts';
import { setPatterns } from '../shapes/facts';
import { forbiddenIn, loadsSpared } from '../shapes/forbids';
import {
  loadedJoints,
  type Ladder,
  type LevelRules,
  type LimiterRow,
  type Loads,
  type Need,
  type Rung,
} from '../shapes/ladder';
import { ownItem, type OwnExercise, type OwnPlace } from '../shapes/own';
import type { Blocker, ClosedLadder, Level } from './answer';
import { levelBeside, withAccessories } from './assign';
import { isOpen } from './standing';
import { supportWords } from './support';

const placeWords: Readonly<Record<OwnPlace, string>> = {
  'kit.rail': 'a rail or counter',
  'kit.chair': 'a firm chair',
  'kit.mat': 'a mat',
  'kit.raisedSurface': 'a firm raised surface',
};

/** A movement of the hall's own as the engine takes a rung: what it is said to ask, and what its stance and flags ask besides. */
export function ownRung(own: OwnExercise, { ownFlagNeeds, house, measured }: LevelRules): Rung {
  const { source } = house;
  const lies = own.stance === 'seated' || own.stance === 'lying';
  const byFlag: readonly Need[] = [
    ...(own.stance === 'seated' || own.stance === 'lying' ? [] : ownFlagNeeds[own.stance]),
    ...(['floor', 'slides', 'weight', 'impact'] as const).flatMap((flag) => (own[flag] ? ownFlagNeeds[flag] : [])),
  ];
  const needs: readonly Need[] = [
    ...own.needs.map(({ fact, atLeast }): Need => {
      const why = measured.find((m) => m.id === fact)?.title ?? fact;
      return { kind: 'person', fact, atLeast, why, source };
    }),
    ...own.places.map((seen): Need => ({ kind: 'place', seen, why: placeWords[seen], source })),
    ...byFlag,
  ];
  const loads: Loads = Object.fromEntries(
    loadedJoints.flatMap((joint) => {
      const load = own.loads[joint] ?? 'much';
      return load === 'none' ? [] : [[joint, load]];
    }),
  );
  return {
    ...{
      rung: own.beside ?? ownItem,
      name: own.name,
      does: own.does,
      stance: own.stance,
      floor: own.floor,
      loads,
      needs,
    },
    ...{ dose: own.dose, load: own.weight, own: { id: own.id, closedBy: own.closedBy, slides: own.slides } },
    ...(own.impact ? { flags: ['impact'] } : {}),
    ...(own.aSide ? { aSide: true } : {}),
    ...(lies ? { support: { is: own.hands, words: supportWords[own.hands] } } : { freest: own.hands }),
  };
}

/** A movement of the hall's own as a ladder of one rung. */
export const ownLadder = (own: OwnExercise, rules: LevelRules): Ladder => ({
  ...{ pattern: own.pattern, title: own.name, rungs: [ownRung(own, rules)] },
});

/**
 * Somebody's level on a movement of the hall's own. It is never open where the ladder it stands beside does not reach that
 * rung today; its name stands behind its code.
 * @param given the levels of all ladders for the same facts
 */
export function levelOfOwn(
  rules: LevelRules,
  facts: Facts,
  own: OwnExercise,
  given: { readonly levels: readonly Level[]; readonly closed: readonly ClosedLadder[] },
): Level | ClosedLadder {
  const { pattern } = own;
  const at = levelBeside(withAccessories(rules), facts, pattern, ownRung(own, rules));
  const named = (level: Level): Level => ({
    ...level,
    ...{ name: own.name, code: `${level.code} ${own.name}`, blockers: [], own: { id: own.id, version: own.version } },
  });
  if (setPatterns.has(pattern) || own.beside === null) return isOpen(at) ? named(at) : at;
  const ladder = given.levels.find((l) => l.pattern === pattern);
  if (isOpen(at) && ladder && ladder.rung >= own.beside) return named(at);
  const above = [...(ladder?.blockers ?? given.closed.find((c) => c.pattern === pattern)?.blockers ?? [])];
  const keeps = above.filter((b) => b.rung === own.beside);
  const mine: readonly Blocker[] = isOpen(at) ? [] : at.blockers;
  const all = [...new Map([...keeps, ...mine].map((b) => [b.fact, b])).values()];
  return { pattern, blockers: all };
}

/** Titles of the limiters that close a movement of the hall's own, as soon as its form says enough. */
export function closesOwn({ limiters }: Pick<LevelRules, 'limiters'>, own: OwnExercise, rung: Rung): string[] {
  const closing = limiters.filter(
    (row) =>
      row.closes[own.pattern]?.some(([from, to]) => from <= rung.rung && rung.rung <= to) === true ||
      forbiddenIn(row, rung).length > 0 ||
      loadsSpared(row, rung) ||
      own.closedBy.includes(row.kind) ||
      (own.slides && row.changes.some((c) => c.change === 'no-slide')),
  );
  // Of a pain the mildest that closes it says it of the stronger too.
  const mildest = (row: LimiterRow): boolean =>
    row.painAtLeast === undefined ||
    !closing.some((r) => r.kind === row.kind && (r.painAtLeast ?? Infinity) < (row.painAtLeast ?? Infinity));
  return [...new Set(closing.filter(mildest).map((row) => row.title))];
}
