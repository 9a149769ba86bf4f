import type { Level } from '../level/answer';
import { printLevelCode } from '../level/code';
import { shelves, type Part, type Shelf } from '../shapes/class';
import type { Turn } from '../shapes/classPlan';
import type { Dose } from '../shapes/dose';
import { supports, type Pattern, type Support } from '../shapes/facts';
import type { PersonId } from '../shapes/person';
import { doseOf } from './doseTime';

/** Somebody in a class, as the plan asks of them. */
export interface Trainee {
  readonly id: PersonId;
  readonly name: string;
  /** Why their level is easier than the one in force, where it is. */
  readonly easedBy: (pattern: Pattern) => 'away' | 'rules' | null;
  /** What they train on; `null` where nothing of it is in force or open. */
  readonly levelOf: (pattern: Pattern) => Level | null;
  /** One step over what they train on, where the rules allow it today. */
  readonly harder: (pattern: Pattern) => Level | null;
  /** What the rules allow them on a rung under their own. */
  readonly lowerAt: (pattern: Pattern, rung: number) => Level | null;
  /** Whether somebody who may spot has to stand by. */
  readonly isSpotted: (level: Pick<Level, 'pattern' | 'rung' | 'support'>) => boolean;
}

/** How a variant differs from the own level; it counts neither clean nor short for it then. */
export const foldings = ['rung', 'support', 'held', 'seated', 'away', 'rules', 'easier', 'harder', 'turn'] as const;
export type Folding = (typeof foldings)[number];

/** What one person does of one part. */
export interface Variant {
  readonly personId: PersonId;
  readonly shelf: Shelf;
  readonly pattern: Pattern;
  readonly rung: number;
  readonly name: string;
  readonly support: Support;
  readonly targetCm: number | null;
  readonly loadKg: number | null;
  readonly carried?: Level['carried'];
  /** How much of the movement, in words; left out where the rung has no such place. */
  readonly much?: string;
  /** The lower of the class’s and their own. */
  readonly dose: Dose;
  /** The code of the own level, or of what is done in its place. */
  readonly code: string;
  readonly folded: Folding | null;
  /** Said beside the name, where it is not their own as it stands. */
  readonly why: string | null;
  /** Who stands by. */
  readonly spotter: string | null;
  /** Whoever stands by does so for two: odd rounds, or even ones; left out where they stand by one. */
  readonly turn?: 1 | 2;
}

/** Nobody is left without something to do: they sit and count aloud, and it is said why. */
export interface SitsOut {
  readonly personId: PersonId;
  readonly why: string;
}
export type Doing = Variant | SitsOut;
export const isVariant = (doing: Doing): doing is Variant => 'rung' in doing;

/** Who does what of each part of a block. */
export interface BlockDoing {
  readonly block: string;
  readonly parts: readonly (readonly Doing[])[];
}

/** What takes the place of a pattern in which nothing is open, seated; the first that is. */
const seatedFor: Readonly<Partial<Record<Pattern, readonly (readonly [Pattern, number])[]>>> = {
  S: [
    ['B', 1],
    ['A', 1],
  ],
  L: [
    ['A', 1],
    ['B', 1],
  ],
  H: [
    ['B', 1],
    ['A', 1],
  ],
};
const otherwise: readonly (readonly [Pattern, number])[] = [
  ['A', 1],
  ['B', 1],
];

interface Span {
  readonly shelf: Shelf;
  readonly pattern: Pattern;
  readonly from: number;
  readonly to: number;
}

/** The rungs of a part, freest shelf and highest rung first. */
function spansOf(part: Part): Span[] {
  return [...shelves].reverse().flatMap((shelf) =>
    [...part.shelves[shelf]].reverse().map((code) => {
      const [, letter = part.pattern, from = '1', to = from] = /^([A-Z])(\d)(?:-(\d))?$/.exec(code) ?? [];
      return { shelf, pattern: letter as Pattern, from: Number(from), to: Number(to) };
    }),
  );
}

