import { protocolById } from '../catalogue/protocols';
import { inCm } from '../core/measure/readers/distance';
import { measureVersion, readTrial, ruledBy } from '../core/measure/readTrial';
import type { Trial } from '../core/measure/trial';
import { eventKindsOf, type AttemptEvent } from '../core/shapes/attempt';
import type { Side } from '../core/shapes/facts';
import type { Protocol } from '../core/shapes/protocol';
import {
  deriveAnew,
  eventsOf,
  findAttempt,
  keysOfOlderResults,
  pagesOfAttempts,
  storeAttempt,
  type ClientKey,
  type Derive,
} from '../database/attempts';
import { findPerson } from '../database/people';
import { parseAttempt, type AttemptBody } from '../schemas/attempt';
import type { FieldError } from '../schemas/parse';
import { resultFaults, sideFaults } from '../schemas/requests';
import { together, type Desk } from './desk';

export type SaveAttempt =
  | { readonly kind: 'created' | 'known'; readonly trial: Trial }
  | { readonly kind: 'conflict'; readonly seqs: readonly number[]; readonly trial: Trial }
  /** The key belongs to an attempt sent otherwise: what differs. */
  | { readonly kind: 'other-attempt'; readonly differs: readonly string[] }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

/** Stores the whole list of events of an attempt. Sending it again is harmless; nothing acknowledged is ever lost. */
export async function saveAttempt(desk: Desk, clientKey: ClientKey, input: unknown): Promise<SaveAttempt> {
  const parsed = parseAttempt(input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const body = parsed.value;
  const protocol = protocolById(body.test);
  // What is said of it is looked at by the rules it was taken under.
  const ruled = protocol && ruledBy(protocol, body.protocolVersion);
  // Whoever it is for is looked at in the transaction that writes it: nobody is erased in between.
  return together(desk, async (trx) => {
    const errors = await faultsOf(trx, clientKey, body, ruled);
    if (errors.length > 0 || !protocol) return { kind: 'rejected', errors };
    const { personId, test, protocolVersion, sittingDate, side = null, conditions, events } = body;
    const head = { clientKey, personId, test, protocolVersion, sittingDate, side, conditions };
    return storeAttempt(trx.db, head, events, deriving(protocol, protocolVersion), desk.now(), desk.who);
  });
}

/** Results are read by the rules of the version they were taken under. */
export const deriving =
  (protocol: Protocol, version: number): Derive =>
  (events) => ({ trial: readTrial(ruledBy(protocol, version), events), version: measureVersion });

async function faultsOf(
  desk: Desk,
  clientKey: ClientKey,
  body: AttemptBody,
  protocol: Protocol | undefined,
): Promise<FieldError[]> {
  const today = desk.today();
  const faults: FieldError[] = [];
  const fault = (path: string, message: string) => faults.push({ path, message });
  if (!/^[A-Za-z0-9_-]{8,64}$/.test(clientKey))
    fault('', 'the key in the address must be 8 to 64 letters, digits, - or _');
  if (!protocol) fault('/test', 'is no test of this hall');
  else if (body.protocolVersion > (protocolById(body.test)?.version ?? 0))
    fault('/protocolVersion', `the newest version of ${protocol.id} is ${protocol.version}`);
  const person = await findPerson(desk.db, body.personId);
  if (!person) fault('/personId', 'nobody in the register has this id');
  else if (body.sittingDate < person.birthDate) fault('/sittingDate', 'is before the birth date');
  if (protocol) for (const message of sideFaults(body.side ?? null, protocol)) fault('/side', message);
  if (body.sittingDate > today) fault('/sittingDate', `is still to come: today is ${today}`);
  const seqs = new Set<number>();
  for (const [i, event] of body.events.entries()) {
    if (seqs.has(event.seq)) fault(`/events/${i}/seq`, `${event.seq} stands twice in this list`);
    seqs.add(event.seq);
    if (protocol)
      for (const [field, message] of eventFaults(event, protocol, body.side ?? null))
        fault(`/events/${i}${field}`, message);
    if (event.kind !== 'move') continue;
    const to = await findPerson(desk.db, event.toPersonId);
    if (!to) fault(`/events/${i}/toPersonId`, 'nobody in the register has this id');
    else if (body.sittingDate < to.birthDate)
      fault(`/events/${i}/toPersonId`, `was not born yet on ${body.sittingDate}`);
  }
  return faults;
}

/** What an event may say of this test: each kind of capture has its own, and numbers lie in the range of the test. */
function eventFaults(event: AttemptEvent, protocol: Protocol, side: Side | null): (readonly [string, string])[] {
  if (!eventKindsOf[protocol.capture.kind].includes(event.kind))
    return [['/kind', `${protocol.id} is not taken down by ${event.kind}`]];
  if (event.kind === 'reading')
    return resultFaults({ value: inCm(event), side }, protocol).map(([f, m]) => [`/${f}`, m]);
  if (event.kind === 'add') return resultFaults({ value: event.value, side }, protocol).map(([f, m]) => [`/${f}`, m]);
  if (event.kind !== 'entered') return [];
  const { value, trials, outcome, seconds, help, cleanBeforeHands } = event;
  const result = { value, trials, outcome, seconds, help, cleanBeforeHands, side };
  return resultFaults(result, protocol)
    .filter(([field]) => field !== 'side')
    .map(([field, message]) => [`/${field}`, message]);
}

/** Attempts read in one go. */
const batch = 200;

/** Derives every stored result anew from its events; the differences, which should be none. */
export async function rebuildResults(desk: Desk): Promise<readonly ClientKey[]> {
  const differing: ClientKey[] = [];
  for await (const page of pagesOfAttempts(desk.db, batch))
    for (const attempt of page) {
      const protocol = protocolById(attempt.test);
      const trial =
        protocol && readTrial(ruledBy(protocol, attempt.protocolVersion), await eventsOf(desk.db, attempt.clientKey));
      if (JSON.stringify(trial) !== JSON.stringify(attempt.trial)) differing.push(attempt.clientKey);
    }
  return differing;
}

/** Results that an earlier version derived are derived anew, some at a time so that others are answered between. */
export async function bringResultsUpToDate(desk: Desk): Promise<number> {
  for (let done = 0; ;) {
    const keys = await keysOfOlderResults(desk.db, measureVersion, batch);
    if (keys.length === 0) return done;
    await together(desk, async (trx) => {
      for (const key of keys) {
        const attempt = await findAttempt(trx.db, key);
        const protocol = protocolById(attempt?.test ?? '');
        if (!attempt || !protocol)
          throw new RangeError(`bringResultsUpToDate: ${key} is of a test the catalogue does not hold`);
        await deriveAnew(trx.db, key, deriving(protocol, attempt.protocolVersion));
      }
    });
    done += keys.length;
    await new Promise((others) => setImmediate(others));
  }
}
