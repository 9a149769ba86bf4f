import { addDays, daysBetween } from '../math/days';
import { readinessOutcomes, type AskFirstKind, type IsoDate, type Limiter, type Readiness } from '../shapes/facts';
import {
  questionIds,
  type DaySign,
  type Entry,
  type EntryOf,
  type Intake,
  type Joint,
  type QuestionId,
} from '../shapes/intake';
import type { ReadinessAnswer, ReadinessReason, ReadinessRules } from '../shapes/readiness';
import { inOrder, momentOf, ofKind } from './entries';
import { lastDayOf } from './inForce';
import { branchLimits, branchOf, screeningReasons } from './screening';

const rank = (outcome: Readiness): number => readinessOutcomes.indexOf(outcome);

/**
 * Who may be tested on a day: the hardest of all reasons that no professional answered.
 *
 * The questions lapse after a year, and at once on a fall, new strong pain, surgery or an incident; until they are put
 * again the answer is no better than *ask first*.
 * @param entries those known on the day, see `entriesUntil`
 * @param limiters those in force on the day, pains included
 * @param notedSince the moment a limiter was first noted: only a later answer of a professional speaks of it
 */
export function readinessOn(
  intake: Intake,
  entries: readonly Entry[],
  limiters: readonly Limiter[],
  notedSince: (limiter: Limiter) => string,
  day: IsoDate,
  rules: ReadinessRules,
): ReadinessAnswer {
  const { asked, until, why } = askedState(intake, entries, notedSince, day, rules);
  const open = [
    ...toAskReason(asked, why, day, rules),
    ...carriedReasons(entries, rules),
    ...answerReasons(entries, rules),
    ...limiterReasons(limiters, entries, notedSince, day, rules),
    ...fallReasons(entries, day, rules),
    ...dayReasons(entries, limiters, day, rules),
    ...incidentReasons(entries, day, rules),
  ];
  const clearances = ofKind(entries, 'clearance').filter((c) => day <= clearedUntil(c, rules));
  const reasons = open
    .map((reason) => answered(reason, clearances))
    .filter((r) => r !== null)
    .sort((a, b) => rank(b.outcome) - rank(a.outcome));
  const branchLimit = branchLimits[branchOf(newestAnswers(entries))];
  const limits = [
    ...clearances.flatMap(({ content }) => (content.limits === '' ? [] : [`${content.limits} (${content.by})`])),
    ...(asked === 'never' || branchLimit === null ? [] : [branchLimit]),
  ];
  return { outcome: reasons[0]?.outcome ?? 'ready', asked, reasons, limits, until };
}

/** Last day a clearance holds: the day it names, or as long as the questions do. */
const clearedUntil = (c: EntryOf<'clearance'>, rules: ReadinessRules): IsoDate =>
  c.content.until ?? addDays(c.on, rules.lapsesAfterDays);

/** The day that stands on an answer, or on which it was noted. */
const answerDay = ({ on, content }: EntryOf<'clearance'>): IsoDate => content.answeredOn ?? on;

/** What happened after an answer was given it does not speak of, whenever it was noted. */
const speaksOf = ({ happenedOn = '' }: ReadinessReason, answeredOn: IsoDate): boolean => happenedOn <= answeredOn;

/**
 * Where all that is open happened after an answer was given, it answers nothing.
 * @returns one of what is open; `null` where it answers one, or nothing is open
 */
export function newerThanAnswer({ reasons }: ReadinessAnswer, answeredOn: IsoDate): ReadinessReason | null {
  const open = reasons.filter((r) => r.outcome === 'ask-first' && r.id !== 'to-ask');
  return open.every((r) => !speaksOf(r, answeredOn)) ? (open[0] ?? null) : null;
}

/** A reason to ask first is settled by a later answer of a professional; the others are not theirs to settle. */
function answered(reason: ReadinessReason, clearances: readonly EntryOf<'clearance'>[]): ReadinessReason | null {
  if (reason.outcome !== 'ask-first' || reason.id === 'to-ask') return reason;
  const answer = clearances.findLast((c) => momentOf(c) >= reason.since && speaksOf(reason, answerDay(c)));
  if (!answer) return reason;
  const { by, answer: said } = answer.content;
  if (said === 'may') return null;
  if (said === 'not-now')
    return { ...reason, text: `${reason.text}: not for now (${by})`, nextStep: 'Ask again later.' };
  return {
    ...reason,
    outcome: 'ready-with-care',
    text: `${reason.text}: with limits (${by})`,
    nextStep: 'Keep to the limits.',
  };
}

