import { swapTable } from '../catalogue/ladders/swaps';
import { ofKind } from '../core/intake/entries';
import type { Entry } from '../core/shapes/intake';
import { besideOf } from '../core/level/accessories';
import { assignLevels, levelAt, withAccessories } from '../core/level/assign';
import type { Level } from '../core/level/answer';
import { isOpen, trainedLevel, waitingLevel, type Standing } from '../core/level/standing';
import { findSwaps, type SwapAnswer, type Swapped } from '../core/level/swap';
import { coachingStyles, type Facts, type Pattern } from '../core/shapes/facts';
import { loadedJoints, type LevelRules, type LoadedJoint } from '../core/shapes/ladder';
import type { PersonId } from '../core/shapes/person';
import type { Coaching } from '../core/shapes/style';
import type { SwapGrade } from '../core/shapes/swap';
import type { PersonView } from '../core/view/personView';
import { storeEntry } from '../database/entries';
import { parse, type FieldError } from '../schemas/parse';
import { swapForm, type SwapForm } from '../schemas/swap';
import { readCoached } from './coaching';
import { together, type Desk } from './desk';
import { factsOfPerson, readPerson } from './readPeople';

/** Grades at which anything may be offered. */
export const offeredGrades = ['0-2', '3-4'] as const satisfies readonly SwapGrade[];

/** All answers for a movement of somebody, so that two taps show one without asking again. */
export interface Swaps {
  readonly level: Level;
  readonly answers: Readonly<Record<LoadedJoint, Readonly<Record<(typeof offeredGrades)[number], SwapAnswer>>>>;
  /** Joints it was swapped for today: the second time nothing is offered. */
  readonly swappedToday: readonly LoadedJoint[];
}

export type ReadSwaps =
  | ({ readonly kind: 'swaps' } & Swaps)
  /** Not open to them today, in sentences why. */
  | { readonly kind: 'closed'; readonly why: readonly string[] };

/** What may be done today instead of one of somebody's movements, for every joint and grade. */
export async function readSwaps(
  desk: Desk,
  view: PersonView,
  pattern: Pattern,
  rung: number,
  device: Coaching = {},
): Promise<ReadSwaps> {
  return together(desk, async (trx) => {
    const known = await caseOf(trx, view, device);
    if (!known) return { kind: 'closed', why: ['nothing may be done today'] };
    const level = levelOf(known, pattern, rung);
    if ('why' in level) return { kind: 'closed', ...level };
    const swappedToday = swapsOn(known).map((e) => e.content.joint);
    const answer = (joint: LoadedJoint, grade: SwapGrade) =>
      answerTo(known, level, { joint, grade, sharp: null, sign: false });
    const answers = Object.fromEntries(
      loadedJoints.map((joint) => [joint, { '0-2': answer(joint, '0-2'), '3-4': answer(joint, '3-4') }]),
    ) as Swaps['answers'];
    return { kind: 'swaps', level, answers, swappedToday };
  });
}

/** One thing to do instead, as a running class offers it. */
export interface ClassOffer {
  readonly code: string;
  readonly name: string;
  readonly changes: readonly string[];
}

/** What a running class offers for each joint and grade; `null` where nothing is and it is left out. */
export type ClassSwaps = Readonly<
  Partial<Record<LoadedJoint, Readonly<Record<(typeof offeredGrades)[number], readonly ClassOffer[]>>>>
>;

/** The same finder for a running class, all of it at once: two taps show an answer without asking again. */
export async function swapsInClass(
  desk: Desk,
  id: PersonId,
  pattern: Pattern,
  rung: number,
): Promise<{ readonly swappedToday: readonly LoadedJoint[]; readonly offers: ClassSwaps } | null> {
  const view = await readPerson(desk, id);
  const found = view ? await readSwaps(desk, view, pattern, rung) : null;
  if (found?.kind !== 'swaps') return null;
  const told = (answer: SwapAnswer): ClassOffer[] =>
    answer.kind === 'offers'
      ? answer.offers.map(({ level, changes }) => ({ code: level.code, name: level.name, changes }))
      : [];
  const { answers, swappedToday } = found;
  const offers: ClassSwaps = Object.fromEntries(
    loadedJoints.map((j) => [j, { '0-2': told(answers[j]['0-2']), '3-4': told(answers[j]['3-4']) }]),
  );
  return { swappedToday, offers };
}

interface Case {
  readonly rules: LevelRules;
  readonly facts: Facts;
  readonly standings: readonly Standing[];
  readonly entries: readonly Entry[];
  readonly today: string;
}

