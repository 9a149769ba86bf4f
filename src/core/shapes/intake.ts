import { wishes, type IsoDate, type Limiter, type Pattern, type Readiness, type Side, type WalkingAid } from './facts';
import type { LoadedJoint } from './ladder';
import type { PersonId } from './person';
import type { StyleQuestionId } from './style';
import type { SwapGrade, SwapWhere } from './swap';

/** Parts of the intake that a walk-in leaves for later. */
export const intakeSections = ['birth-date', 'body', 'bones', 'nerves', 'floor', 'aids', 'contacts'] as const;
export type IntakeSection = (typeof intakeSections)[number];

export interface Contact {
  readonly name: string;
  readonly phone: string;
}

/**
 * What is known of a body and of lasting conditions, noted on a day. A newer intake stands beside the older one, so
 * that a result can be read as it was. What has a date of its own (pain, falls, readiness) is an entry, see `Entry`.
 */
export interface Intake {
  readonly notedOn: IsoDate;
  readonly heightCm: number | null;
  readonly massKg: number | null;
  /** Floor to the crease of the knee, seated. */
  readonly shankCm: number | null;
  /** Floor to the middle of the kneecap, and to the front crest of the hip bone, standing: for the two-minute step. */
  readonly kneecapCm: number | null;
  readonly hipBoneCm: number | null;
  readonly seatHeightCm: number | null;
  /** Everything but pain: replacements, bone, nerves, floor, surgery. */
  readonly limiters: readonly Limiter[];
  readonly aidOutdoors: WalkingAid;
  readonly aidIndoors: WalkingAid;
  readonly sitsUnsupported: boolean;
  readonly heelDownAtTarget: boolean;
  /** Does what is shown; seen, not asked. */
  readonly followsTask: boolean;
  /** Both arms are free to hold on. */
  readonly armsFree: boolean;
  /** Nobody is at home while they train there. */
  readonly aloneAtHome: boolean;
  readonly classesSoFar: number;
  readonly medicines: string;
  readonly bloodThinners: boolean;
  readonly sugarLowering: boolean;
  readonly contact: Contact;
  readonly clinician: Contact;
  /** What was not asked yet; its limiters are read as present until it is. */
  readonly toComplete: readonly IntakeSection[];
}

export const joints = ['neck', 'shoulder', 'elbow', 'hand', 'back', 'hip', 'knee', 'ankle'] as const;
export type Joint = (typeof joints)[number];
/** Joints without a left and a right. */
export const middleJoints: readonly Joint[] = ['neck', 'back'];

export const symptomIds = ['chest', 'breath', 'faint', 'racing', 'swelling', 'calves', 'tired'] as const;
export const questionIds = [
  'active',
  'disease',
  'uncontrolled',
  ...symptomIds,
  'told',
  'operation',
  'changed',
  'wasting',
] as const;
/** `symptoms`: all of them asked in one breath, of a walk-in, and of everybody before each was asked alone. */
export type QuestionId = (typeof questionIds)[number] | 'symptoms';

export const daySigns = [
  'chest',
  'faint',
  'dizzy',
  'breath',
  'ill',
  'calf',
  'fall',
  'irregular-pulse',
  'tablets',
  'hot-joint',
  'worse',
  'no-food',
  'shoes',
] as const;
export type DaySign = (typeof daySigns)[number];

/** Pressure in mmHg. */
export interface Pressure {
  readonly systolic: number;
  readonly diastolic: number;
}

/** Being tested and trained; notes of health kept here; a letter to a licensed professional. */
export const consents = ['tests', 'notes', 'letter'] as const;
export type ConsentTo = (typeof consents)[number];

export const clearanceAnswers = ['may', 'may-with-limits', 'not-now'] as const;
export type ClearanceAnswer = (typeof clearanceAnswers)[number];

export const incidentKinds = ['fall', 'chest', 'faint', 'dizzy', 'pain', 'unwell', 'other'] as const;
export type IncidentKind = (typeof incidentKinds)[number];
export const yesNoUnknown = ['yes', 'no', 'unknown'] as const;
export type YesNoUnknown = (typeof yesNoUnknown)[number];

export const noticedThings = [...wishes, 'heel-up-twice', 'back-thigh-tight'] as const;
export type Noticed = (typeof noticedThings)[number];

