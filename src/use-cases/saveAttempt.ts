import { protocolById } from '../catalogue/protocols';
import { measureVersion, readCountTrial, type CountTrial } from '../core/measure/countTrial';
import type { AttemptEvent } from '../core/shapes/attempt';
import type { IsoDate } from '../core/shapes/facts';
import type { PersonId } from '../core/shapes/person';
import type { Protocol } from '../core/shapes/protocol';
import { eventsOf, findAttempt, listAttempts, storeAttempt, type ClientKey } from '../database/attempts';
import type { Register } from '../database/connection';
import { findPerson } from '../database/people';
import { attemptBody, paperForm, type AttemptBody } from '../schemas/attempt';
import { parse, type FieldError } from '../schemas/parse';

export type SaveAttempt =
  | { readonly kind: 'created' | 'known'; readonly trial: CountTrial }
  | { readonly kind: 'conflict'; readonly seqs: readonly number[]; readonly trial: CountTrial }
  | { readonly kind: 'other-attempt' }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

/** Stores the whole list of events of an attempt. Sending it again is harmless; nothing acknowledged is ever lost. */
export async function saveAttempt(
  db: Register,
  clientKey: ClientKey,
  input: unknown,
  today: IsoDate,
): Promise<SaveAttempt> {
  const parsed = parse(attemptBody, input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const body = parsed.value;
  const protocol = protocolById(body.test);
  const errors = await faultsOf(db, clientKey, body, protocol, today);
  if (errors.length > 0 || !protocol) return { kind: 'rejected', errors };
  const { personId, test, protocolVersion, sittingDate, side = null, conditions, events } = body;
  const head = { clientKey, personId, test, protocolVersion, sittingDate, side, conditions };
  return storeAttempt(
    db,
    head,
    events,
    (all) => ({ trial: readTrial(protocol, all), version: measureVersion }),
    new Date(),
  );
}

/** The result of a counted test out of its events. */
export function readTrial(protocol: Protocol, events: readonly AttemptEvent[]): CountTrial {
  if (protocol.capture.kind !== 'count') throw new RangeError(`readTrial: ${protocol.id} is not counted`);
  return readCountTrial(
    { durationS: protocol.capture.durationS, handsMakeZero: protocol.handsMakeZero === true },
    events,
  );
}

async function faultsOf(
  db: Register,
  clientKey: ClientKey,
  body: AttemptBody,
  protocol: Protocol | undefined,
  today: IsoDate,
): Promise<FieldError[]> {
  const faults: FieldError[] = [];
  const fault = (path: string, message: string) => faults.push({ path, message });
  if (!/^[A-Za-z0-9_-]{8,64}$/.test(clientKey))
    fault('', 'the key in the address must be 8 to 64 letters, digits, - or _');
  if (!protocol) fault('/test', `there is no test ${body.test}`);
  else if (protocol.capture.kind !== 'count') fault('/test', `${body.test} is not taken down by counting yet`);
  else if (body.protocolVersion > protocol.version)
    fault('/protocolVersion', `the newest version of ${body.test} is ${protocol.version}`);
  const person = await findPerson(db, body.personId);
  if (!person) fault('/personId', 'nobody in the register has this id');
  else if (body.sittingDate < person.birthDate) fault('/sittingDate', 'is before the birth date');
  if (body.sittingDate > today) fault('/sittingDate', `is still to come: today is ${today}`);
  const seqs = new Set<number>();
  for (const [i, event] of body.events.entries()) {
    if (seqs.has(event.seq)) fault(`/events/${i}/seq`, `${event.seq} stands twice in this list`);
    seqs.add(event.seq);
    if (event.kind === 'move' && !(await findPerson(db, event.toPersonId)))
      fault(`/events/${i}/toPersonId`, 'nobody in the register has this id');
  }
  return faults;
}

/** A result of the chair stand written on paper, typed in for the day it was done; one form is one result. */
export async function enterPaperResult(
  db: Register,
  personId: PersonId,
  input: unknown,
  today: IsoDate,
  clientKey: ClientKey = crypto.randomUUID(),
): Promise<SaveAttempt> {
  const parsed = parse(paperForm(today), input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const known = await findAttempt(db, clientKey);
  if (known) return { kind: 'known', trial: known.trial };
  const { testedOn, stands, handsUsed, cleanBeforeHands, seatHeightCm } = parsed.value;
  const entered = {
    kind: 'entered',
    value: stands,
    handsUsed,
    ...(handsUsed && cleanBeforeHands !== null ? { cleanBeforeHands } : {}),
  };
  const body = {
    personId,
    test: 'chair-stand-30s',
    protocolVersion: protocolById('chair-stand-30s')?.version,
    sittingDate: testedOn,
    side: null,
    conditions: { seatHeightCm },
    events: [{ seq: 0, atMs: 0, wallMs: Date.now(), by: 'hand', ...entered }],
  };
  const saved = await saveAttempt(db, clientKey, body, today);
  if (saved.kind !== 'rejected') return saved;
  return {
    kind: 'rejected',
    errors: saved.errors.map((e) => (e.path === '/sittingDate' ? { ...e, path: '/testedOn' } : e)),
  };
}

/** Derives every stored result anew from its events; the differences, which should be none. */
export async function rebuildResults(db: Register): Promise<readonly ClientKey[]> {
  const differing: ClientKey[] = [];
  for (const attempt of await listAttempts(db)) {
    const protocol = protocolById(attempt.test);
    const trial = protocol && readTrial(protocol, await eventsOf(db, attempt.clientKey));
    if (JSON.stringify(trial) !== JSON.stringify(attempt.trial)) differing.push(attempt.clientKey);
  }
  return differing;
}
