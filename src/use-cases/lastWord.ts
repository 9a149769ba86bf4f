import type { ByHand, ClosedLadder, Level } from '../core/level/answer';
import { assignLevels, itemsOf, withAccessories } from '../core/level/assign';
import { besideOf, besideOwn, type Beside } from '../core/level/accessories';
import { levelOfOwn } from '../core/level/own';
import { asWished, handChoices, withoutWord, type HandChoice, type HandChoices } from '../core/level/byHand';
import { isOpen } from '../core/level/standing';
import { setPatterns, type Facts, type Pattern } from '../core/shapes/facts';
import type { Ladder, LevelRules } from '../core/shapes/ladder';
import type { PersonId } from '../core/shapes/person';
import { addDecision, hasDecision, listDecidedLevels } from '../database/decisions';
import { listOwn } from '../database/ownExercises';
import { parse, type FieldError } from '../schemas/parse';
import { wordForm, type WordForm } from '../schemas/word';
import { together, type Desk } from './desk';
import type { PersonView } from '../core/view/personView';
import { factsOfPerson } from './readPeople';

/** What an instructor may say of one ladder. */
export interface WordsOn {
  readonly pattern: Pattern;
  /** What the rules give by themselves. */
  readonly given: Level | ClosedLadder;
  readonly choices: HandChoices;
}

export type LastWord =
  | { readonly kind: 'kept'; readonly code: string }
  | { readonly kind: 'invalid'; readonly errors: readonly FieldError[] }
  /** The rules give something else by now: nothing was kept. */
  | { readonly kind: 'changed' }
  | { readonly kind: 'not-found' };

/** What may be said of every ladder of somebody, in their order; nothing where nobody may train today. */
export async function readWords(desk: Desk, id: PersonId): Promise<WordsOn[]> {
  return together(desk, async (trx) => {
    const found = await factsOfPerson(trx, id);
    if (!found) return [];
    const { rules, facts } = found;
    const open = assignLevels(rules, facts).refused === null;
    return open ? rules.ladders.map((ladder) => ({ pattern: ladder.pattern, ...wordsOn(rules, facts, ladder) })) : [];
  });
}

/** All there is beside the four for somebody, and what may be said of each; nothing where nobody may train today. */
export async function readBeside(
  desk: Desk,
  { person, levels, decided, lastTestedOn }: Pick<PersonView, 'person' | 'levels' | 'decided' | 'lastTestedOn'>,
): Promise<(Beside & { readonly words: WordsOn })[]> {
  return together(desk, async (trx) => {
    const found = await factsOfPerson(trx, person.id);
    if (!found || levels.refused) return [];
    const { facts } = found;
    const rules = withAccessories(found.rules);
    const onLadders = besideOf(rules, facts, levels.levels, decided, lastTestedOn).map((beside) => ({
      ...beside,
      words: { pattern: beside.ladder.pattern, ...wordsOn(rules, facts, beside.ladder) },
    }));
    const all = assignLevels(rules, facts);
    const owns = besideOwn(found.rules, facts, await listOwn(trx.db), all, decided).map((beside) => ({
      ...beside,
      words: { pattern: beside.ladder.pattern, given: beside.standing.ceiling, choices: ownChoices(beside) },
    }));
    const taken = ({ standing }: Beside): boolean => standing.inForce !== null && standing.state !== 'aside';
    return [...owns.filter(taken), ...onLadders, ...owns.filter((o) => !taken(o))];
  });
}

/** Nothing of it is set higher or lower: it is taken in or left out. */
const ownChoices = ({ standing: { ceiling } }: Beside): HandChoices => ({
  lower: isOpen(ceiling)
    ? [{ level: ceiling, supports: [], heightsCm: [], withins: [], doses: [], loadsKg: [], passes: [] }]
    : [],
  higher: [],
  closed: [],
});

function wordsOn(rules: LevelRules, facts: Facts, ladder: Ladder): Omit<WordsOn, 'pattern'> {
  const given = givenOn({ ...rules, ladders: [ladder] }, facts, ladder.pattern);
  return { given, choices: handChoices(rules, facts, ladder, given) };
}

function givenOn(rules: LevelRules, facts: Facts, pattern: Pattern): Level | ClosedLadder {
  // One ladder, or one item, is all it is asked of.
  const { levels, closed } = assignLevels(rules, withoutWord(facts, pattern));
  return levels.find((l) => l.pattern === pattern) ?? closed.find((l) => l.pattern === pattern) ?? nothing(pattern);
}

const nothing = (pattern: Pattern): ClosedLadder => ({ pattern, blockers: [] });

/**
 * Keeps the instructor's word on one ladder as a decision: as the rules give it, less of it, not at all, or with a reason
 * more. It never passes a limiter, the floor transfer, balance or the hall.
 * @param key made when it was pressed: sent twice it is kept once
 */