interface AskedState {
  readonly asked: ReadinessAnswer['asked'];
  readonly until: IsoDate | null;
  readonly why: string;
}

function askedState(
  intake: Intake,
  entries: readonly Entry[],
  notedSince: (limiter: Limiter) => string,
  day: IsoDate,
  rules: ReadinessRules,
): AskedState {
  const newest = ofKind(entries, 'screening', 'carried-over').at(-1);
  if (!newest) return { asked: 'never', until: null, why: 'The readiness questions were not put yet.' };
  const short = newest.content.kind === 'screening' && questionIds.some((id) => !answersOf(newest, id));
  const until = short ? newest.on : addDays(newest.on, rules.lapsesAfterDays);
  const upset = upsetAfter(newest, intake, entries, notedSince, rules);
  if (upset) return { asked: 'lapsed', until: newest.on, why: `The readiness questions lapsed: ${upset}.` };
  if (day <= until) return { asked: 'current', until, why: '' };
  const why = !short
    ? 'The readiness questions are over a year old.'
    : answersOf(newest, 'wasting')
      ? 'Questions were added since these were put: they hold no longer.'
      : 'Only the six questions of a walk-in were put, for that day.';
  return { asked: 'lapsed', until, why };
}

function answersOf(entry: EntryOf<'screening' | 'carried-over'>, id: QuestionId): boolean {
  return entry.content.kind === 'screening' && entry.content.answers[id] !== undefined;
}

/** What happened after the questions were put that makes them worthless, in words. */
function upsetAfter(
  asked: Entry,
  intake: Intake,
  entries: readonly Entry[],
  notedSince: (limiter: Limiter) => string,
  rules: ReadinessRules,
): string | null {
  const later = entries.filter((e) => inOrder(e, asked) > 0);
  if (ofKind(later, 'incident').length > 0) return 'an incident since';
  if (ofKind(later, 'fall').length > 0) return 'a fall since';
  const strong = ofKind(later, 'pain').some(
    (e) => e.content.level >= rules.strongPain && isNewlyStrong(e, entries, rules),
  );
  if (strong) return `new pain of ${rules.strongPain} or more since`;
  const surgery = intake.limiters.some(
    (l) => l.kind === 'recent-surgery' && (l.since ? l.since > asked.on : notedSince(l) > momentOf(asked)),
  );
  return surgery ? 'surgery since' : null;
}

function isNewlyStrong(pain: EntryOf<'pain'>, entries: readonly Entry[], { strongPain }: ReadinessRules): boolean {
  const { joint, side } = pain.content;
  const before = ofKind(entries, 'pain').findLast(
    (e) => e.content.joint === joint && e.content.side === side && inOrder(e, pain) < 0,
  );
  return (before?.content.level ?? 0) < strongPain;
}

function toAskReason(
  asked: ReadinessAnswer['asked'],
  why: string,
  day: IsoDate,
  rules: ReadinessRules,
): ReadinessReason[] {
  if (asked === 'current') return [];
  const nextStep = 'Ask the readiness questions; it takes a minute.';
  return [{ id: 'to-ask', outcome: 'ask-first', text: why, nextStep, since: day, source: rules.source }];
}

/** An outcome from before the questions were kept holds until the questions are put. */
function carriedReasons(entries: readonly Entry[], rules: ReadinessRules): ReadinessReason[] {
  const newest = ofKind(entries, 'screening', 'carried-over').at(-1);
  if (newest?.content.kind !== 'carried-over' || newest.content.outcome === 'ready') return [];
  const { outcome, why } = newest.content;
  const nextStep = 'Ask the readiness questions.';
  return [
    {
      id: 'carried-over',
      outcome,
      text: why === '' ? 'noted so' : why,
      nextStep,
      since: momentOf(newest),
      source: rules.source,
    },
  ];
}

