import { liveEvents } from '../../../core/measure/live';
import { ruledBy } from '../../../core/measure/readTrial';
import { protocolById } from '../../../catalogue/protocols';
import type { Protocol } from '../../../core/shapes/protocol';
import { isOver, phaseOf } from '../../../core/measure/phase';
import type { AttemptEvent } from '../../../core/shapes/attempt';
import type { IsoDate } from '../../../core/shapes/facts';
import type { Level } from '../../../core/level/answer';
import type { DayNote, DayResult } from '../../../core/shapes/day';
import type { PersonRecord } from '../../../core/shapes/intake';
import {
  changeKept,
  forgetAttempt,
  forgetDayNote,
  forgetEntry,
  keepDayNote,
  keepEntry,
  keptAttempts,
  keptEntries,
  keptEvents,
  type KeptAttempt,
  type KeptDayNote,
  type KeptEntry,
} from './store';

export type Sent = 'sent' | 'later' | 'refused';

/** Somebody who does not answer within this time is asked again later. */
const patienceMs = 15_000;
/** A browser lets a page that goes away send no more than this. */
const mostLeavingBytes = 60_000;

export type Answer =
  | { readonly kind: 'taken'; readonly register: string }
  | { readonly kind: 'refused'; readonly words: string }
  | { readonly kind: 'later' };

/**
 * Puts something to the register it is kept for. Only an answer that names that register and the very key is an answer:
 * a log-in page of a network, another program at this address or another register forget and refuse nothing.
 */
export async function put(
  path: string,
  key: string,
  body: object,
  register: string | null,
  leaving: boolean,
): Promise<Answer> {
  const text = JSON.stringify(body);
  const answer = await fetch(path, {
    method: 'PUT',
    headers: { 'content-type': 'application/json', ...(register === null ? {} : { 'register-id': register }) },
    body: text,
    ...(leaving && text.length < mostLeavingBytes ? { keepalive: true } : { signal: AbortSignal.timeout(patienceMs) }),
  }).catch(() => null);
  if (answer === null) return { kind: 'later' };
  const said: unknown = await answer.json().catch(() => null);
  const named = answer.headers.get('register-id');
  const ours = named !== null && (register === null || named === register);
  if (!ours || typeof said !== 'object' || said === null) return { kind: 'later' };
  const members = said as Readonly<Record<string, unknown>>;
  if (answer.ok) {
    const itsOwn = [members['clientKey'], members['id']].includes(key) && members['registerId'] === named;
    return itsOwn ? { kind: 'taken', register: named } : { kind: 'later' };
  }
  const words = members['detail'];
  return [409, 413, 422].includes(answer.status) && typeof words === 'string'
    ? { kind: 'refused', words: withFields(words, members['errors']) }
    : { kind: 'later' };
}

/** What was refused, field by field, so that somebody can do something about it. */
function withFields(words: string, errors: unknown): string {
  const told = (Array.isArray(errors) ? (errors as readonly { path?: unknown; message?: unknown }[]) : [])
    .slice(0, 3)
    .flatMap(({ path, message }) => {
      const field = typeof path === 'string' ? path.split('/').at(-1) : '';
      return typeof message === 'string' ? [field ? `${field}: ${message}` : message] : [];
    });
  return told.length === 0 ? words : `${told.join('; ')}.`;
}

/** Nothing more will be marked: it was closed here, or its own events say so. */
export function isDone(
  attempt: Pick<KeptAttempt, 'closed' | 'test' | 'protocolVersion'>,
  events: readonly AttemptEvent[],
): boolean {
  const rules = rulesOf(attempt);
  return attempt.closed || (rules !== undefined && isOver(phaseOf(rules.capture, liveEvents(events))));
}

/** The protocol of an attempt, under the rules it was begun with. */
export function rulesOf({
  test,
  protocolVersion,
}: Pick<KeptAttempt, 'test' | 'protocolVersion'>): Protocol | undefined {
  const protocol = protocolById(test);
  return protocol && ruledBy(protocol, protocolVersion);
}

/**
 * Sends the whole list of events of an attempt. Sending twice is harmless, so anything but a clear answer is tried
 * again later; a finished attempt the server holds in full is forgotten here.
 * @param how.leaving the page is going away: the request outlives it and nobody waits for the answer
 * @param how.events those of the page, where the browser could not keep them
 */
