import type { Facts } from '../shapes/facts';
import type { LevelRules, MeasuredFact, MeasuredFactId, Need } from '../shapes/ladder';
import type { Blocker, Reason } from './answer';
import { measuredFor, readFact, type Reading } from './cautious';

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

/**
 * Whether a need of a rung is met.
 * @param oldCarries whether the rung was confirmed before, so that an old result still carries it
 */
export function checkNeed(need: Need, oldCarries: boolean, facts: Facts, readings: Readings): NeedAnswer {
  if ('anyOf' in need) return checkAny(need.anyOf, oldCarries, facts, readings);
  if ('seen' in need) return checkSeen(need, facts);
  const found = readings.get(need.fact);
  if (!found) throw new RangeError(`checkNeed: a rung asks for ${need.fact}, which no measured fact is called`);
  const { fact, reading } = found;
  const enough = reading.state !== 'untested' && reading.cautious >= need.atLeast;
  const old = reading.state === 'old';
  if (enough && (!old || oldCarries))
    return {
      holds: true,
      old,
      reason: { fact: fact.id, text: reasonText(fact, reading, need.atLeast), source: need.source.cite },
    };
  return { holds: false, block: measuredBlock(fact, reading, need.atLeast, enough) };
}

function checkSeen(need: Extract<Need, { seen: unknown }>, facts: Facts): NeedAnswer {
  if (facts[need.seen])
    return { holds: true, old: false, reason: { fact: need.seen, text: `${need.why}: yes`, source: need.source.cite } };
  const block = {
    fact: need.seen,
    have: false,
    measured: false,
    need: true,
    measuredNeeded: true,
    text: `${need.why}: not yet`,
    tag: need.why,
  };
  return { holds: false, block };
}

function checkAny(needs: readonly Need[], oldCarries: boolean, facts: Facts, readings: Readings): NeedAnswer {
  const answers = needs.map((n) => checkNeed(n, oldCarries, facts, readings));
  const held = answers.find((a) => a.holds && !a.old) ?? answers.find((a) => a.holds);
  if (held) return held;
  const [first, ...rest] = answers.flatMap((a) => (a.holds ? [] : [a.block]));
  if (!first) throw new RangeError('checkNeed: an anyOf without a need in it');
  return { holds: false, block: { ...first, text: [first, ...rest].map((b) => b.text).join(', or '), or: rest } };
}

function reasonText(fact: MeasuredFact, reading: Reading, atLeast: number): string {
  const { measured, cautious } = reading;
  const room = cautious === measured ? '' : ` (${cautious} with room for a bad day)`;
  const old = reading.state === 'old' ? `, from ${String(reading.on)}: due to be tested again` : '';
  return `${fact.title}: ${String(measured)} ${fact.unit}${room}, ${atLeast} asked${old}`;
}

function measuredBlock(fact: MeasuredFact, reading: Reading, atLeast: number, onlyOld: boolean): Block {
  const untested = reading.state === 'untested';
  const measuredNeeded = measuredFor(fact, atLeast);
  const numbers = { fact: fact.id, need: atLeast, measuredNeeded };
  const wanted = measuredNeeded === atLeast ? `${atLeast} ${fact.unit}` : `${measuredNeeded} ${fact.unit} counted`;
  if (untested)
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
  const tag = `${fact.short} ${measuredNeeded}, now ${String(reading.measured)}`;
  return {
    ...numbers,
    ...have,
    tag,
    text: `${fact.title}: ${String(reading.measured)} ${fact.unit}; opens with ${wanted}`,
  };
}
