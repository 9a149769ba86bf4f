import type { DaySign, IntakeSection, QuestionId } from './intake';
import type { AskFirstKind, IsoDate, LimiterKind, Readiness } from './facts';
import type { Source } from './norms';

/** One of the readiness questions, in our own words. */
export interface ReadinessQuestion {
  readonly id: QuestionId;
  /** Said once before it and those after it that ask for the same. */
  readonly lead?: string;
  readonly asks: string;
  /** What a yes means; `active` and `disease` are weighed together, see `core/intake/screening.ts`. */
  readonly role: 'active' | 'disease' | 'symptom' | 'asks-first';
  /** Said as the reason when the answer is yes. */
  readonly why: string;
  readonly source: Source;
}

/** One thing of the check on the day. */
export interface DaySignRow {
  readonly id: DaySign;
  readonly asks: string;
  readonly outcome: Extract<Readiness, 'not-today' | 'ready-with-care'>;
  readonly why: string;
  readonly nextStep: string;
  /** From the next day on a licensed professional is asked first. */
  readonly thenAskFirst: boolean;
  readonly source: Source;
}

export interface PressureRule {
  readonly systolic: number;
  readonly diastolic: number;
  readonly nextStep: string;
}

/** A lower limit, and the one of somebody who is dizzy. */
export interface Low {
  readonly always: number;
  readonly dizzy: number;
}

/** Everything the readiness rules need besides the record; data from the catalogue. */
export interface ReadinessRules {
  readonly questions: readonly ReadinessQuestion[];
  /** Every symptom asked in one breath. */
  readonly symptomsAtOnce: ReadinessQuestion;
  /** What may go on while somebody is asked first, by what for; `light` where the hall lets light work go on. */
  readonly meanwhile: Readonly<Record<AskFirstKind | 'light', string>>;
  readonly signs: readonly DaySignRow[];
  readonly pulseOver: number;
  /** From here on it is taken again after five seated minutes, and their doctor told. */
  readonly pulseAgainFrom: number;
  /** Too low, and too low for somebody who is dizzy; the same of the upper pressure. */
  readonly pulseUnder: Low;
  readonly systolicUnder: Low;
  /** From the highest down. */
  readonly pressures: readonly PressureRule[];
  readonly secondReadingAfterS: number;
  readonly lapsesAfterDays: number;
  readonly painAgainAfterDays: number;
  readonly painsRemembered: number;
  readonly strongPain: number;
  /** What a joint that is hot or swollen counts as. */
  readonly hotJointPain: number;
  readonly surgeryDays: number;
  readonly eyeSurgeryDays: number;
  readonly newJointDays: number;
  /** A joint replaced longer ago without limits anybody set is ready; its own rules hold. */
  readonly oldJointDays: number;
  /** Back pain from here on, for so many days or nobody knows since when, is asked about as a fracture. */
  readonly newBackPain: { readonly from: number; readonly days: number };
  readonly fallsForCare: number;
  /** The limiters that a part of the intake tells of. */
  readonly told: Readonly<Partial<Record<IntakeSection, readonly LimiterKind[]>>>;
  readonly screeningSource: Source;
  readonly source: Source;
}

/** Why somebody is not simply ready. */
export interface ReadinessReason {
  readonly id: string;
  readonly outcome: Exclude<Readiness, 'ready'>;
  readonly text: string;
  readonly nextStep: string;
  /** The moment it began to hold, a day or an entry’s moment: an answer given before it says nothing of it. */
  readonly since: string;
  /** The day it happened, where it has one: an answer of before that day does not speak of it. */
  readonly happenedOn?: IsoDate;
  readonly source: Source;
  /** Of one to ask first: what for; by what a professional is asked as for symptoms where left out. */
  readonly askFirst?: AskFirstKind;
}

export interface ReadinessAnswer {
  readonly outcome: Readiness;
  /** Whether the questions were put, and still hold. */
  readonly asked: 'never' | 'lapsed' | 'current';
  /** Hardest first. */
  readonly reasons: readonly ReadinessReason[];
  /** What a professional, or the screening, allows only so far. */
  readonly limits: readonly string[];
  /** Last day on which the questions hold. */
  readonly until: string | null;
}