export async function sendAttempt(
  attempt: KeptAttempt,
  how: { readonly leaving?: boolean; readonly events?: readonly AttemptEvent[] } = {},
): Promise<Sent> {
  const events = how.events ?? (await keptEvents(attempt.clientKey));
  if (events.length === 0) return 'later';
  const { clientKey, personId, test, protocolVersion, sittingDate, side, conditions, register } = attempt;
  const body = { personId, test, protocolVersion, sittingDate, side, conditions, events };
  const answer = await put(`/api/v1/attempts/${clientKey}`, clientKey, body, register, how.leaving === true);
  switch (answer.kind) {
    case 'later':
      return 'later';
    case 'refused':
      await changeKept(clientKey, { refused: answer.words });
      return 'refused';
    case 'taken':
      await changeKept(clientKey, { acknowledged: events.length, refused: null, register: answer.register });
      // Where the page holds the events, what the browser kept of them is a part of what was sent.
      if (isDone(attempt, events)) await forgetAttempt(clientKey, how.events ? undefined : events.length);
      return 'sent';
  }
}

/** Sends what was noted of a person; what the server holds is forgotten here, anything unclear is sent again later. */
export async function sendEntry(entry: KeptEntry): Promise<Sent> {
  const { key, personId, on, content, register } = entry;
  const answer = await put(`/api/v1/entries/${key}`, key, { personId, on, content }, register, false);
  if (answer.kind === 'taken') await forgetEntry(key);
  if (answer.kind === 'refused') await keepEntry({ ...entry, refused: answer.words });
  return answer.kind === 'taken' ? 'sent' : answer.kind;
}

/** Sends what was noted of a testing day, in the order in which it was noted. */
export async function sendDayNote(note: KeptDayNote): Promise<Sent> {
  const { key, day, wallMs, event, register } = note;
  const answer = await put(`/api/v1/days/${day}/notes/${key}`, key, { wallMs, event }, register, false);
  if (answer.kind === 'taken') await forgetDayNote(key);
  if (answer.kind === 'refused') await keepDayNote({ ...note, refused: answer.words });
  return answer.kind === 'taken' ? 'sent' : answer.kind;
}

/** Notes that wait here to be sent; one of which nobody said whom it is about waits for that. */
export async function entriesToSend(): Promise<KeptEntry[]> {
  return (await keptEntries()).filter((e) => !e.open && e.personId !== '');
}

/** What waits here to be sent: finished attempts that the server does not hold yet. */
export async function waitingToSend(): Promise<KeptAttempt[]> {
  const all = await keptAttempts();
  const done = await Promise.all(all.map(async (a) => a.closed || isDone(a, await keptEvents(a.clientKey))));
  return all.filter((_, i) => done[i]);
}

/** What is known of a testing day elsewhere. */
export interface DayNow {
  readonly day: IsoDate;
  readonly notes: readonly DayNote[];
  readonly results: readonly DayResult[];
  readonly sitting: readonly string[];
}

/** The register at this address and the day it is there. */
export interface HallNow {
  readonly registerId: string;
  readonly today: IsoDate;
}

/** A question that somebody waits for with a finger on the screen. */
const briefMs = 1000;

async function ask<T>(path: string, whateverStatus = false): Promise<T | null> {
  const answer = await fetch(path, { cache: 'no-store', signal: AbortSignal.timeout(briefMs) }).catch(() => null);
  if (!answer || !(answer.ok || whateverStatus)) return null;
  return (await answer.json().catch(() => null)) as T | null;
}

/** Whether the server answers, asked before a page is left that could not be opened again without it. */
export async function serverAnswers(): Promise<boolean> {
  return (await askHall()) !== null;
}

/** The day of the hall, where the server says so within a second. */
export async function askHall(): Promise<HallNow | null> {
  // One whose disk is full answers too: a test goes on, and waits in this browser.
  const said = await ask<Partial<HallNow>>('/api/health', true);
  return said && typeof said.registerId === 'string' && typeof said.today === 'string' ? (said as HallNow) : null;
}

/** What was noted of somebody on any device so far, where the server says so within a second. */
export async function askRecord(personId: string): Promise<(HallNow & { readonly record: PersonRecord }) | null> {
  return ask(`/api/station/${personId}`);
}

/** A testing day as every board sees it, where the server says so within a second. */
export async function askDay(
  day: IsoDate,
  board: string,
): Promise<(HallNow & Omit<DayNow, 'day'> & { readonly boards: number }) | null> {
  return ask(`/api/v1/days/${day}?board=${board}`);
}

/** What a result opens, where the server has it and says so within a second. */
export async function askOpened(personId: string, clientKey: string): Promise<readonly Level[] | null> {
  const said = await ask<{ readonly has: boolean; readonly waiting: readonly Level[] }>(
    `/api/station/${personId}/levels?attempt=${clientKey}`,
  );
  return said?.has === true ? said.waiting : null;
}
