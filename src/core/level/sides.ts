import { limitersInForce, type LimiterInForce } from '../intake/inForce';
import type { Facts, Pattern, Side } from '../shapes/facts';
import type { LevelRules, MeasuredFactId, Rung } from '../shapes/ladder';
import { readAll, type Readings } from './needs';

const sideWords: Readonly<Record<Side, string>> = { L: 'left', R: 'right' };

/** The test that tells the weaker side of a ladder; where it was not done, standing on one leg. */
const weakerBy: Partial<Record<Pattern, MeasuredFactId>> = { B: 'oneLegBridges' };

/** The side that showed less, where both were tested and differ. */
export function weakerSide(pattern: Pattern, readings: Readings): Side | null {
  const own = weakerBy[pattern];
  const told = [...(own === undefined ? [] : [own]), 'oneLegS'].map((id) => readings.get(id)?.reading.weaker ?? null);
  return told.find((side) => side !== null) ?? null;
}

interface Sore {
  readonly joint: string;
  readonly side: Side;
}

/** Joints of the legs that hurt, were replaced, or miss something, on one side. */
function soreOn(inForce: readonly LimiterInForce[]): Sore[] {
  const all = inForce.flatMap(({ limiter: { kind, side } }): Sore[] => {
    const joint = /^(knee|hip|ankle)-(?:pain|replaced)$/.exec(kind)?.[1] ?? (kind === 'lost-limb' ? 'leg' : null);
    return joint !== null && side ? [{ joint, side }] : [];
  });
  return [...new Map(all.map((s) => [`${s.joint} ${s.side}`, s])).values()];
}

interface SideCase {
  readonly readings: Readings;
  readonly inForce: readonly LimiterInForce[];
}

/**
 * What to mind of left and right on a rung that is done a side at a time: the sore side, where that leg goes, and on which
 * side the spotter stands: the weaker one, else the sore one. Common practice, no published source.
 */
export function sidesOn(pattern: Pattern, rung: Rung, one: SideCase): string[] {
  if (!rung.aSide) return [];
  const sore = soreLines(one, rung.soreLeg);
  // Whoever sits needs nobody beside.
  if (rung.stance === 'seated') return sore;
  const spotter = spotterOn(pattern, one);
  return [...sore, spotter ?? 'the spotter stands where no hand holds on'];
}

/** The same for a test somebody stands for; nothing where no side is known. */
export function sidesToMind(rules: LevelRules, facts: Facts): string[] {
  const inForce = limitersInForce(rules.limiters, facts.limiters, facts.testedOn);
  const one = { inForce, readings: readAll(rules, facts, inForce) };
  // One leg stands for both: no ladder of its own.
  const spotter = spotterOn('L', one);
  return [...soreLines(one, undefined), ...(spotter === null ? [] : [spotter])];
}

function soreLines({ inForce }: SideCase, goesTo: Rung['soreLeg']): string[] {
  const sore = soreOn(inForce);
  const knees = sore.filter((s) => s.joint === 'knee');
  const goes = goesTo && knees.length === 1 ? `: that leg goes ${whereWords[goesTo]}` : '';
  return sore.map((s) => `${sideWords[s.side]} ${s.joint} to be minded${s.joint === 'knee' ? goes : ''}`);
}

function spotterOn(pattern: Pattern, { readings, inForce }: SideCase): string | null {
  const weaker = weakerSide(pattern, readings);
  const sore = [...new Set(soreOn(inForce).map((s) => s.side))];
  const side = weaker ?? (sore.length === 1 ? sore[0] : undefined);
  return side ? `the spotter stands on the ${sideWords[side]}, the ${weaker ? 'weaker' : 'sore'} side` : null;
}

/** Where the sore leg goes, as the lines of a level say it; `null` where they say nothing of it. */
export function legToMind(sides: readonly string[]): 'front' | 'back' | null {
  const line = sides.find((words) => words.includes('that leg goes '));
  return line === undefined ? null : line.endsWith(whereWords.front) ? 'front' : 'back';
}

/** On which side the spotter stands, as the lines of a level say it. */
export const spotterSide = (sides: readonly string[]): Side | null => {
  const line = sides.find((words) => words.startsWith('the spotter stands on the '));
  const found = Object.entries(sideWords).find(([, words]) => line?.startsWith(`the spotter stands on the ${words},`));
  return found ? (found[0] as Side) : null;
};

const whereWords = { front: 'in front', back: 'behind' } as const;