function newestAnswers(entries: readonly Entry[]): Partial<Record<QuestionId, boolean>> {
  return ofKind(entries, 'screening').at(-1)?.content.answers ?? {};
}

function answerReasons(entries: readonly Entry[], rules: ReadinessRules): ReadinessReason[] {
  const screenings = ofKind(entries, 'screening');
  const newest = screenings.at(-1);
  if (!newest) return [];
  const since = (id: QuestionId): string => {
    const lastNo = screenings.findLastIndex((s) => s.content.answers[id] !== true);
    return momentOf(screenings[lastNo + 1] ?? newest);
  };
  return screeningReasons(newest.content.answers, since, rules);
}

/** Asked about from when the back hurts too. */
const askedWithBack: readonly Limiter['kind'][] = ['fragile-bone', 'spine-fracture', 'height-lost'];

/** Lasting conditions that a professional is asked about once. */
function limiterReasons(
  limiters: readonly Limiter[],
  entries: readonly Entry[],
  notedSince: (limiter: Limiter) => string,
  day: IsoDate,
  rules: ReadinessRules,
): ReadinessReason[] {
  const spineHurts = limiters.some((l) => l.kind === 'back-pain' && (l.pain ?? 10) > 0);
  return limiters.flatMap((limiter) => {
    if (limiter.unasked || limiter.limitsLifted) return [];
    // It asks from when all of it was so: fragile bone from when the back began to hurt.
    const moments = [
      notedSince(limiter),
      limiter.since ?? '',
      askedWithBack.includes(limiter.kind) ? hurtsSince(entries, 'back') : '',
    ];
    const since = moments.sort().at(-1) ?? day;
    const asks = limiterAsks(limiter, spineHurts, day, rules);
    const nextStep = 'Print the note and have a licensed professional answer it.';
    return asks === null
      ? []
      : [
          {
            id: `limiter:${limiter.kind}`,
            ...asks,
            nextStep:
              asks.outcome === 'ask-first' ? nextStep : 'The rules of the spine hold: shallow, a long back, no load.',
            since,
            ...(limiter.since?.length === 10 ? { happenedOn: limiter.since } : {}),
            source: rules.source,
          },
        ];
  });
}

/** The moment from which a joint hurt without a break; empty where it does not. */
function hurtsSince(entries: readonly Entry[], joint: Joint): string {
  const answers = ofKind(entries, 'pain').filter((e) => e.content.joint === joint);
  const first = answers[answers.findLastIndex((e) => e.content.level === 0) + 1];
  return first ? momentOf(first) : '';
}

type Asks = { readonly text: string } & (
  { readonly outcome: 'ask-first'; readonly askFirst: AskFirstKind } | { readonly outcome: 'ready-with-care' }
);

const ask = (text: string, askFirst: AskFirstKind): Asks => ({ text, outcome: 'ask-first', askFirst });

function limiterAsks(limiter: Limiter, spineHurts: boolean, day: IsoDate, rules: ReadinessRules): Asks | null {
  const { kind, since, limits = '' } = limiter;
  if (kind === 'hip-replaced' || kind === 'knee-replaced') {
    const joint = kind === 'hip-replaced' ? 'hip' : 'knee';
    if (since && daysBetween(since, day) <= rules.newJointDays)
      return ask(`${joint} replaced in the last three months`, 'operation');
    const old = since && daysBetween(lastDayOf(since), day) > rules.oldJointDays;
    return limits === '' && !old ? ask(`${joint} replaced under a year ago, its limits not known`, 'disease') : null;
  }
  if (kind === 'recent-surgery')
    return ask(limiter.ofTheEye ? 'eye surgery in the last 4 weeks' : 'surgery in the last 12 weeks', 'operation');
  if (kind === 'spine-fracture' || kind === 'height-lost') {
    const text = kind === 'spine-fracture' ? 'a spine fracture' : 'height lost';
    return spineHurts ? ask(`${text}, and the back hurts`, 'disease') : { text, outcome: 'ready-with-care' };
  }
  if (kind === 'fragile-bone' && spineHurts) return ask('fragile bone, and the back hurts', 'disease');
  const { from, days } = rules.newBackPain;
  if (kind === 'back-pain' && (limiter.pain ?? 10) >= from && (!since || daysBetween(lastDayOf(since), day) <= days))
    return ask(`back pain of ${from} and over, newer than six weeks`, 'operation');
  return null;
}

