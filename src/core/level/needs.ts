import { amount } from '../math/amount';
import type { Facts } from '../shapes/facts';
import type { LevelRules, MeasuredFact, MeasuredFactId, Need, SeenFactId } from '../shapes/ladder';
import type { Reason } from './answer';
import { limiterBlock, type Block } from './blocks';
import type { LimiterInForce } from '../intake/inForce';
import { measuredFor, measuredUnder, readFact, untested, type Reading } from './cautious';

/** The person's measured facts, each read once. */
export type Readings = ReadonlyMap<MeasuredFactId, Read>;

interface Read {
  readonly fact: MeasuredFact;
  /** What may be used today. */
  readonly reading: Reading;
  /** What stands behind it where limiters close its test today. */
  readonly behind: Reading;
  readonly closedBy: readonly LimiterInForce[];
}

/** A result of a test that a limiter closes today feeds nothing, and the limiter says so. */
export function readAll(rules: LevelRules, facts: Facts, inForce: readonly LimiterInForce[]): Readings {
  return new Map(
    rules.measured.map((fact) => {
      const closedBy = inForce.filter(({ row }) => row.closesTests.includes(fact.test));
      const behind = readFact(fact, facts, rules.house);
      const { seatHeightCm } = behind;
      const reading = closedBy.length > 0 ? { ...untested, seatHeightCm } : behind;
      return [fact.id, { fact, reading, behind, closedBy }];
    }),
  );
}

/** What an old result carries: nothing where a new one says it. */
export type Carried = false | 'old' | 'half-year';

export type NeedAnswer =
  /** `old` where only an old result on a level confirmed before carries it. */
  | { readonly holds: true; readonly old: Carried; readonly reason: Reason }
  /** `also`: what must go besides, such as each limiter that keeps a test out. */
  | { readonly holds: false; readonly block: Block; readonly also?: readonly Block[] };

/** A need that is read off the person or the hall; what balance lets the hands do is asked of `supportFor`. */
export type PlainNeed = Exclude<Need, { support: unknown }>;

/** Which old results still carry a rung: those of a level confirmed before, of half a year only what lies under it. */
export interface Carries {
  readonly old: boolean;
  readonly halfYear: boolean;
  /** Somebody’s word stands in for what was tested and fell short, and for what was not seen in classes. */
  readonly byHand: boolean;
}

/**
 * Whether a need of a rung is met.
 * @param carries which old results still carry the rung
 */
export function checkNeed(need: PlainNeed, carries: Carries, facts: Facts, readings: Readings): NeedAnswer {
  if ('anyOf' in need) return checkAny(need.anyOf, carries, facts, readings);
  if ('walkerIndoors' in need) {
    const own = facts.aidIndoors && facts.walkingAid === 'walker' ? need.walkerIndoors : need.otherwise;
    if ('support' in own) throw new RangeError('checkNeed: the hands are no need of a walker');
    return checkNeed(own, carries, facts, readings);
  }
  if ('seen' in need) return worded(checkSeen(need, facts), carries.byHand && need.seen === 'heelDownAtTarget', need);
  if ('shown' in need) return worded(checkShown(need, facts), carries.byHand, need);
  if ('held' in need) return worded(checkHeld(need, facts), carries.byHand, need);
  if ('step' in need) return checkStep(need, facts);
  if ('absent' in need) return worded(checkAbsent(need, facts), carries.byHand, need);
  if ('fallsUnder' in need) return worded(checkFalls(need, facts), carries.byHand, need);
  if ('notPast' in need) return worded(checkNotPast(need, readings), carries.byHand, need);
  const found = readings.get(need.fact);
  if (!found) throw new RangeError(`checkNeed: a rung asks for ${need.fact}, which no measured fact is called`);
  const { fact, reading } = found;
  const tested = [reading, ...(reading.beside ? [reading.beside] : [])].filter((r) => r.state !== 'untested');
  const usable = tested.filter((r) => r.state === 'fresh' || (r.state === 'old' ? carries.old : carries.halfYear));
  const source = need.source.cite;
  for (const one of usable) {
    if (!reaches(need, one.cautious)) continue;
    return { holds: true, old: carriedOf(one), reason: { fact: fact.id, text: reasonText(fact, one, need), source } };
  }
  const [short] = usable;
  if (carries.byHand && !fact.notByHand && short) {
    const reason = { fact: fact.id, text: reasonText(fact, short, need), source, byHand: true } as const;
    return { holds: true, old: carriedOf(short), reason };
  }
  const [block, ...also] = measuredBlocks(found, need);
  if (!block) throw new RangeError(`checkNeed: nothing keeps ${fact.id} from being enough`);
  return { holds: false, block, also };
}

const carriedOf = ({ state }: Reading): Carried => (state === 'old' || state === 'half-year' ? state : false);

/** What was not so, and stands by somebody’s word all the same. */
function worded(answer: NeedAnswer, byHand: boolean, { why, source }: Pick<Need, 'why' | 'source'>): NeedAnswer {
  if (answer.holds || !byHand) return answer;
  return {
    holds: true,
    old: false,
    reason: { fact: answer.block.fact, text: `${why}: not so`, source: source.cite, byHand: true },
  };
}

/** What a measured fact lacks: each limiter that keeps its test out, and its value where that is short too. */
export function measuredBlocks({ fact, behind, closedBy }: Read, asked: Asked): Block[] {
  const enough = behind.state !== 'untested' && reaches(asked, behind.cautious);
  const limiters = closedBy.map(limiterBlock);
  if (enough && behind.state === 'fresh' && limiters.length > 0) return limiters;
  return [...limiters, measuredBlock(fact, behind, asked, enough)];
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
  const answer = yesOrNo(`shown:${pattern}${rung}`, yes, need, `${need.why}: not yet`);
  return answer.holds ? answer : { holds: false, block: { ...answer.block, tag: `${pattern}${rung} seen twice` } };
}