/**
 * What somebody does of a part: their own level where a shelf has it, else one rung lower where that is open to them, else
 * their own all the same; nothing open is the seated movement in its place. Nobody is ever folded upwards.
 * @param spotter who is free to stand by; without one whoever needs one holds with both hands
 * @param way one step easier or harder than their own, within what is open
 */
export function doingOf(part: Part, who: Trainee, spotter: string | null, way: Turn | null = null): Doing {
  const found = turned(part, who, way) ?? fitted(part, who);
  if (!found) return seatedInstead(part, who);
  const { level, shelf, folded } = found;
  /** A tap that changes nothing says so. */
  const noStep = way !== null && folded !== way ? `nothing ${way} is open` : null;
  const cap = part.freest ?? '0';
  const clamped = lessFree(level.support, cap);
  const needs = who.isSpotted({ ...level, support: clamped });
  const held = needs && spotter === null && clamped !== '2';
  const support = held ? '2' : clamped;
  const how: Folding | null = held
    ? 'held'
    : (folded ?? (support === level.support ? who.easedBy(level.pattern) : 'support'));
  return {
    ...{ personId: who.id, pattern: level.pattern, rung: level.rung, name: level.name, support, folded: how },
    shelf: needs && spotter === null ? 'A' : shelf,
    ...(level.within ? { much: level.within.words } : {}),
    ...{
      targetCm: level.targetCm,
      loadKg: held ? null : level.loadKg,
      ...(level.carried && !held ? { carried: level.carried } : {}),
      dose: lowerDose(mostOf(part), level.dose),
    },
    ...{
      code: level.code,
      why: [how && whyOf[how], noStep].filter((words) => words !== null).join('; ') || null,
      spotter: needs ? spotter : null,
    },
  };
}

/** The most that anybody does of a part. */
function mostOf(part: Part): Dose {
  const dose = doseOf(part);
  return dose.kind === 'holds' ? { ...dose, holdS: part.longestS ?? dose.holdS } : dose;
}

const whyOf: Readonly<Record<Folding, string>> = {
  rung: 'one lower today: three shelves',
  support: 'everybody holds in this class',
  held: 'both hands: nobody is free to stand by',
  seated: 'seated in its place',
  away: 'some weeks away: one step easier',
  rules: 'one step easier today',
  easier: 'one step easier, as the plan says',
  harder: 'one step harder, as the plan says',
  turn: 'every second round: one stands by two',
};

interface Fitted {
  readonly level: Level;
  readonly shelf: Shelf;
  readonly folded: Folding | null;
}

/** A step to one side of what somebody trains on; `null` where there is none that is open. */
function turned(part: Part, who: Trainee, way: Turn | null): Fitted | null {
  const own = way === null ? null : who.levelOf(part.pattern);
  const level = own && (way === 'harder' ? who.harder(part.pattern) : easier(own, who));
  if (!level || way === null) return null;
  const span = spansOf(part).find((s) => s.pattern === level.pattern && s.from <= level.rung && level.rung <= s.to);
  return { level, shelf: span?.shelf ?? 'A', folded: way };
}

/** The rung under it, else one step more support. */
function easier(own: Level, who: Trainee): Level | null {
  const lower = who.lowerAt(own.pattern, own.rung - 1);
  if (lower) return heldTo(own, lower);
  const support = supports[supports.indexOf(own.support) - 1];
  return support === undefined ? null : { ...own, support, loadKg: null };
}

