import type { Level } from '../level/answer';
import { needsSpotter, type Steadiness } from '../level/ownSpotter';
import { legToMind, spotterSide } from '../level/sides';
import type { CardWords } from '../shapes/card';
import type { IsoDate } from '../shapes/facts';
import type { Ladder, Rung } from '../shapes/ladder';
import type { FormCheck, Move } from '../shapes/move';
import { setPatterns, type Pattern } from '../shapes/facts';
import type { RungPoses } from '../shapes/pose';
import { placeFor, withHands } from '../figure/held';
import type { Place as FigurePlace } from '../figure/pose';
import { breathLine, capital, doseLine, handsLine, tempoLine } from './words';

/** A figure as it was handed out: poses and place, from which it is drawn again. */
export interface CardFigure {
  readonly poses: RungPoses;
  readonly place: FigurePlace;
  /** Somebody who may spot stands by; left out on cards that were handed out before. */
  readonly spotted?: boolean;
}

/** One movement on a card. */
export interface CardPanel {
  readonly pattern: Pattern;
  readonly code: string;
  readonly name: string;
  readonly chair: readonly string[];
  readonly hands: string | null;
  /** Where the own helper stands; left out on cards that were handed out before. */
  readonly helper?: string | null;
  readonly dose: string;
  readonly tempo: string | null;
  readonly breath: string | null;
  /** Which leg, where it matters. */
  readonly leg: string | null;
  readonly load: string | null;
  /** How much of the movement. */
  readonly much: string | null;
  readonly lookAfter: string | null;
  readonly figure: CardFigure | null;
}

export interface CardHead {
  readonly who: string;
  readonly place: string;
  readonly by: string;
  readonly madeOn: IsoDate;
  readonly emergencyNumber: string;
  readonly nextTestOn: IsoDate | null;
  readonly rulesVersion: string;
}

/** Of the person, to train by: at most four movements, and on its back when to stop and whom to call. */
export interface MyCard extends CardHead {
  readonly kind: 'my';
  readonly panels: readonly CardPanel[];
}
export interface HomeCard extends CardHead {
  readonly kind: 'home';
  readonly panels: readonly CardPanel[];
  /** The height of the seat of the level, where one is known, to hold the home chair against. */
  readonly seatCm: number | null;
}
export type Card = MyCard | HomeCard;

/** What there is of each movement. */
export interface CardBook {
  readonly words: CardWords;
  readonly ladders: readonly Ladder[];
  readonly moveOf: (pattern: Pattern, rung: number) => Move | undefined;
  readonly posesOf: (pattern: Pattern, rung: number) => RungPoses | undefined;
  readonly checks: readonly FormCheck[];
}

export interface CardBody {
  /** A usual height where none is known: the figure is then no one's in particular. */
  readonly heightCm: number;
  readonly walker: boolean;
  readonly numbFeet: boolean;
  readonly falls: number;
  /** Nobody is at home, or it was not asked yet. */
  readonly aloneAtHome: boolean;
  readonly known: Steadiness;
}

/** First name and the initial of the surname: nobody is named in full on a card that lies about. */
export function shortName(name: string): string {
  const [first = '', ...rest] = name.trim().split(/\s+/);
  const last = rest.at(-1);
  return last === undefined ? first : `${first} ${last.charAt(0)}.`;
}

/** At most so many movements go on one card. */
export const mostPanels = 4;

/** The cards of what is in force: four movements each, the four ladders first. */
export function myCards(head: CardHead, levels: readonly Level[], body: CardBody, book: CardBook): MyCard[] {
  const panels = levels.map((level) => panelOf(level, body, book));
  const cards = Array.from({ length: Math.ceil(panels.length / mostPanels) }, (_, i) =>
    panels.slice(i * mostPanels, (i + 1) * mostPanels),
  );
  return cards.map((some) => ({ ...head, kind: 'my', panels: some }));
}

