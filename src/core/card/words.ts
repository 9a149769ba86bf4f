import type { Level } from '../level/answer';
import type { HandsRow } from '../shapes/card';
import type { Dose } from '../shapes/dose';
import type { Pattern } from '../shapes/facts';
import type { Move } from '../shapes/move';

/** Whether a rung is named by `S`, `S4` or `L6-8`. */
export function isNamed(on: string, pattern: Pattern, rung: number): boolean {
  const [, letter, from, to = from] = /^([A-Z])(?:(\d)(?:-(\d))?)?$/.exec(on) ?? [];
  return letter === pattern && (from === undefined || (Number(from) <= rung && rung <= Number(to)));
}

interface HandsCase {
  readonly arms: boolean;
  readonly walker: boolean;
}

/** How the hands help, in the words of a card; `null` where the movement says it. */
export function handsLine(
  rows: readonly HandsRow[],
  { pattern, rung, support }: Pick<Level, 'pattern' | 'rung' | 'support'>,
  has: HandsCase,
): string | null {
  const row = rows.find(
    (r) =>
      r.support.includes(support) &&
      (r.on?.some((on) => isNamed(on, pattern, rung)) ?? true) &&
      (r.with === undefined || has[r.with]),
  );
  if (!row) throw new RangeError(`no words for the hands of ${pattern}${rung} at ${support}`);
  return row.words;
}

const words = ['none', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
const inWords = (n: number): string => words[n] ?? String(n);
const timesOver = (n: number): string => (n === 1 ? 'Once.' : n === 2 ? 'Twice.' : `${capital(inWords(n))} times.`);
const again = (sets: number): string[] =>
  sets === 1 ? [] : sets === 2 ? ['Rest. Once more.'] : [`Rest. Do this ${inWords(sets)} times.`];
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Standing up from a seat is followed by a minute on it. */
const sitsBetween = ({ pattern, rung }: Pick<Level, 'pattern' | 'rung'>): boolean =>
  pattern === 'S' && rung >= 2 && rung <= 4;

/** How many, as somebody counts: `4 times. Sit one minute. Do this three times.` */
export function doseLine(level: Pick<Level, 'pattern' | 'rung' | 'dose'>, aSide: boolean): string {
  const { dose } = level;
  switch (dose.kind) {
    case 'reps':
      return repsLine(level, dose, aSide);
    case 'holds':
      if (level.pattern === 'B' && level.rung === 1)
        return `Squeeze and count to ${dose.holdS}. Let go. ${timesOver(dose.sets)}`;
      return `Hold and count to ${dose.holdS} aloud${aSide ? ', each side' : ''}.${dose.sets === 1 ? ' Once.' : ` Rest one minute. ${timesOver(dose.sets)}`}`;
    case 'intervals':
      if (dose.restS === 0) return `${secondsWords(dose.workS)} each leg. On the days ticked.`;
      return `${secondsWords(dose.workS)} of work, ${dose.restS} seconds rest. ${timesOver(dose.rounds)} (In class)`;
    case 'half-minute':
      return `${dose.reps} times each ${dose.everyS === 30 ? 'half-minute' : `${dose.everyS} seconds`}. ${capital(inWords(dose.rounds))} rounds. (In class)`;
  }
}

const secondsWords = (s: number): string => (s === 30 ? 'Half a minute' : `${s} seconds`);

function repsLine(
  level: Pick<Level, 'pattern' | 'rung'>,
  { reps, sets }: Extract<Dose, { kind: 'reps' }>,
  aSide: boolean,
): string {
  if (aSide) return [`${reps} with the left, ${reps} with the right.`, ...again(sets)].join(' ');
  const once = `${reps} ${reps === 1 ? 'time' : 'times'}.`;
  if (sets === 1) return once;
  if (sitsBetween(level))
    return `${once} Sit one minute. ${sets === 2 ? 'Once more.' : `Do this ${inWords(sets)} times.`}`;
  return sets === 2
    ? `${once} Rest. ${reps} ${reps === 1 ? 'time' : 'times'} again.`
    : [once, ...again(sets)].join(' ');
}

const count = (to: number): string => Array.from({ length: to }, (_, i) => inWords(i + 1)).join(', ');

/** How slowly: `2 up 4 down` is counted out; what is held says nothing. */
export function tempoLine({ tempo }: Pick<Move, 'tempo'>): string | null {
  const parts = [...tempo.matchAll(/(\d) (up|down|forward|back|home|out|in)\b/g)];
  if (parts.length === 0) return tempo === 'hold' || tempo.includes(' s') ? null : `${capital(tempo)}.`;
  const held = /hold (\d)/.exec(tempo);
  return parts
    .map(
      ([, n, way], i) =>
        `${capital(way ?? '')}: ${count(Number(n))}.${i === 0 && held ? ` Hold: ${count(Number(held[1]))}.` : ''}`,
    )
    .join(' ');
}

/** When to breathe out: `Out as you stand.` becomes a sentence. */
export function breathLine({ breath }: Pick<Move, 'breath'>): string {
  if (breath.startsWith('Keep')) return breath;
  if (breath.startsWith('Easy')) return 'Breathe easily.';
  return `Breathe ${breath.charAt(0).toLowerCase()}${breath.slice(1)}`;
}