export async function sayLastWord(desk: Desk, id: PersonId, sent: unknown, key: string): Promise<LastWord> {
  const parsed = parse(wordForm, sent);
  if (parsed.kind === 'bad') return { kind: 'invalid', errors: parsed.errors };
  const form = parsed.value;
  return together(desk, async (trx): Promise<LastWord> => {
    const found = await factsOfPerson(trx, id);
    if (found && typeof form.own === 'string') return sayOfOwn(trx, id, form, form.own, key, found);
    const rules = found && withAccessories(found.rules);
    const ladder = rules?.ladders.flatMap(itemsOf).find((l) => isAsked(l, form));
    if (!found || !rules || !ladder) return { kind: 'not-found' };
    const { normsVersion, facts, today } = found;
    const { given, choices } = wordsOn(rules, facts, ladder);
    if (await hasDecision(trx.db, key)) return { kind: 'kept', code: form.seen };
    if ((isOpen(given) ? given.code : '') !== form.seen) return { kind: 'changed' };
    const level = levelSaid(form, given, choices, facts);
    if ('errors' in level) return { kind: 'invalid', errors: level.errors };
    await addDecision(trx.db, {
      ...{ id: key, personId: id, day: today, at: desk.now().toISOString(), by: desk.who },
      kind: form.word === 'as-it-is' ? 'test' : 'hand',
      ...{ rulesVersion: rules.version, normsVersion, facts, levels: [level] },
    });
    return { kind: 'kept', code: level.code };
  });
}

/** Of a movement of the hall's own it is said that it is taken in, or left out. */
async function sayOfOwn(
  desk: Desk,
  id: PersonId,
  form: WordForm,
  ownId: string,
  key: string,
  { rules, normsVersion, facts, today }: NonNullable<Awaited<ReturnType<typeof factsOfPerson>>>,
): Promise<LastWord> {
  const own = (await listOwn(desk.db)).find((o) => o.id === ownId && o.pattern === form.pattern);
  if (!own) return { kind: 'not-found' };
  if (await hasDecision(desk.db, key)) return { kind: 'kept', code: form.seen };
  const given = levelOfOwn(rules, facts, own, assignLevels(withAccessories(rules), facts));
  if ((isOpen(given) && !own.aside ? given.code : '') !== form.seen) return { kind: 'changed' };
  const left = (await listDecidedLevels(desk.db, [id])).findLast((d) => d.level.own?.id === ownId)?.level;
  const from = isOpen(given) ? given : left;
  if (!from || (form.word !== 'as-it-is' && form.word !== 'not-this') || (form.word === 'as-it-is' && !isOpen(given)))
    return {
      kind: 'invalid',
      errors: [{ path: '/word', message: 'A movement of the hall’s own is taken in or left out.' }],
    };
  const byHand: ByHand = { word: 'not-this', why: form.why.trim(), from: from.code };
  await addDecision(desk.db, {
    ...{ id: key, personId: id, day: today, at: desk.now().toISOString(), by: desk.who, kind: 'hand' },
    ...{ rulesVersion: rules.version, normsVersion, facts },
    levels: [form.word === 'not-this' ? { ...from, byHand } : from],
  });
  return { kind: 'kept', code: from.code };
}

const isAsked = ({ pattern, rungs }: Ladder, form: WordForm): boolean =>
  pattern === form.pattern && (!setPatterns.has(pattern) || rungs.some((r) => r.rung === form.item));

function levelSaid(
  { word, rung, support, heightCm, within, dose, loadKg, why }: WordForm,
  given: Level | ClosedLadder,
  { lower, higher, closed }: HandChoices,
  facts: Facts,
): Level | { readonly errors: FieldError[] } {
  const fault = (path: string, message: string) => ({ errors: [{ path, message }] });
  const byHand = (of: ByHand['word']): ByHand => ({ word: of, why: why.trim(), from: isOpen(given) ? given.code : '' });
  if (word === 'as-it-is' || word === 'not-this') {
    if (!isOpen(given)) return fault('/word', 'No rung is open here: there is nothing to say of it.');
    return word === 'not-this' ? { ...given, byHand: byHand('not-this') } : given;
  }
  const among: readonly HandChoice[] = word === 'lower' ? lower : higher;
  const choice = among.find((c) => c.level.rung === rung);
  if (!choice) {
    const blockers = closed.find((c) => c.rung === rung)?.blockers ?? [];
    return fault(
      '/rung',
      blockers.length > 0 ? `Not by hand: ${texts(blockers)}.` : 'Choose one of the rungs offered.',
    );
  }
  if (rung === null || support === null || dose === null) return fault('/rung', 'Choose a rung, hands and a dose.');
  const wished = asWished(choice, { rung, support, heightCm, within, dose, loadKg }, facts, byHand(word));
  if (!wished) return fault('/rung', 'That is more than the rules give on this rung: choose again.');
  const asFar = wished.within?.step === choice.withins.at(-1)?.step;
  if (isOpen(given) && wished.code === given.code && asFar)
    return fault('/rung', 'That is what the rules give: choose less.');
  return wished;
}

const texts = (blockers: readonly { readonly text: string }[]): string => blockers.map((b) => b.text).join('; ');
