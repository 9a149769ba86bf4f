import type { Blocker, ClosedLadder, Level } from '../../core/level/answer';
import type { HandChoice, HandChoices } from '../../core/level/byHand';
import { printDose } from '../../core/level/code';
import { isOpen, waitingLevel, whyOver, type Standing } from '../../core/level/standing';
import { supportWords } from '../../core/level/support';
import { massWords, sentenceIn, shortLengthWords, unitsOf } from '../../core/math/units';
import type { Dose } from '../../core/shapes/dose';
import { setPatterns, type Pattern } from '../../core/shapes/facts';
import type { Ladder } from '../../core/shapes/ladder';
import type { UnitSystem } from '../../core/shapes/person';
import { dayWords } from '../words';
import type { Line } from './keeping';
import type { RungToSet, WordProps } from './lastWord';

/** What may be said of a ladder by hand. */
export interface WordsOn {
  readonly pattern: Pattern;
  readonly given: Level | ClosedLadder;
  readonly choices: HandChoices;
}

/** Beside the name of a bay. */
export function noteOn(standing: Standing | undefined, waiting: readonly Level[]): string | null {
  if (!standing) return null;
  if (waiting.some((l) => l.pattern === standing.pattern)) return 'to confirm';
  if (standing.state === 'aside') return 'left out';
  const word = standing.inForce?.level.byHand?.word;
  return word === undefined ? null : word === 'kept' ? 'kept' : 'set by hand';
}

/** The levels that wait, each beside the one before it. */
export const linesOf = (standings: readonly Standing[], ladders: readonly Ladder[], units: UnitSystem): Line[] =>
  standings.flatMap((standing): Line[] => {
    const waits = waitingLevel(standing);
    if (!waits) return [];
    return [
      {
        pattern: standing.pattern,
        title: ladders.find((l) => l.pattern === standing.pattern)?.title ?? standing.pattern,
        was: standing.inForce?.level.code ?? null,
        becomes: waits.code,
        over: standing.state === 'over' ? whyOver(standing).map((text) => sentenceIn(text, units)) : [],
      },
    ];
  });

/** What may be said of a ladder by hand, in words; `null` where nobody trains today. */
export function wordProps(
  words: readonly WordsOn[],
  standing: Standing | undefined,
  ladder: Ladder,
  units: UnitSystem,
): WordProps | null {
  const on = words.find((w) => w.pattern === ladder.pattern);
  if (!on) return null;
  const { given, choices } = on;
  const toSet = (choice: HandChoice): RungToSet => ({
    rung: choice.level.rung,
    name: choice.level.name,
    supports: choice.supports.map((s) => [s, s === choice.level.support ? choice.level.supportWords : supportWords[s]]),
    heights: choice.heightsCm.map((cm) => [cm, shortLengthWords(cm, unitsOf[units].length)]),
    withins: choice.withins.map(({ step, words }) => [step, sentenceIn(words, units)]),
    doses: choice.doses.map((d) => [
      printDose(d),
      doseWords(d, ladder.rungs.find((r) => r.rung === choice.level.rung)?.aSide),
    ]),
    loads: choice.loadsKg.map((kg) => [kg, kg === null ? 'none' : massWords(kg, unitsOf[units].mass)]),
    passes: choice.passes.map((text) => sentenceIn(text, units)),
  });
  return {
    pattern: ladder.pattern,
    item: setPatterns.has(ladder.pattern) ? (ladder.rungs[0]?.rung ?? null) : null,
    seen: isOpen(given) ? given.code : '',
    lower: choices.lower.map(toSet),
    higher: choices.higher.map(toSet),
    closed: choices.closed.map(({ rung, name, blockers }) => sentenceIn(`${rung} ${name}: ${texts(blockers)}`, units)),
    standing: standingWords(standing, given),
  };
}

const texts = (blockers: readonly Blocker[]): string => blockers.map((b) => b.text).join('; ');

/** What was said by hand and stands: by whom, when, why, and what the rules would give. */
function standingWords(standing: Standing | undefined, given: Level | ClosedLadder): string | null {
  const byHand = standing?.inForce?.level.byHand;
  if (!standing?.inForce || !byHand || standing.state === 'over') return null;
  const { by, decidedOn } = standing.inForce;
  const did = {
    lower: 'Set lower by hand',
    higher: 'Set higher by hand',
    kept: 'The old one was kept',
    'not-this': 'Left out',
  }[byHand.word];
  const why = byHand.why === '' ? '' : `: “${byHand.why}”`;
  const rules = isOpen(given) ? ` The rules give ${given.code}.` : '';
  return `${did} on ${dayWords(decidedOn)} (${by})${why}.${rules}`;
}

/** @param aSide left and right each as often */
export function doseWords(dose: Dose, aSide = false): string {
  switch (dose.kind) {
    case 'reps':
      return `${dose.reps} ${dose.reps === 1 ? 'repetition' : 'repetitions'}${aSide ? ' a side' : ''}, ${dose.sets === 1 ? 'one set' : `${dose.sets} sets`}`;
    case 'holds':
      return `hold ${dose.holdS} s, ${dose.sets} times${aSide ? ' a side' : ''}`;
    case 'intervals':
      return `${dose.workS} s work, ${dose.restS} s rest, ${dose.rounds} rounds`;
    case 'half-minute':
      return `${dose.reps} every ${dose.everyS} s, ${dose.rounds} rounds`;
  }
}