const rungOf = ({ ladders }: CardBook, { pattern, rung }: Pick<Level, 'pattern' | 'rung'>): Rung | undefined =>
  ladders.find((l) => l.pattern === pattern)?.rungs.find((r) => r.rung === rung);

/** How a level looks for a body, with the hands as it says; nothing of a movement of a hall's own. */
export function figureFor(
  level: Level,
  { heightCm }: Pick<CardBody, 'heightCm'>,
  posesOf: CardBook['posesOf'],
): CardFigure | null {
  const poses = level.own ? undefined : posesOf(level.pattern, level.rung);
  return poses ? { poses: withHands(poses, level.support), place: placeFor(heightCm, level) } : null;
}

export function panelOf(level: Level, body: CardBody, book: CardBook): CardPanel {
  const { pattern, rung } = level;
  const move = level.own ? undefined : book.moveOf(pattern, rung);
  const entry = level.own ? undefined : rungOf(book, level);
  const poses = level.own ? undefined : book.posesOf(pattern, rung);
  const arms = (level.targetFrom ?? []).some((from) => from.includes('arms'));
  const check = book.checks.find((c) => c.code === move?.checks[0]);
  const mind = legToMind(level.sides ?? []);
  return {
    ...{ pattern, code: level.code, name: move?.name ?? level.name },
    chair: chairLines(level, entry, poses),
    hands: level.own ? null : handsLine(book.words.hands, level, { arms, walker: body.walker }),
    helper: entry && needsSpotter(body.known, entry, level) ? helperLine(level) : null,
    dose: doseLine(level, entry?.aSide === true),
    // How slowly it comes down may itself be what is made more of.
    tempo: move && entry?.within?.[0]?.dial !== 'lowering' ? tempoLine(move) : null,
    breath: move ? breathLine(move) : null,
    leg: mind === null ? null : `Sore leg ${mind === 'front' ? 'in front' : 'behind'}.`,
    load: loadLine(level),
    much: level.within ? `${capital(level.within.words)}.` : null,
    lookAfter: check?.cue ?? null,
    figure: figureFor(level, body, book.posesOf),
  };
}

function loadLine({ loadKg, carried }: Level): string | null {
  if (loadKg === null) return null;
  switch (carried) {
    case 'each-hand':
      return `${loadKg / 2} kg in each hand.`;
    case 'in-box':
      return `${loadKg} kg in the box.`;
    case undefined:
      return `The ${loadKg} kg weight, held at the breastbone.`;
  }
}

/** Where the own helper stands, as it is said to the person. */
function helperLine({ sides }: Level): string {
  const side = spotterSide(sides ?? []);
  return side ? `Your helper stands on your ${side === 'L' ? 'left' : 'right'}.` : 'Your helper stands beside you.';
}

/** `48 cm: chair of 43 cm with a pad of 5 cm. Tie the pad.` */
function chairLines(
  { targetCm, targetFrom, firmStepCm = 0 }: Level,
  entry: Rung | undefined,
  poses: RungPoses | undefined,
): string[] {
  const step = firmStepCm > 0 ? [`A step of ${firmStepCm} cm under your feet.`] : [];
  if (targetCm === null)
    return [...(poses?.props.includes('chair') ? ['A firm chair, its back to the wall.'] : []), ...step];
  if (entry?.target && 'lifts' in entry.target)
    return [`The box stands at ${targetCm} cm, on something firm.`, ...step];
  const [chair = '', ...more] = targetFrom ?? [];
  const pads = more.filter((m) => m.includes('pad'));
  const built = more.length > 0 ? ` (${[chair, ...more].map((part) => `${part} cm`).join(' + ')})` : '';
  return [
    `${targetCm} cm${built}, its back to the wall.${pads.length > 0 ? ` Tie the ${pads.length > 1 ? 'pads' : 'pad'}.` : ''}`,
    ...step,
  ];
}

