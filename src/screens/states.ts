import type { Readiness } from '../core/shapes/facts';
import type { RegisterState } from '../core/view/registerLine';

/** Shape and tone of a state; the word beside it tells those of one shape apart. */
export const signs = ['ready', 'watch', 'stop', 'unknown', 'due', 'waits'] as const;
export type Sign = (typeof signs)[number];

interface StateLook {
  readonly sign: Sign;
  readonly word: string;
}

/**
 * Every state a person, a result or a level can be in, with its one sign and its one word. Whatever is held has the
 * square, whatever nobody has asked or measured yet the dashed ring, what is to be looked at closer the half diamond,
 * what has its time the clock, what waits for an instructor's yes the pale peg.
 */
export const states = {
  ready: { sign: 'ready', word: 'ready' },
  'with-care': { sign: 'watch', word: 'ready, with care' },
  'to-watch': { sign: 'watch', word: 'to watch' },
  'not-asked': { sign: 'unknown', word: 'not asked yet' },
  'not-tested': { sign: 'unknown', word: 'not tested yet' },
  'to-complete': { sign: 'unknown', word: 'intake to complete' },
  unreadable: { sign: 'unknown', word: 'record to put right' },
  'being-read': { sign: 'unknown', word: 'being read' },
  'ask-first': { sign: 'stop', word: 'ask first' },
  'not-today': { sign: 'stop', word: 'not today' },
  held: { sign: 'stop', word: 'held' },
  due: { sign: 'due', word: 'due' },
  waits: { sign: 'waits', word: 'waits for your yes' },
} as const satisfies Readonly<Record<string, StateLook>>;

export type State = keyof typeof states;

const ofRegister: Readonly<Record<RegisterState, State>> = {
  unreadable: 'unreadable',
  'being-read': 'being-read',
  'not-today': 'not-today',
  'ask-first': 'ask-first',
  'to-ask': 'not-asked',
  'not-tested': 'not-tested',
  due: 'due',
  'to-confirm': 'waits',
  'with-care': 'with-care',
  ready: 'ready',
};

/** How a line of the register stands. */
export const stateOfLine = (state: RegisterState): State => ofRegister[state];

/** How somebody stands by the questions. */
export const stateOfReadiness = (outcome: Readiness, asked: boolean): State => {
  if (outcome === 'ready-with-care') return 'with-care';
  return outcome === 'ask-first' && !asked ? 'not-asked' : outcome;
};