/** So long a fall counts. */
export const fallDays = 365;

/** The falls of the last twelve months, oldest first; one under an instructor’s eyes is an incident, and counts too. */
export function fallsIn12Months(entries: readonly Entry[], day: IsoDate): EntryOf<'fall'>[] {
  const told = ofKind(entries, 'fall');
  // Two tablets that open a sheet for one fall tell of one fall: after the first nothing more is tested that day.
  const seen = ofKind(entries, 'incident')
    .filter((i) => i.content.what.includes('fall') && !told.some((f) => f.content.fellOn === i.on))
    .filter((i, n, all) => all.findIndex((other) => other.on === i.on) === n)
    .map(asFall);
  return [...told, ...seen]
    .filter(({ content }) => content.fellOn <= day && daysBetween(content.fellOn, day) <= fallDays)
    .sort((a, b) => a.content.fellOn.localeCompare(b.content.fellOn));
}

/** The sheet asks of the head only; more that comes to light is noted as a fall of that day, which then stands for it. */
function asFall(incident: EntryOf<'incident'>): EntryOf<'fall'> {
  const headStruck = incident.content.head === 'yes';
  const content = { kind: 'fall', fellOn: incident.on, hurt: headStruck, lookedAt: true, headStruck } as const;
  return { ...incident, content: { ...content, unexplained: false } };
}

function fallReasons(entries: readonly Entry[], day: IsoDate, rules: ReadinessRules): ReadinessReason[] {
  const falls = fallsIn12Months(entries, day);
  const asks = falls.flatMap((fall) => {
    const { content } = fall;
    const words = [
      ...(content.headStruck ? ['the head was struck'] : []),
      ...(content.unexplained ? ['nobody knows why'] : []),
      ...(content.hurt && !content.lookedAt ? ['hurt, and not looked at'] : []),
    ];
    if (words.length === 0) return [];
    return [
      {
        id: `fall:${content.fellOn}`,
        outcome: 'ask-first' as const,
        text: `a fall: ${words.join(', ')}`,
        nextStep: 'Print the note and have a licensed professional answer it.',
        since: momentOf(fall),
        happenedOn: content.fellOn,
        source: rules.source,
      },
    ];
  });
  const care = falls.length >= rules.fallsForCare || falls.some((f) => f.content.hurt);
  if (!care) return asks;
  const text = falls.length === 1 ? 'a fall with an injury in twelve months' : `${falls.length} falls in twelve months`;
  const nextStep = 'An own spotter; one step more support; retest at eight weeks; tell the clinician.';
  const since = falls.at(-1)?.on ?? day;
  return [...asks, { id: 'falls', outcome: 'ready-with-care', text, nextStep, since, source: rules.source }];
}

/** Signs of any check of the day that ask for help: a later check does not undo them. */
const lastingSigns = (checks: readonly EntryOf<'day-check'>[], day: IsoDate, rules: ReadinessRules): DaySign[] =>
  checks.filter((c) => c.on === day).flatMap((c) => c.content.signs.filter((id) => asksForHelp(id, rules)));

const asksForHelp = (id: DaySign, { signs }: ReadinessRules): boolean =>
  signs.some((s) => s.id === id && s.thenAskFirst);

/** The checks of a day with a sign that stays: they can only be taken back as ticked by mistake, with a word why. */
export function checksThatStay(
  entries: readonly Entry[],
  day: IsoDate,
  rules: ReadinessRules,
): readonly { readonly entryId: string; readonly why: string }[] {
  return ofKind(entries, 'day-check').flatMap(({ id, on, content }) => {
    const asks = rules.signs.filter((s) => s.thenAskFirst && content.signs.includes(s.id));
    return on === day && asks.length > 0 ? [{ entryId: id, why: asks.map((s) => s.why).join(', ') }] : [];
  });
}