async function caseOf(desk: Desk, view: PersonView, device: Coaching): Promise<Case | null> {
  const found = await factsOfPerson(desk, view.person.id);
  if (!found || view.levels.refused) return null;
  const { rules, today } = found;
  const coached = await readCoached(desk, device, view);
  const style = coachingStyles.find((s) => coached.some((c) => c.question.id === 'squat' && c.option.id === s));
  const facts = style ? { ...found.facts, style } : found.facts;
  const beside = besideOf(rules, facts, view.levels.levels, view.decided, view.lastTestedOn);
  const standings = [...view.standings, ...beside.map((b) => b.standing)];
  return { rules, facts, today, entries: view.known.entries, standings };
}

/** The level in force or waiting on that rung, or the rung as the rules open it; else why it is closed. */
function levelOf(
  { rules, facts, standings }: Case,
  pattern: Pattern,
  rung: number,
): Level | { readonly why: string[] } {
  const all = withAccessories(rules);
  const known = standings.flatMap((s) => [trainedLevel(s), waitingLevel(s), isOpen(s.ceiling) ? s.ceiling : null]);
  const mine = known.find((l) => l?.pattern === pattern && l.rung === rung);
  const at = levelAt(all, facts, pattern, rung, null);
  if (mine && isOpen(at)) return mine;
  if (isOpen(at)) {
    const ceiling = assignLevels(all, facts).levels.find((l) => l.pattern === pattern);
    return ceiling && ceiling.rung >= rung ? at : { why: ['it is above what is given today'] };
  }
  const why = at.blockers.map((b) => b.text);
  return { why: why.length > 0 ? why : ['there is no such movement'] };
}

const swapsOn = ({ entries, today }: Case) => ofKind(entries, 'swap').filter((e) => e.on === today);

function answerTo(
  one: Case,
  level: Level,
  { joint, grade, sharp, sign }: Pick<SwapForm, 'joint' | 'grade' | 'sharp' | 'sign'>,
): SwapAnswer {
  const again = swapsOn(one).some((e) => e.content.joint === joint);
  const asked = { level, joint, grade, sharp: sharp === true || sign, again };
  return findSwaps(swapTable, one.rules, one.facts, one.standings, asked);
}

export type KeepSwap =
  { readonly kind: 'kept' | 'not-found' } | { readonly kind: 'invalid'; readonly errors: readonly FieldError[] };

/**
 * Keeps what was done instead as an entry; where nothing was offered also the pain, by which readiness follows.
 * @param key made when it was pressed: sent twice it is kept once
 */
export async function keepSwap(
  desk: Desk,
  id: PersonId,
  sent: unknown,
  key: string,
  device: Coaching = {},
): Promise<KeepSwap> {
  const parsed = parse(swapForm, sent);
  if (parsed.kind === 'bad') return { kind: 'invalid', errors: parsed.errors };
  const form = parsed.value;
  return together(desk, async (trx): Promise<KeepSwap> => {
    const view = await readPerson(trx, id);
    if (!view) return { kind: 'not-found' };
    if (view.known.entries.some((e) => e.id === key)) return { kind: 'kept' };
    const one = await caseOf(trx, view, device);
    const level = one ? levelOf(one, form.pattern, form.rung) : { why: ['nothing may be done today'] };
    if (!one || 'why' in level)
      return fault(
        '/rung',
        `${form.pattern}${form.rung} is closed to them: ${'why' in level ? level.why.join('; ') : ''}.`,
      );
    const answer = answerTo(one, level, form);
    const chosen = chosenOf(form, answer);
    if (chosen && 'message' in chosen) return fault(chosen.path, chosen.message);
    const { pain, ...content } = form;
    const about = { personId: id, on: one.today, savedAt: desk.now().toISOString() };
    const changes = chosen?.changes ?? [];
    await storeEntry(trx.db, { ...about, id: key, content: { kind: 'swap', ...content, changes } }, desk.who);
    if (chosen || pain === null) return { kind: 'kept' };
    const noted = { kind: 'pain', joint: form.joint, side: form.side, level: pain, since: null } as const;
    await storeEntry(trx.db, { ...about, id: `${key.slice(0, 58)}-pain`, content: noted }, desk.who);
    return { kind: 'kept' };
  });
}

const fault = (path: string, message: string): KeepSwap => ({ kind: 'invalid', errors: [{ path, message }] });

/** What was chosen of what is offered; `null` where nothing is. */
function chosenOf({ instead, changes, pain }: SwapForm, answer: SwapAnswer): Swapped | FieldError | null {
  if (answer.kind === 'nothing') {
    if (instead !== null)
      return { path: '/instead', message: 'Nothing is offered here any more: leave this movement out today.' };
    return pain === null && answer.why !== 'not-loaded' && answer.why !== 'none-open'
      ? { path: '/pain', message: 'Tap how much it hurts, 0 to 10: it is noted.' }
      : null;
  }
  const chosen = answer.offers.find((o) => o.level.code === instead && o.changes.join() === changes.join());
  return chosen ?? { path: '/instead', message: 'Choose one of what is offered: something new was noted since.' };
}
