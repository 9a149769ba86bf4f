import { amount } from '../math/amount';
import type { Facts } from '../shapes/facts';
import type { LevelRules, MeasuredFact, MeasuredFactId, Need, SeenFactId } from '../shapes/ladder';
import type { Blocker, Reason } from './answer';
import { measuredFor, measuredUnder, readFact, type Reading } from './cautious';

/** The person's measured facts, each read once. */
export type Readings = ReadonlyMap<MeasuredFactId, { readonly fact: MeasuredFact; readonly reading: Reading }>;

export function readAll(rules: LevelRules, facts: Facts): Readings {
  return new Map(rules.measured.map((fact) => [fact.id, { fact, reading: readFact(fact, facts, rules.house) }]));
}

type Block = Omit<Blocker, 'rung'>;

export type NeedAnswer =
  /** `old` where only an old result on a level confirmed before carries it. */
  | { readonly holds: true; readonly old: boolean; readonly reason: Reason }
  | { readonly holds: false; readonly block: Block };

/** A need that is read off the person or the hall; what balance lets the hands do is asked of `supportFor`. */
export type PlainNeed = Exclude<Need, { support: unknown }>;

/**
 * Whether a need of a rung is met.
 * @param oldCarries whether the rung was confirmed before, so that an old result still carries it
 */
export function checkNeed(need: PlainNeed, oldCarries: boolean, facts: Facts, readings: Readings): NeedAnswer {
  if ('anyOf' in need) return checkAny(need.anyOf, oldCarries, facts, readings);
  if ('seen' in need) return checkSeen(need, facts);
  if ('shown' in need) return checkShown(need, facts);
  const found = readings.get(need.fact);
  if (!found) throw new RangeError(`checkNeed: a rung asks for ${need.fact}, which no measured fact is called`);
  const { fact, reading } = found;
  const enough = reading.state !== 'untested' && reaches(need, reading.cautious);
  const old = reading.state === 'old';
  if (enough && (!old || oldCarries))
    return {
      holds: true,
      old,
      reason: { fact: fact.id, text: reasonText(fact, reading, need), source: need.source.cite },
    };
  return { holds: false, block: measuredBlock(fact, reading, need, enough) };
}

/** How much of a measured fact is asked. */
type Asked = { readonly atLeast: number } | { readonly under: number };

const reaches = (need: Asked, cautious: number): boolean =>
  'under' in need ? cautious < need.under : cautious >= need.atLeast;

function checkSeen(need: Extract<Need, { seen: unknown }>, facts: Facts): NeedAnswer {
  const yes = isSeen(need.seen, facts);
  return yesOrNo(need.seen, yes, need, `${need.why}: not ${need.kind === 'place' ? 'here' : 'yet'}`);
}

function checkShown(need: Extract<Need, { shown: unknown }>, facts: Facts): NeedAnswer {
  const { pattern, rung } = need.shown;
  const yes = facts.shown.some((s) => s.pattern === pattern && s.rung >= rung);
  return yesOrNo(`shown:${pattern}${rung}`, yes, need, `${need.why}: not yet`);
}

function yesOrNo(fact: string, yes: boolean, { why, source }: Need, not: string): NeedAnswer {
  if (yes) return { holds: true, old: false, reason: { fact, text: `${why}: yes`, source: source.cite } };
  const block = { fact, have: false, measured: false, need: true, measuredNeeded: true, text: not, tag: why };
  return { holds: false, block };
}

function isSeen(seen: SeenFactId, facts: Facts): boolean {
  switch (seen) {
    case 'kit.chair':
      return facts.kit.chairs.length > 0;
    case 'kit.rail':
      return facts.kit.rail;
    case 'kit.mat':
      return facts.kit.mat;
    case 'kit.raisedSurface':
      return facts.kit.raisedSurface;
    default:
      return facts[seen];
  }
}

function checkAny(needs: readonly Need[], oldCarries: boolean, facts: Facts, readings: Readings): NeedAnswer {
  const answers = needs.flatMap((n) => ('support' in n ? [] : [checkNeed(n, oldCarries, facts, readings)]));
  const held = answers.find((a) => a.holds && !a.old) ?? answers.find((a) => a.holds);
  if (held) return held;
  const [first, ...rest] = answers.flatMap((a) => (a.holds ? [] : [a.block]));
  if (!first) throw new RangeError('checkNeed: an anyOf without a need in it');
  return { holds: false, block: { ...first, text: [first, ...rest].map((b) => b.text).join(', or '), or: rest } };
}

function reasonText(fact: MeasuredFact, reading: Reading, need: Asked): string {
  const { measured, cautious } = reading;
  const old = reading.state === 'old' ? `, from ${String(reading.on)}: due to be tested again` : '';
  if (fact.reads === 'managed') return `${fact.title}: yes${old}`;
  const room = cautious === measured ? '' : ` (${cautious} with room for a bad day)`;
  const asked = 'under' in need ? `under ${need.under}` : need.atLeast;
  return `${fact.title}: ${measured === null ? 'nothing' : amount(measured, fact.unit)}${room}, ${asked} asked${old}`;
}

/** @param onlyOld enough was shown, but too long ago to open anything */
export function measuredBlock(fact: MeasuredFact, reading: Reading, asked: Asked, onlyOld: boolean): Block {
  const [need, measuredNeeded] =
    'under' in asked
      ? [asked.under, measuredUnder(fact, asked.under)]
      : [asked.atLeast, measuredFor(fact, asked.atLeast)];
  const numbers = { fact: fact.id, need, measuredNeeded };
  const { wanted, tag } = wantedWords(fact, asked, measuredNeeded);
  if (reading.state === 'untested')
    return {
      ...numbers,
      have: null,
      measured: null,
      tag: `${fact.short} not tested`,
      text: `${fact.title}: not tested; opens with ${wanted}`,
    };
  const have = { have: reading.cautious, measured: reading.measured };
  if (onlyOld)
    return {
      ...numbers,
      ...have,
      tag: `${fact.short} to be tested again`,
      text: `${fact.title}: tested on ${String(reading.on)}, too long ago; test again`,
    };
  if (fact.reads === 'managed')
    return { ...numbers, ...have, tag: `${fact.short} not yet managed`, text: `${fact.title}: not yet managed` };
  return {
    ...numbers,
    ...have,
    tag: `${fact.short} ${tag}, now ${String(reading.measured)}`,
    text: `${fact.title}: ${reading.measured === null ? 'nothing' : amount(reading.measured, fact.unit)}; opens with ${wanted}`,
  };
}

/** What would open it, in full and for a tag. */
function wantedWords(fact: MeasuredFact, asked: Asked, measuredNeeded: number): { wanted: string; tag: string } {
  if (fact.reads === 'managed') return { wanted: 'it managed', tag: '' };
  if ('under' in asked)
    return {
      wanted: `${amount(measuredNeeded, fact.unit)} or less`,
      tag: `${amount(measuredNeeded, fact.unit)} or less`,
    };
  const counted = measuredNeeded === asked.atLeast ? '' : ' counted';
  return { wanted: `${amount(measuredNeeded, fact.unit)}${counted}`, tag: String(measuredNeeded) };
}