function fitted(part: Part, who: Trainee): Fitted | null {
  const spans = spansOf(part);
  const owns = spans.flatMap((span) => {
    const level = who.levelOf(span.pattern);
    return level ? [{ span, level }] : [];
  });
  const own = owns.find(({ span, level }) => span.from <= level.rung && level.rung <= span.to);
  if (own) return { level: own.level, shelf: own.span.shelf, folded: null };
  for (const { span, level } of owns) {
    if (level.rung - 1 < span.from || level.rung - 1 > span.to) continue;
    const lower = who.lowerAt(span.pattern, level.rung - 1);
    if (lower) return { level: heldTo(level, lower), shelf: span.shelf, folded: 'rung' };
  }
  // Further up than any shelf, or under all of them: their own, where they can be seen best.
  const above = owns.find(({ span, level }) => level.rung > span.to);
  const [under] = owns.toReversed();
  const left = above ?? under;
  return left ? { level: left.level, shelf: above ? left.span.shelf : 'A', folded: null } : null;
}

/** A lower rung may open more than the own one does: a weight, or freer hands. Neither is taken along. */
function heldTo(own: Level, lower: Level): Level {
  const support = lessFree(lower.support, own.support);
  const loadKg = lower.loadKg === null || own.loadKg === null ? null : Math.min(lower.loadKg, own.loadKg);
  return { ...lower, support, loadKg, code: printLevelCode({ ...lower, heightCm: lower.targetCm, support, loadKg }) };
}

export const lessFree = (a: Support, b: Support): Support => (supports.indexOf(a) < supports.indexOf(b) ? a : b);

function seatedInstead(part: Part, who: Trainee): Doing {
  for (const [pattern, rung] of [...(seatedFor[part.pattern] ?? []), ...otherwise]) {
    if (pattern === part.pattern) continue;
    const own = who.levelOf(pattern);
    const level = own?.rung === rung ? own : who.lowerAt(pattern, rung);
    if (!level) continue;
    return {
      ...{ personId: who.id, shelf: 'A', pattern, rung, name: level.name, support: level.support, folded: 'seated' },
      ...{ targetCm: level.targetCm, loadKg: null, dose: level.dose, code: level.code, spotter: null },
      why: whyOf.seated,
    };
  }
  return { personId: who.id, why: 'nothing of it is open today: sits and counts aloud' };
}

/** The same in every second round of so many: the block runs staggered, as whoever stands by does so for two. */
export function inTurn(variant: Variant, turn: 1 | 2, ofRounds: number): Variant {
  const { dose, folded, why } = variant;
  const theirs = turn === 1 ? Math.ceil(ofRounds / 2) : Math.floor(ofRounds / 2);
  const rounds = Math.min(setsOf(dose), theirs);
  return {
    ...{ ...variant, turn, folded: folded ?? 'turn' },
    why: [why, whyOf.turn].filter((words) => words !== null).join('; '),
    dose: 'sets' in dose ? { ...dose, sets: rounds } : { ...dose, rounds },
  };
}

export const setsOf = (dose: Dose): number => ('sets' in dose ? dose.sets : dose.rounds);

/**
 * The lower of the class’s dose and the own one. Of two kinds the class says how time goes and the own how often; a hold that
 * was never timed is ten seconds at most.
 */
export function lowerDose(scheme: Dose, own: Dose): Dose {
  const sets = Math.min(setsOf(scheme), setsOf(own));
  switch (scheme.kind) {
    case 'reps':
      return own.kind === 'reps' ? { kind: 'reps', reps: Math.min(scheme.reps, own.reps), sets } : own;
    case 'holds':
      return { kind: 'holds', holdS: Math.min(scheme.holdS, own.kind === 'holds' ? own.holdS : 10), sets };
    case 'half-minute': {
      const reps = own.kind === 'reps' || own.kind === 'half-minute' ? Math.min(scheme.reps, own.reps) : scheme.reps;
      // In rounds of the half-minute nobody does more at once than they do at their own dose; the rounds are the class’s.
      return { ...scheme, reps, rounds: own.kind === 'half-minute' ? sets : scheme.rounds };
    }
    case 'intervals':
      return {
        ...scheme,
        rounds:
          own.kind === 'intervals'
            ? sets
            : scheme.restS === 0
              ? scheme.rounds
              : Math.min(scheme.rounds, Math.max(2, setsOf(own))),
      };
  }
}