/** A movement that may go home, or why it may not yet. */
export type HomeChoice =
  | { readonly kind: 'goes'; readonly level: Level }
  | { readonly kind: 'stays'; readonly pattern: Pattern; readonly why: string };

export interface Shown {
  readonly pattern: Pattern;
  readonly rung: number;
}

/**
 * What goes home, at most three: the own squat where it is held or seated, heels and toes with both hands, the seated bow;
 * the seated squeeze in place of the heels for who falls with a frame, has numb feet or nobody at home. Only what was seen clean in class.
 * @param open what the rules give today of each ladder, whatever is in force
 */
export function homeChoices(
  levels: readonly Level[],
  open: readonly Level[],
  shown: readonly Shown[],
  body: CardBody,
): HomeChoice[] {
  const steady = !((body.falls > 0 && body.walker) || body.numbFeet || body.aloneAtHome);
  const squat = levels.find((l) => l.pattern === 'S');
  const wanted: (readonly [Pattern, number])[] = [
    ['S', Math.min(4, squat?.rung ?? 0)],
    steady ? ['A', 1] : ['B', 1],
    ['H', 1],
  ];
  return wanted.map(([pattern, rung]): HomeChoice => {
    const stays = (why: string): HomeChoice => ({ kind: 'stays', pattern, why });
    const level = [...levels, ...open].find((l) => l.pattern === pattern);
    if (!level || rung === 0) return stays('nothing of it is open today');
    if (!shown.some((s) => s.pattern === pattern && s.rung >= rung && !setPatterns.has(pattern)))
      return stays(`${pattern}${rung} was not yet seen clean in class`);
    const held = level.rung === rung ? level : { ...level, rung, targetCm: null, targetFrom: null };
    // At home both hands hold, or one where both would be in the way.
    const support = pattern === 'S' && rung === 4 ? '1' : '2';
    return { kind: 'goes', level: { ...held, support, loadKg: null, code: `${pattern}${rung}` } };
  });
}

export function homeCard(head: CardHead, levels: readonly Level[], body: CardBody, book: CardBook): HomeCard {
  const seatCm = levels.find((l) => l.pattern === 'S')?.targetCm ?? null;
  const panels = levels.slice(0, book.words.home.most).map((level) => {
    const panel = panelOf(level, body, book);
    const hands = level.pattern === 'S' && level.rung === 4 ? 'One hand on the counter beside you.' : panel.hands;
    return {
      ...panel,
      chair: panel.chair.length > 0 ? [book.words.home.seat] : [],
      hands: hands?.replaceAll('the rail', 'the counter') ?? null,
      helper: null,
    };
  });
  return { ...head, kind: 'home', panels, seatCm };
}

/** One movement as whoever helps needs it: no word of health. */
export interface StationPanel {
  readonly pattern: Pattern;
  readonly name: string;
  readonly setUp: readonly string[];
  readonly stand: string;
  readonly look: readonly { readonly seen: string; readonly cue: string; readonly ends: boolean }[];
  readonly figure: CardFigure | null;
}

export function stationPanelOf(level: Level, body: CardBody, book: CardBook): StationPanel {
  const move = book.moveOf(level.pattern, level.rung);
  const { chair, hands, figure, name, pattern } = panelOf(level, body, book);
  const stance = rungOf(book, level)?.stance;
  const side = spotterSide(level.sides ?? []);
  return {
    ...{ name, pattern },
    figure: figure && { ...figure, spotted: stance !== 'seated' && stance !== 'lying' },
    setUp: [...chair, ...(hands ? [hands] : [])],
    stand: side
      ? `Stay within arm’s reach, ${side === 'L' ? 'left' : 'right'} side.`
      : 'Stay within arm’s reach, where no hand holds on.',
    look: (move?.checks ?? []).flatMap((code) => {
      const check = book.checks.find((c) => c.code === code);
      return check ? [{ seen: check.seen, cue: check.cue, ends: check.ends === 'yes' }] : [];
    }),
  };
}
