import { styleQuestions } from '../catalogue/styles/styles';
import type { Level } from '../core/level/answer';
import { coachedBy, type Coached } from '../core/level/coaching';
import { hoverBodyOf } from '../core/level/target';
import { ankleFromWall } from '../core/load/seatTable';
import { styleCost, type StyleCost, type StyledBody } from '../core/load/styleCost';
import type { Coaching, StyleQuestion, StyleQuestionId } from '../core/shapes/style';
import type { PersonView } from '../core/view/personView';
import { findCoaching, saveCoaching } from '../database/place';
import { coachingForm } from '../schemas/coaching';
import { parse, type FieldError } from '../schemas/parse';
import { together, type Desk } from './desk';
import { factsOfPerson } from './readPeople';

/** How somebody is coached, or the hall where nobody is named. */
export async function readCoached(desk: Desk, device: Coaching, view?: Pick<PersonView, 'known'>): Promise<Coached[]> {
  const hall = await findCoaching(desk.db);
  const { entries, limiters } = view?.known ?? { entries: [], limiters: [] };
  return coachedBy(styleQuestions, { hall, device, entries, limiters });
}

/** The question of how the body is held on a rung; none where good instructors do it alike. */
export const styleOn = ({ pattern, rung }: Pick<Level, 'pattern' | 'rung'>): StyleQuestion | undefined =>
  styleQuestions.find(
    (q) =>
      q.options.some((o) => o.setUp) && q.on.some((on) => on.pattern === pattern && on.from <= rung && rung <= on.to),
  );

/** What each option of a question costs a body beside the one that is shipped. */
export interface OptionCost {
  readonly question: StyleQuestionId;
  readonly option: string;
  /** `null` where the body has no such posture, nor one near it. */
  readonly cost: StyleCost | null;
}

export interface CostsFor {
  readonly body: StyledBody;
  /** Nobody tested the ankle. */
  readonly assumed: boolean;
  readonly costs: readonly OptionCost[];
}

/** What the styles cost somebody's own body at the seat they rose from; ratios only. */
export async function readStyleCosts(desk: Desk, view: Pick<PersonView, 'person'>): Promise<CostsFor | null> {
  const found = await factsOfPerson(desk, view.person.id);
  if (!found) return null;
  const { heightCm, shownCm, wallCm } = hoverBodyOf(found.rules, found.facts);
  const { untoldHeightCm, untestedAnkleDeg } = found.rules.house.hover;
  const height = heightCm ?? untoldHeightCm;
  const ankleDeg = wallCm === null ? untestedAnkleDeg : ankleFromWall(height, wallCm);
  const body: StyledBody = { heightCm: height, ankleDeg, seatCm: shownCm };
  return { body, assumed: wallCm === null, costs: costsOf(body) };
}

/** Each beside the first of its question: hips back, and the upright lunge. */
function costsOf(body: StyledBody): OptionCost[] {
  return styleQuestions.flatMap(({ id, options: [first, ...others] }) => {
    const beside = first?.setUp;
    if (!beside) return [];
    return [first, ...others].flatMap(({ id: option, setUp }) =>
      setUp ? [{ question: id, option, cost: styleCost(setUp, beside, body) }] : [],
    );
  });
}

export type SaveCoaching =
  { readonly kind: 'saved' } | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

/** Chooses how the hall coaches, one question at a time. */
export async function chooseForHall(desk: Desk, sent: unknown): Promise<SaveCoaching> {
  const parsed = parse(coachingForm, sent);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const { question, option } = parsed.value;
  if (!isStyle(question, option))
    return { kind: 'rejected', errors: [{ path: '/option', message: `${option} is no answer to this question.` }] };
  await together(desk, async (trx) => saveCoaching(trx.db, { ...(await findCoaching(trx.db)), [question]: option }));
  return { kind: 'saved' };
}

/** Whether a question has such an answer. */
export const isStyle = (question: StyleQuestionId, option: string): boolean =>
  styleQuestions.some((q) => q.id === question && q.options.some((o) => o.id === option));
