import { lengthsOf } from '../body/segments';
import {
  armWays,
  copRefs,
  loadPlaces,
  usualLimits,
  type Bridge,
  type Carrying,
  type Hinge,
  type Limits,
  type Split,
  type Squat,
  type SquatRule,
  type Support,
} from './setUp';
import type { SeatLimits } from './search';

/** What is wrong with an input; no numbers are given for it. */
export const errorCodes = [
  'E_NUMBER',
  'E_HEIGHT',
  'E_MASS',
  'E_LOAD',
  'E_ARMS',
  'E_LIMIT',
  'E_WEDGE',
  'E_TOE_FRACTION',
  'E_COP_REF',
  'E_SUPPORT',
  'E_LOAD_HANDS_BUSY',
  'E_SEAT',
  'E_RULE',
  'E_ANGLE',
  'E_TARGET',
  'E_STEP',
  'E_SHARE',
  'E_BRACE',
  'E_BRIDGE',
  'E_INPUT',
] as const;
export type ErrorCode = (typeof errorCodes)[number];

export interface Fault {
  /** A JSON pointer to the field. */
  readonly path: string;
  readonly code: ErrorCode;
  /** What is allowed, in words. */
  readonly message: string;
}

export const tasks = ['squat', 'hinge', 'split', 'bridge', 'window', 'lowest_seat', 'support_needed'] as const;
export type Task = (typeof tasks)[number];

export type Asked =
  | { readonly task: 'squat' | 'window'; readonly setUp: Squat }
  | { readonly task: 'lowest_seat'; readonly setUp: Squat; readonly limits: SeatLimits }
  | { readonly task: 'support_needed'; readonly setUp: Squat; readonly limit: number; readonly joint: 'knee' | 'hip' }
  | { readonly task: 'hinge'; readonly setUp: Hinge }
  | { readonly task: 'split'; readonly setUp: Split }
  | { readonly task: 'bridge'; readonly setUp: Bridge };

export type Checked =
  { readonly kind: 'good'; readonly asked: Asked } | { readonly kind: 'bad'; readonly faults: readonly Fault[] };

type Input = Readonly<Record<string, unknown>>;

/** Takes fields out of an input one by one, and notes what is wrong with each. */
class Reader {
  readonly faults: Fault[] = [];
  readonly #read = new Set<string>();
  readonly input: Input;
  readonly at: string;
  constructor(input: Input, at = '') {
    this.input = input;
    this.at = at;
  }

  has(name: string): boolean {
    return this.input[name] !== undefined;
  }

  note(name: string, code: ErrorCode, message: string): void {
    this.faults.push({ path: `${this.at}/${name}`, code, message });
  }

  take(name: string): unknown {
    this.#read.add(name);
    return this.input[name];
  }

  /** @returns the fallback also where it is wrong: what follows from it is looked at all the same */
  number(name: string, code: ErrorCode, [from, to]: readonly [number, number], fallback: number | null): number {
    const value = this.take(name);
    const asked = `a number from ${shown(from)} to ${shown(to)}`;
    if (value === undefined) {
      if (fallback === null) this.note(name, code, `Needed: ${asked}.`);
    } else if (typeof value !== 'number' || !Number.isFinite(value)) this.note(name, 'E_NUMBER', `${asked}, please.`);
    else if (value < from || value > to) this.note(name, code, `Must be ${asked}.`);
    else return value;
    return fallback ?? (Number.isFinite(from) ? from : 0);
  }

  choice<T extends string>(name: string, code: ErrorCode, of: readonly T[], fallback: T): T {
    const value = this.take(name);
    if (value === undefined) return fallback;
    const found = of.find((one) => one === value);
    if (found === undefined) this.note(name, code, `Must be ${of.join(', ')}.`);
    return found ?? fallback;
  }

  flag(name: string, code: ErrorCode): boolean {
    const value = this.take(name);
    if (value !== undefined && typeof value !== 'boolean') this.note(name, code, 'Must be true or false.');
    return value === true;
  }

