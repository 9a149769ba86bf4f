import { cardWords } from '../catalogue/cards/words';
import { formChecks } from '../catalogue/form-checks/formChecks';
import { moveOf } from '../catalogue/ladders/moves';
import { posesOf } from '../catalogue/ladders/poses';
import {
  figureFor,
  homeCard,
  homeChoices,
  myCards,
  shortName,
  stationPanelOf,
  type Card,
  type CardBody,
  type CardBook,
  type CardFigure,
  type CardHead,
  type HomeChoice,
  type StationPanel,
} from '../core/card/cards';
import { ofKind } from '../core/intake/entries';
import { usualHeightCm } from '../core/figure/held';
import type { Level } from '../core/level/answer';
import { needsSpotter } from '../core/level/ownSpotter';
import { isOpen, trainedLevels } from '../core/level/standing';
import type { CardKind } from '../core/shapes/card';
import { ladderKey } from '../core/shapes/facts';
import type { LevelRules } from '../core/shapes/ladder';
import type { PersonId } from '../core/shapes/person';
import type { PersonView } from '../core/view/personView';
import { addHandedCards, listHandedCards, type HandedCards } from '../database/handedCards';
import { cardForm } from '../schemas/card';
import { parse } from '../schemas/parse';
import type { Desk } from './desk';
import { hashOf } from './hash';
import { readBeside } from './lastWord';
import { readPlace } from './places';
import { readPerson } from './readPeople';
import { readRules } from './rules';

export interface CardsNow {
  readonly cards: readonly Card[];
  /** Of a home card: what goes on it, and what does not yet and why. */
  readonly choices: readonly HomeChoice[];
  /** No height is noted: the figures are of a usual body. */
  readonly noHeight: boolean;
  readonly fingerprint: string;
}

/** The rest of what a card is made from. */
export const cardBookOf = (rules: LevelRules): CardBook => ({
  ...{ words: cardWords, ladders: [...rules.ladders, ...rules.accessories] },
  ...{ moveOf, posesOf, checks: formChecks },
});

export const cardBodyOf = ({ known }: Pick<PersonView, 'known'>): CardBody => ({
  heightCm: known.intake.heightCm ?? usualHeightCm,
  walker: [known.intake.aidOutdoors, known.intake.aidIndoors].includes('walker'),
  numbFeet: known.limiters.some((l) => l.kind === 'numb-feet'),
  falls: known.falls.length,
  aloneAtHome: known.intake.aloneAtHome || known.intake.toComplete.includes('contacts'),
  known,
});

/** How a level of somebody looks, with who may spot where one is needed; nothing of a movement of the hall's own. */
export function figureOf({ known }: Pick<PersonView, 'known'>, rules: LevelRules, level: Level): CardFigure | null {
  const figure = figureFor(level, cardBodyOf({ known }), posesOf);
  const rung = ladderRung(rules, level);
  return figure && rung ? { ...figure, spotted: needsSpotter(known, rung, level) } : figure;
}

/** The rung of a level, in the rules of the hall. */
export const ladderRung = ({ ladders, accessories }: LevelRules, { pattern, rung }: Level) =>
  [...ladders, ...accessories].find((l) => l.pattern === pattern)?.rungs.find((r) => r.rung === rung);

/** The card of a person as it would be printed now, and a mark that changes with anything on it. */
export async function readCards(desk: Desk, view: PersonView, kind: CardKind): Promise<CardsNow> {
  const [{ levels: rules }, place, beside] = [
    await readRules(desk),
    await readPlace(desk),
    await readBeside(desk, view),
  ];
  const book = cardBookOf(rules);
  const body = cardBodyOf(view);
  const levels = [...trainedLevels(view.standings), ...trainedLevels(beside.map((b) => b.standing))];
  const head: CardHead = {
    ...{ who: shortName(view.person.name), place: [place.name, place.town].filter((w) => w !== '').join(', ') },
    ...{ by: desk.who, madeOn: desk.today(), emergencyNumber: place.emergencyNumber },
    ...{ nextTestOn: view.due?.on ?? null, rulesVersion: rules.version },
  };
  const choices = kind === 'home' ? homeChoices(levels, openOf(view, beside), shownOf(view), body) : [];
  const home = choices.flatMap((c) => (c.kind === 'goes' ? [c.level] : []));
  const cards: Card[] =
    kind === 'my' ? myCards(head, levels, body, book) : home.length > 0 ? [homeCard(head, home, body, book)] : [];
  return { cards, choices, noHeight: view.known.intake.heightCm === null, fingerprint: hashOf(JSON.stringify(cards)) };
}

const openOf = (view: PersonView, beside: Awaited<ReturnType<typeof readBeside>>): Level[] => [
  ...view.levels.levels,
  ...beside.flatMap(({ standing: { ceiling } }) => (isOpen(ceiling) ? [ceiling] : [])),
];

/** Rungs seen clean in two classes. */
const shownOf = ({ known }: PersonView) => ofKind(known.entries, 'shown').map((e) => e.content);

export type KeepCard = { readonly kind: 'kept' | 'changed' | 'rejected' | 'not-found' };

/** Keeps a card that goes to the printer as it is; the same card again is kept once. */
export async function keepCard(desk: Desk, personId: PersonId, input: unknown): Promise<KeepCard> {
  const parsed = parse(cardForm, input);
  if (parsed.kind === 'bad') return { kind: 'rejected' };
  const view = await readPerson(desk, personId);
  if (!view) return { kind: 'not-found' };
  const now = await readCards(desk, view, parsed.value.kind);
  if (now.fingerprint !== parsed.value.fingerprint || now.cards.length === 0) return { kind: 'changed' };
  const at = desk.now();
  await addHandedCards(desk.db, personId, { id: crypto.randomUUID(), cards: now.cards }, now.fingerprint, at);
  return { kind: 'kept' };
}

/** Cards handed out of one person, newest first. */
export const readHandedCards = (desk: Desk, personId: PersonId): Promise<HandedCards[]> =>
  listHandedCards(desk.db, personId);

/** Whether somebody trains on something else by now than what stands on each of them. */
export function withNewer(
  handed: readonly HandedCards[],
  { decided }: Pick<PersonView, 'decided'>,
): (HandedCards & { readonly newer: boolean })[] {
  const newest = new Map(decided.map(({ level }) => [ladderKey(level), level]));
  return handed.map((one) => {
    const codes = one.cards.flatMap((c) => (c.kind === 'my' ? c.panels.map((p) => p.code) : []));
    const inForce = [...newest.values()].filter((l) => l.byHand?.word !== 'not-this').map((l) => l.code);
    return {
      ...one,
      newer: codes.length > 0 && (codes.some((c) => !inForce.includes(c)) || inForce.length > codes.length),
    };
  });
}

/** What whoever helps at a station needs of each movement of a person. */
export async function readStation(desk: Desk, view: PersonView): Promise<StationPanel[]> {
  const { levels: rules } = await readRules(desk);
  const book = cardBookOf(rules);
  return trainedLevels(view.standings).map((level) => stationPanelOf(level, cardBodyOf(view), book));
}