/** A hold that opens the next rung; a rung above it that was shown says it too. */
function checkHeld({ held, ...need }: Extract<Need, { held: unknown }>, facts: Facts): NeedAnswer {
  const { pattern, rung, seconds } = held;
  const mine = facts.held.filter((h) => h.pattern === pattern && h.rung === rung).map((h) => h.seconds);
  const above = facts.shown.some((s) => s.pattern === pattern && s.rung > rung);
  const have = mine.length === 0 ? null : Math.max(...mine);
  const fact = `held:${pattern}${rung}`;
  const answer = yesOrNo(fact, above || (have ?? 0) >= seconds, need, `${need.why}: not yet`);
  const numbers = { have, measured: have, need: seconds, measuredNeeded: seconds };
  return answer.holds ? answer : { holds: false, block: { ...answer.block, ...numbers } };
}

function checkStep({ step, ...need }: Extract<Need, { step: unknown }>, { kit }: Facts): NeedAnswer {
  const { overCm, toCm } = step;
  const here = kit.stepsCm.some((cm) => overCm < cm && cm <= toCm);
  const answer = yesOrNo('kit.stepsCm', here, need, `${need.why}: not here`);
  const numbers = { have: null, measured: null, need: toCm, measuredNeeded: toCm };
  return answer.holds ? answer : { holds: false, block: { ...answer.block, ...numbers } };
}

function checkAbsent({ absent, ...need }: Extract<Need, { absent: unknown }>, facts: Facts): NeedAnswer {
  const answer = yesOrNo(absent, !facts[absent], need, `${need.why}: not so`);
  // What opens it is that it is not so.
  const no = { have: true, measured: true, need: false, measuredNeeded: false };
  return answer.holds ? answer : { holds: false, block: { ...answer.block, ...no } };
}

function checkFalls({ fallsUnder, ...need }: Extract<Need, { fallsUnder: unknown }>, facts: Facts): NeedAnswer {
  const answer = yesOrNo('falls12m', facts.falls12m < fallsUnder, need, `${need.why}: not so`);
  const [have, most] = [facts.falls12m, fallsUnder - 1];
  const numbers = { have, measured: have, need: most, measuredNeeded: most };
  return answer.holds ? answer : { holds: false, block: { ...answer.block, ...numbers } };
}

/** A walk past its line closes, however long ago within the year; one not taken does not. */
function checkNotPast(need: Extract<Need, { notPast: unknown }>, readings: Readings): NeedAnswer {
  const found = readings.get(need.fact);
  if (!found) throw new RangeError(`checkNeed: a rung asks for ${need.fact}, which no measured fact is called`);
  const { fact, reading } = found;
  if (reading.state !== 'untested' && reading.cautious >= need.notPast)
    return { holds: false, block: measuredBlock(fact, reading, { under: need.notPast }, false) };
  const source = need.source.cite;
  return { holds: true, old: false, reason: { fact: `${fact.id}:line`, text: `${fact.title}: ${need.why}`, source } };
}

function yesOrNo(fact: string, yes: boolean, { why, source }: Pick<Need, 'why' | 'source'>, not: string): NeedAnswer {
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
    case 'kit.box':
      return facts.kit.boxesCm.length > 0;
    default:
      return facts[seen];
  }
}

function checkAny(needs: readonly Need[], carries: Carries, facts: Facts, readings: Readings): NeedAnswer {
  const answers = needs.flatMap((n) => ('support' in n ? [] : [checkNeed(n, carries, facts, readings)]));
  const held =
    answers.find((a) => a.holds && !a.old) ??
    answers.find((a) => a.holds && a.old === 'old') ??
    answers.find((a) => a.holds);
  if (held) return held;
  const [first, ...rest] = answers.flatMap((a) => (a.holds ? [] : [a.block]));
  const also = answers[0]?.holds === false ? answers[0].also : undefined;
  if (!first) throw new RangeError('checkNeed: an anyOf without a need in it');
  const text = [first, ...rest].map((b) => b.text).join(', or ');
  return { holds: false, block: { ...first, text, or: rest }, ...(also ? { also } : {}) };
}

function reasonText(fact: MeasuredFact, reading: Reading, need: Asked): string {
  const { measured, cautious } = reading;
  const old =
    reading.state === 'old' || reading.state === 'half-year'
      ? `, from ${String(reading.on)}: due to be tested again`
      : '';
  if (fact.reads === 'managed') return `${fact.title}: yes${old}`;
  const room = cautious === measured ? '' : ` (${figure(fact, cautious)} with room for a bad day)`;
  const asked = 'under' in need ? `under ${figure(fact, need.under)}` : figure(fact, need.atLeast);
  return `${fact.title}: ${measured === null ? 'nothing' : amount(measured, fact.unit)}${room}, ${asked} asked${old}`;
}

/** A second figure of a sentence: a length says its unit each time, as a hall in inches reads each as a length. */
const figure = ({ unit }: MeasuredFact, value: number): string => (unit === 'cm' ? amount(value, unit) : String(value));

/** @param onlyOld enough was shown, but too long ago to open anything */
function measuredBlock(fact: MeasuredFact, reading: Reading, asked: Asked, onlyOld: boolean): Block {
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
    tag: `${fact.short} ${tag}, now ${reading.measured === null ? 'nothing' : figure(fact, reading.measured)}`,
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
  return { wanted: `${amount(measuredNeeded, fact.unit)}${counted}`, tag: figure(fact, measuredNeeded) };
}