/** The check of the day decides for its day; what must not be left at that is asked about from the next day on. */
function dayReasons(
  entries: readonly Entry[],
  limiters: readonly Limiter[],
  day: IsoDate,
  rules: ReadinessRules,
): ReadinessReason[] {
  const checks = ofKind(entries, 'day-check');
  const newestToday = checks.findLast((c) => c.on === day);
  const signs = newestToday ? [...newestToday.content.signs, ...lastingSigns(checks, day, rules)] : [];
  const earlier = checks.filter((c) => c.on < day);
  const today = newestToday
    ? [
        ...rules.signs
          .filter((s) => signs.includes(s.id))
          .map(({ id, outcome, why, nextStep, source }) => ({
            id: `day:${id}`,
            outcome,
            text: why,
            nextStep,
            since: day,
            source,
          })),
        ...pulseReasons(newestToday, isDizzy(newestToday, limiters), rules),
      ]
    : [];
  const after = earlier.flatMap((check) =>
    rules.signs
      .filter((s) => s.thenAskFirst && check.content.signs.includes(s.id))
      .map((s) => ({
        id: `after:${s.id}`,
        outcome: 'ask-first' as const,
        text: `${s.why}, at an earlier check`,
        nextStep: 'Print the note and have a licensed professional answer it.',
        since: momentOf(check),
        happenedOn: check.on,
        source: s.source,
      })),
  );
  return [...today, ...after];
}

const isDizzy = ({ content }: EntryOf<'day-check'>, limiters: readonly Limiter[]): boolean =>
  content.signs.includes('dizzy') || limiters.some((l) => l.kind === 'dizziness' && !l.unasked);

function pulseReasons({ on, content }: EntryOf<'day-check'>, dizzy: boolean, rules: ReadinessRules): ReadinessReason[] {
  const reasons: ReadinessReason[] = [];
  const not = (id: string, text: string, nextStep: string) =>
    reasons.push({ id, outcome: 'not-today', text, nextStep, since: on, source: rules.source });
  if (content.pulse !== null && content.pulse > rules.pulseOver)
    not('day:pulse', `resting pulse ${content.pulse}, over ${rules.pulseOver}`, 'Rest; see their own doctor.');
  const slow = rules.pulseUnder[dizzy ? 'dizzy' : 'always'];
  if (content.pulse !== null && content.pulse < slow)
    not(
      'day:pulse',
      `resting pulse ${content.pulse}, under ${slow}${dizzy ? ' and dizzy' : ''}`,
      'Nothing more today. See their own doctor.',
    );
  if (content.pulse !== null && content.pulse >= rules.pulseAgainFrom && content.pulse <= rules.pulseOver)
    reasons.push({
      ...{ id: 'day:pulse-again', outcome: 'ready-with-care', since: on, source: rules.source },
      text: `resting pulse ${content.pulse}`,
      nextStep: 'Take it again after five seated minutes; tell their doctor.',
    });
  const last = content.pressures.at(-1);
  const low = rules.systolicUnder[dizzy ? 'dizzy' : 'always'];
  if (last && last.systolic < low)
    not(
      'day:pressure-low',
      `pressure ${last.systolic}/${last.diastolic}, under ${low}${dizzy ? ' and dizzy' : ''}`,
      'Nothing more today. Seat them; see their own doctor.',
    );
  const row = last && rules.pressures.find((p) => last.systolic >= p.systolic || last.diastolic >= p.diastolic);
  if (last && row)
    not(
      'day:pressure',
      content.pressures.length > 1
        ? `pressure ${last.systolic}/${last.diastolic} at the second reading`
        : `pressure ${last.systolic}/${last.diastolic}, second reading after five minutes seated to come`,
      content.pressures.length > 1 ? row.nextStep : 'Sit five minutes, then read again.',
    );
  return reasons;
}

/** An incident ends the day, and asks for an answer from then on. */
function incidentReasons(entries: readonly Entry[], day: IsoDate, rules: ReadinessRules): ReadinessReason[] {
  return ofKind(entries, 'incident').map(({ on, ...incident }) => ({
    id: `incident:${on}`,
    outcome: on === day ? ('not-today' as const) : ('ask-first' as const),
    text: on === day ? 'an incident today' : 'an earlier incident',
    nextStep:
      on === day
        ? 'Nothing more today. Somebody looks at them first.'
        : 'Print the note and have a licensed professional answer it.',
    since: momentOf({ on, ...incident }),
    happenedOn: on,
    source: rules.source,
  }));
}