  inside(name: string, code: ErrorCode): Reader | null {
    const value = this.take(name);
    if (value === undefined || value === null) return null;
    if (typeof value === 'object' && !Array.isArray(value)) return new Reader(value as Input, `${this.at}/${name}`);
    this.note(name, code, 'Must be an object.');
    return null;
  }

  /** Whatever nobody asked for. */
  unread(): void {
    for (const name of Object.keys(this.input))
      if (!this.#read.has(name) && this.has(name)) this.note(name, 'E_INPUT', 'There is no such field in this task.');
  }
}

const shown = (n: number): string => String(Number(n.toPrecision(4)));

/** An input as a set-up with all that was left out filled in, or everything that is wrong with it. */
export function check(input: Input): Checked {
  const reader = new Reader(input);
  const task = reader.choice('task', 'E_INPUT', tasks, 'squat');
  if (!reader.has('task')) reader.note('task', 'E_INPUT', `Needed: ${tasks.join(', ')}.`);
  const asked = read(reader, task);
  reader.unread();
  return reader.faults.length === 0 ? { kind: 'good', asked } : { kind: 'bad', faults: reader.faults };
}

function read(reader: Reader, task: Task): Asked {
  switch (task) {
    case 'squat':
    case 'window':
      return { task, setUp: squat(reader, true) };
    case 'lowest_seat': {
      const kneeLimit = reader.number('kneeLimit', 'E_TARGET', target, null);
      const hipLimit = reader.has('hipLimit') ? reader.number('hipLimit', 'E_TARGET', target, null) : null;
      return { task, setUp: squat(reader, false), limits: { kneeLimit, hipLimit } };
    }
    case 'support_needed': {
      const limit = reader.number('limit', 'E_TARGET', target, null);
      const joint = reader.choice('joint', 'E_TARGET', ['knee', 'hip'], 'knee');
      if (!reader.has('support')) reader.note('support', 'E_SUPPORT', 'Needed: where the hands hold on.');
      return { task, setUp: squat(reader, true), limit, joint };
    }
    case 'hinge': {
      const one = carrying(reader, 90);
      const trunkDeg = reader.number('trunkDeg', 'E_ANGLE', angle, null);
      return { task, setUp: { ...one, trunkDeg, kneeFlexDeg: reader.number('kneeFlexDeg', 'E_ANGLE', [0, 90], 15) } };
    }
    case 'split':
      return { task, setUp: split(reader) };
    case 'bridge':
      return { task, setUp: bridge(reader) };
  }
}

const angle = [-90, 90] as const;
const share = [0, 1] as const;
/** N·m per kg: more than nothing. */
const target = [1e-6, 100] as const;

function body(reader: Reader): { readonly heightM: number; readonly massKg: number } {
  return {
    heightM: reader.number('heightM', 'E_HEIGHT', [1.2, 2.2], null),
    massKg: reader.number('massKg', 'E_MASS', [30, 250], null),
  };
}

function carrying(reader: Reader, trunkLimitDeg: number): Carrying {
  const { heightM, massKg } = body(reader);
  const loadKg = reader.number('loadKg', 'E_LOAD', [0, 2 * massKg], 0);
  const loadAt = reader.choice('loadAt', 'E_LOAD', loadPlaces, 'hands');
  const arms = reader.choice('arms', 'E_ARMS', armWays, 'crossed');
  const limits = limitsIn(reader, trunkLimitDeg);
  const weight = balanceIn(reader);
  const support = supportIn(reader, heightM);
  if (loadKg > 0 && loadAt === 'hands' && support?.hands === 2)
    reader.note('loadAt', 'E_LOAD_HANDS_BUSY', 'Both hands hold on: carry it on the shoulders, or hold on with one.');
  return { heightM, massKg, arms, loadKg, loadAt, support, ...weight, limits };
}

const balanceIn = (reader: Reader): Pick<Carrying, 'toeFraction' | 'copRef'> => ({
  toeFraction: reader.number('toeFraction', 'E_TOE_FRACTION', share, 0.5),
  copRef: reader.choice('copRef', 'E_COP_REF', copRefs, 'mtp'),
});

function limitsIn(reader: Reader, trunkLimitDeg: number): Limits {
  const most: Limits = {
    ...{ dfLimitDeg: 60, trunkLimitDeg: 90, trunkBackLimitDeg: 90, hipFlexLimitDeg: 180, kneeFlexLimitDeg: 180 },
    ...{ hipExtLimitDeg: 90, mtpLimitDeg: 90, heelMargin: 0.999, toeMargin: 0.999, frictionLimit: 10 },
    ...{ pullLimitPct: 100, braceCapPct: 100 },
  };
  const usual = { ...usualLimits, trunkLimitDeg };
  const names = Object.keys(usual) as (keyof Limits)[];
  return Object.fromEntries(
    names.map((name) => [name, reader.number(name, 'E_LIMIT', [0, most[name]], usual[name])]),
  ) as unknown as Limits;
}

function supportIn(reader: Reader, heightM: number): Support | null {
  const inside = reader.inside('support', 'E_SUPPORT');
  if (!inside) return null;
  const support = {
    fxPct: inside.number('fxPct', 'E_SUPPORT', [-50, 50], 0),
    fyPct: inside.number('fyPct', 'E_SUPPORT', [0, 100], 0),
    xFromToeM: inside.number('xFromToeM', 'E_SUPPORT', [-1.5 * heightM, heightM], null),
    handHeightM: inside.number('handHeightM', 'E_SUPPORT', [0, 1.3 * heightM], null),
    hands: handsIn(inside),
  };
  inside.unread();
  reader.faults.push(...inside.faults);
  return support;
}

function handsIn(inside: Reader): 1 | 2 {
  const hands = inside.take('hands') ?? 2;
  if (hands === 1 || hands === 2) return hands;
  inside.note('hands', 'E_SUPPORT', 'Must be 1 or 2.');
  return 2;
}

/** Exactly one of a seat and a hip height, as a hip height. */
function hipHeight(reader: Reader, heightM: number): number {
  const { hipAboveSeat } = lengthsOf(heightM);
  const most = [0, 1.5 * heightM] as const;
  const [seat, hip] = [reader.has('seatHeightM'), reader.has('hipHeightM')];
  if (seat === hip) reader.note('seatHeightM', 'E_SEAT', 'Needed: either seatHeightM or hipHeightM, one of them.');
  const hipM = reader.number('hipHeightM', 'E_SEAT', most, heightM / 2);
  const seatM = reader.number('seatHeightM', 'E_SEAT', most, heightM / 4);
  return hip ? hipM : seatM + hipAboveSeat;
}

/** @param seated whether the height is given; else it is looked for */
function squat(reader: Reader, seated: boolean): Squat {
  const one = carrying(reader, usualLimits.trunkLimitDeg);
  const { ballFromHeel, height } = lengthsOf(one.heightM);
  const heelLiftM = reader.number('heelLiftM', 'E_WEDGE', [0, 0.5 * ballFromHeel], 0);
  const hipHeightM = seated ? hipHeight(reader, one.heightM) : height / 2;
  return { ...one, heelLiftM, hipHeightM, ...squatRule(reader, one) };
}

export const squatRules = ['parallel', 'shank', 'knee_past_toe', 'trunk', 'pose', 'hold'] as const;

function squatRule(reader: Reader, { heightM }: Carrying): SquatRule {
  const rule = reader.choice('rule', 'E_RULE', squatRules, 'parallel');
  const deg = (name: string) => reader.number(name, 'E_ANGLE', angle, null);
  switch (rule) {
    case 'parallel':
      return { rule, trunkPerShank: reader.number('trunkPerShank', 'E_RULE', [0.2, 3], 1) };
    case 'shank':
      return { rule, shankDeg: deg('shankDeg') };
    case 'trunk':
      return { rule, trunkDeg: deg('trunkDeg') };
    case 'pose':
      return { rule, shankDeg: deg('shankDeg'), trunkDeg: deg('trunkDeg') };
    case 'knee_past_toe': {
      // sin a = (L + d - x of the ankle) / Ls, between -1 and 1.
      const { foot, ankleFromHeel, shank } = lengthsOf(heightM);
      const to = foot - ankleFromHeel;
      return { rule, kneePastToeM: reader.number('kneePastToeM', 'E_ANGLE', [-shank - to, shank - to], null) };
    }
    case 'hold': {
      const support = reader.input['support'];
      const held = typeof support === 'object' && support !== null ? (support as Input)['handHeightM'] : undefined;
      // A wedge lifts where the weight lies by a little, never by a tenth of the height.
      if (typeof held !== 'number' || held < 0.1 * heightM)
        reader.note('support', 'E_SUPPORT', `Needed to hold on: a hand at ${shown(0.1 * heightM)} m or higher.`);
      if (typeof support === 'object' && support !== null && (support as Input)['fxPct'] !== undefined)
        reader.note('support', 'E_SUPPORT', 'How hard the hands pull comes out here: leave fxPct out.');
      return { rule, shankDeg: deg('shankDeg'), trunkDeg: deg('trunkDeg') };
    }
  }
}

export const splitRules = ['pose', 'share_by_shank', 'share_by_trunk'] as const;

function split(reader: Reader): Split {
  const one = carrying(reader, usualLimits.trunkLimitDeg);
  if (reader.has('heelLiftM')) {
    reader.take('heelLiftM');
    reader.note('heelLiftM', 'E_WEDGE', 'A wedge is not reckoned with in a split stance: leave it out.');
  }
  const brace = reader.input['bracePct'] === 'auto' ? (reader.take('bracePct'), 'auto' as const) : undefined;
  const base = {
    ...one,
    hipHeightM: hipHeight(reader, one.heightM),
    stepM: reader.number('stepM', 'E_STEP', [0.05 * one.heightM, 0.8 * one.heightM], null),
    rearFootDeg: reader.number('rearFootDeg', 'E_ANGLE', [0, 90], 60),
    bracePct:
      brace ?? (reader.has('bracePct') ? reader.number('bracePct', 'E_BRACE', [-30, 30], null) : ('auto' as const)),
  };
  const deg = (name: string) => reader.number(name, 'E_ANGLE', angle, null);
  const rule = reader.choice('rule', 'E_RULE', splitRules, 'pose');
  if (rule === 'pose') return { ...base, rule, shankDeg: deg('shankDeg'), trunkDeg: deg('trunkDeg') };
  const frontShare = reader.number('frontShare', 'E_SHARE', share, null);
  return rule === 'share_by_shank'
    ? { ...base, rule, trunkDeg: deg('trunkDeg'), frontShare }
    : { ...base, rule, shankDeg: deg('shankDeg'), frontShare };
}

function bridge(reader: Reader): Bridge {
  const { heightM, massKg } = body(reader);
  // Told of everybody, and nothing to a bridge: the arms lie on the floor.
  reader.choice('arms', 'E_ARMS', armWays, 'crossed');
  return {
    ...{ heightM, massKg, limits: limitsIn(reader, usualLimits.trunkLimitDeg), ...balanceIn(reader) },
    loadKg: reader.number('loadKg', 'E_LOAD', [0, 2 * massKg], 0),
    heelToButtockM: reader.number('heelToButtockM', 'E_BRIDGE', [0, heightM], null),
    hipFlexDeg: reader.number('hipFlexDeg', 'E_BRIDGE', [-30, 90], 0),
    singleLeg: reader.flag('singleLeg', 'E_BRIDGE'),
    otherLeg: reader.choice('otherLeg', 'E_BRIDGE', ['straight', 'tucked'], 'straight'),
    heelPullPct: reader.number('heelPullPct', 'E_BRACE', [-20, 20], 0),
  };
}
