import { daysBetween } from '../math/days';
import type { IsoDate, Readiness } from '../shapes/facts';
import type { Step } from '../steps';

export type StepState = 'done' | 'now' | 'later' | 'due' | 'blocked';

export interface PathStep {
  readonly step: Step;
  readonly state: StepState;
  /** A few words under the mark. */
  readonly note: string;
  /** Of a held step: why, in a sentence. */
  readonly why?: string;
}

export interface Path {
  readonly steps: readonly PathStep[];
  /** The one next thing to do. */
  readonly next: {
    readonly step: Step;
    readonly words: string;
    readonly at?: 'questions';
    /** Of the test: which. */
    readonly test?: string;
  };
}

export interface PathFacts {
  readonly today: IsoDate;
  readonly readiness: Readiness;
  readonly readinessWhy: string;
  /** The readiness questions were never put, or no longer hold. */
  readonly toAsk: boolean;
  /** What the intake still lacks, in words. */
  readonly lacking: readonly string[];
  /** The test to begin with, or the one that goes with it where only that was done; `null` once both were. */
  readonly begin: { readonly test: string; readonly title: string } | null;
  readonly lastTestedOn: IsoDate | null;
  /** Something happened since that makes the tests no longer true, and the test to take again first. */
  readonly again: { readonly why: string; readonly test: string } | null;
  /** A trial of the newest day that broke off and was not done again. */
  readonly toRepeat: boolean;
  readonly toWatch: number;
  /** How many levels wait for a yes. */
  readonly levelsWaiting: number;
  /** The movement of the first that is confirmed, or `null`. */
  readonly levelName: string | null;
  readonly dueOn: IsoDate | null;
}

/** How far somebody is, and the one thing to do next. */
export function pathOf(facts: PathFacts): Path {
  const held = facts.readiness === 'not-today' || facts.readiness === 'ask-first';
  const due = facts.dueOn !== null && facts.dueOn <= facts.today;
  const tested = facts.lastTestedOn !== null;
  const next = nextOf(facts, held, due);
  const state = (step: Step, otherwise: StepState): StepState => (next.step === step ? 'now' : otherwise);
  const readiness = {
    ready: 'ready',
    'ready-with-care': 'with care',
    'ask-first': facts.toAsk ? 'not asked yet' : 'ask first',
    'not-today': 'not today',
  };
  const steps: PathStep[] = [
    {
      step: 'intake',
      state: state('intake', facts.lacking.length > 0 ? 'due' : 'done'),
      note: facts.lacking.length > 0 && !held ? `${facts.lacking.join(', ')} missing` : readiness[facts.readiness],
    },
    held
      ? {
          step: 'test',
          state: 'blocked',
          note: facts.readiness === 'not-today' ? 'not today' : 'held',
          why: heldWords(facts),
        }
      : { step: 'test', state: state('test', due ? 'due' : tested ? 'done' : 'later'), note: testNote(facts) },
    { step: 'scores', state: tested ? 'done' : 'later', note: tested ? watchNote(facts.toWatch) : '' },
    facts.readiness === 'not-today'
      ? { step: 'levels', state: 'blocked', note: 'nothing today' }
      : {
          step: 'levels',
          state: state('levels', facts.levelsWaiting > 0 ? 'due' : facts.levelName ? 'done' : 'later'),
          note: facts.levelsWaiting > 0 ? `${facts.levelsWaiting} to confirm` : (facts.levelName ?? ''),
        },
    {
      step: 'retest',
      state: state('retest', due ? 'due' : 'later'),
      note: facts.dueOn ? dueNote(facts.dueOn, facts.today) : '',
    },
  ];
  return { steps, next };
}

function nextOf(facts: PathFacts, held: boolean, due: boolean): Path['next'] {
  if (held && facts.toAsk && facts.readiness === 'ask-first')
    return { step: 'intake', at: 'questions', words: 'Ask the readiness questions' };
  if (held) return { step: 'intake', words: heldWords(facts) };
  if (facts.again) {
    const { why, test } = facts.again;
    return {
      step: 'test',
      test,
      words: `Three minutes, before anything else: four positions and chair stands again, ${why}`,
    };
  }
  if (facts.toRepeat) return { step: 'test', words: 'Repeat the test that broke off' };
  if (facts.begin) {
    const { test, title } = facts.begin;
    return { step: 'test', test, words: `Run the ${title.charAt(0).toLowerCase()}${title.slice(1)}` };
  }
  if (facts.levelsWaiting === 1) return { step: 'levels', words: 'Look at the level that waits and confirm it' };
  if (facts.levelsWaiting > 1)
    return { step: 'levels', words: `Look at the ${facts.levelsWaiting} levels that wait and confirm them` };
  if (due) return { step: 'test', words: 'Test again: the retest is due' };
  return {
    step: 'retest',
    words: `Nothing to do; retest ${facts.dueOn ? dueNote(facts.dueOn, facts.today) : 'later'}`,
  };
}

function heldWords({ readiness, readinessWhy, toAsk }: PathFacts): string {
  if (toAsk && readiness === 'ask-first') return 'the questions come first';
  const what = readiness === 'not-today' ? 'not today' : 'ask first';
  return readinessWhy === '' ? what : `${what}: ${readinessWhy}`;
}

function testNote({ lastTestedOn, today, toRepeat }: PathFacts): string {
  if (toRepeat) return 'to be repeated';
  if (lastTestedOn === null) return 'not yet';
  const days = daysBetween(lastTestedOn, today);
  return days === 0
    ? 'today'
    : days === 1
      ? 'yesterday'
      : days < 21
        ? `${days} days ago`
        : `${Math.round(days / 7)} weeks ago`;
}

function watchNote(count: number): string {
  return count === 0 ? 'nothing to watch' : `${count} to watch`;
}

function dueNote(dueOn: IsoDate, today: IsoDate): string {
  const days = daysBetween(today, dueOn);
  if (days === 0) return 'due today';
  const words = spanWords(Math.abs(days));
  return days < 0 ? `due for ${words}` : `in ${words}`;
}

/** `1 day`, `13 days`, `7 weeks` */
function spanWords(days: number): string {
  if (days >= 14) return `${Math.round(days / 7)} weeks`;
  return days === 1 ? '1 day' : `${days} days`;
}