export type EntryContent =
  /** An answer to "how much does it hurt, 0 to 10?"; 0 is gone. */
  | {
      readonly kind: 'pain';
      readonly joint: Joint;
      readonly side: Side | null;
      readonly level: number;
      readonly since: IsoDate | null;
    }
  | {
      readonly kind: 'fall';
      readonly fellOn: IsoDate;
      readonly hurt: boolean;
      readonly lookedAt: boolean;
      readonly headStruck: boolean;
      /** Nobody knows why: no trip, no slip, no push. */
      readonly unexplained: boolean;
    }
  /** Answers to the readiness questions. Those left out were not asked: such a screening holds for its day only. */
  | { readonly kind: 'screening'; readonly answers: Partial<Record<QuestionId, boolean>> }
  /** An outcome written down before the questions were kept. */
  | { readonly kind: 'carried-over'; readonly outcome: Readiness; readonly why: string }
  /** What a licensed professional answered. */
  | {
      readonly kind: 'clearance';
      readonly by: string;
      readonly answer: ClearanceAnswer;
      readonly limits: string;
      readonly until: IsoDate | null;
      /** The day on the answer, where it is not the day it was noted. */
      readonly answeredOn?: IsoDate | null;
    }
  /** What somebody agreed to, or no longer agrees to. */
  | { readonly kind: 'consent'; readonly to: ConsentTo; readonly given: boolean }
  | {
      readonly kind: 'day-check';
      readonly signs: readonly DaySign[];
      readonly pulse: number | null;
      /** One reading, or two, the second after five minutes seated; the last one counts. */
      readonly pressures: readonly Pressure[];
      /** Why the questions were not put; never empty when they were skipped. */
      readonly skippedBecause: string | null;
    }
  | {
      readonly kind: 'incident';
      /** When, on the wall clock of the hall, ISO 8601 with offset. */
      readonly at: string;
      readonly what: readonly IncidentKind[];
      readonly head: YesNoUnknown;
      readonly bloodThinners: YesNoUnknown;
      readonly called: string;
      readonly note: string;
    }
  /** A rung seen done cleanly in two classes, at most four weeks apart; this is the newer. */
  | {
      readonly kind: 'shown';
      readonly pattern: Pattern;
      readonly rung: number;
      readonly heldS?: number;
      readonly seatCm?: number;
    }
  /** Wished for, or seen by the instructor: it offers a movement beside the four. */
  | { readonly kind: 'noticed'; readonly what: Noticed }
  /** How somebody is coached, other than the hall or the instructor does; with a reason. */
  | { readonly kind: 'coaching'; readonly question: StyleQuestionId; readonly option: string; readonly reason: string }
  /** A movement hurt: what was done instead today, or that nothing was. */
  | {
      readonly kind: 'swap';
      readonly pattern: Pattern;
      readonly rung: number;
      readonly joint: LoadedJoint;
      readonly side: Side | null;
      readonly grade: SwapGrade;
      /** `null` where it was not asked. */
      readonly sharp: boolean | null;
      readonly where: SwapWhere | null;
      /** One of the signs that leave nothing to swap. */
      readonly sign: boolean;
      /** The code of what was done instead; `null` where nothing was offered. */
      readonly instead: string | null;
      readonly changes: readonly string[];
    }
  /** Takes an earlier entry back; it stays readable. */
  | { readonly kind: 'withdrawn'; readonly entryId: string; readonly reason: string };

export type EntryKind = EntryContent['kind'];
export type EntryOf<K extends EntryKind> = Entry & { readonly content: Extract<EntryContent, { kind: K }> };

/** Something with a date of its own, noted of a person; added, never changed. */
export interface Entry {
  readonly id: string;
  readonly personId: PersonId;
  /** The day it was noted, which is the day from which it was known. */
  readonly on: IsoDate;
  /** ISO 8601, to put entries of one day in order. */
  readonly savedAt: string;
  readonly content: EntryContent;
}

/** An intake with the moment it was saved, ISO 8601: an answer given before it says nothing of what it noted. */
export interface NotedIntake extends Intake {
  readonly savedAt: string;
}

/** Everything ever noted of one person, oldest first. */
export interface PersonRecord {
  readonly intakes: readonly NotedIntake[];
  readonly entries: readonly Entry[];
}
