import { protocolById } from '../catalogue/protocols';
import type { AttemptView } from '../core/measure/attempt';
import { liveEvents } from '../core/measure/live';
import { readTrial, ruledBy } from '../core/measure/readTrial';
import type { Trial } from '../core/measure/trial';
import type { AttemptEvent, Fresh } from '../core/shapes/attempt';
import type { Protocol } from '../core/shapes/protocol';
import type { PersonId } from '../core/shapes/person';
import { asTakenDown, correctionsFrom, timeLineOf, type TimeLineEvent } from '../core/view/timeLine';
import { addEvent, eventsOf, findAttempt, type ClientKey } from '../database/attempts';
import { findPerson } from '../database/people';
import { correctionForm, type CorrectionForm } from '../schemas/correction';
import { parse, type FieldError } from '../schemas/parse';
import { resultFaults } from '../schemas/requests';
import { together, type Desk } from './desk';
import { deriving } from './saveAttempt';

/** An attempt with all that was ever said of it. */
export interface AttemptRecord {
  readonly attempt: AttemptView;
  /** Under the rules it was taken by. */
  readonly protocol: Protocol;
  readonly line: readonly TimeLineEvent[];
  /** As it read before anything was put right; the same as now where nothing was. */
  readonly before: Trial;
  /** Of everybody a move names, by id. */
  readonly names: Readonly<Record<PersonId, string>>;
}

/** @returns undefined where there is no such attempt, or it never lay in the file of this person */
export async function readAttemptRecord(
  desk: Desk,
  personId: PersonId,
  key: ClientKey,
): Promise<AttemptRecord | undefined> {
  const attempt = await findAttempt(desk.db, key);
  const known = protocolById(attempt?.test ?? '');
  if (!attempt || !known || attempt.personId !== personId) return undefined;
  const protocol = ruledBy(known, attempt.protocolVersion);
  const events = await eventsOf(desk.db, key);
  const names: Record<PersonId, string> = {};
  for (const event of events) {
    const to = event.kind === 'move' ? await findPerson(desk.db, event.toPersonId) : undefined;
    if (to) names[to.id] = to.name;
  }
  return { attempt, protocol, line: timeLineOf(events), before: readTrial(protocol, asTakenDown(events)), names };
}

export type CorrectAttempt =
  | { readonly kind: 'saved'; readonly personId: PersonId }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

/** Puts something right of an attempt: one event more, with its reason; the result follows and nothing is taken away. */
export async function correctAttempt(desk: Desk, key: ClientKey, input: unknown): Promise<CorrectAttempt> {
  const parsed = parse(correctionForm, input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  return together(desk, async (trx): Promise<CorrectAttempt> => {
    const attempt = await findAttempt(trx.db, key);
    const known = protocolById(attempt?.test ?? '');
    if (!attempt || !known) return rejected('', 'There is no such attempt any more.');
    const protocol = ruledBy(known, attempt.protocolVersion);
    const events = await eventsOf(trx.db, key);
    const made = await eventOf(trx, parsed.value, attempt, protocol, events);
    if ('path' in made) return { kind: 'rejected', errors: [made] };
    const seq = Math.max(correctionsFrom - 1, ...events.map((e) => e.seq)) + 1;
    const atMs = Math.max(0, ...events.map((e) => e.atMs));
    const event = { ...made, seq, atMs, wallMs: desk.now().getTime(), by: 'hand' } as AttemptEvent;
    await addEvent(trx.db, key, event, deriving(known, attempt.protocolVersion), desk.now(), desk.who);
    return { kind: 'saved', personId: (await findAttempt(trx.db, key))?.personId ?? attempt.personId };
  });
}

const rejected = (path: string, message: string): CorrectAttempt => ({
  kind: 'rejected',
  errors: [{ path, message }],
});

async function eventOf(
  desk: Desk,
  { kind, ofSeq, value, toPersonId, reason }: CorrectionForm,
  attempt: AttemptView,
  protocol: Protocol,
  events: readonly AttemptEvent[],
): Promise<Fresh | FieldError> {
  switch (kind) {
    case 'strike':
      if (ofSeq === undefined || !liveEvents(events).some((e) => e.seq === ofSeq))
        return { path: '/ofSeq', message: 'That is left out already. Look again: somebody else put it right.' };
      return { kind, ofSeq, reason };
    case 'add': {
      if (value === undefined) return { path: '/value', message: 'Write the result as it should be.' };
      const [fault] = resultFaults({ value, side: attempt.side }, protocol);
      return fault ? { path: '/value', message: `The result ${fault[1]}.` } : { kind, value, reason };
    }
    case 'prefer':
      return { kind, reason };
    case 'agree':
      return attempt.trial.state === 'to-agree'
        ? { kind }
        : { path: '', message: 'That waits for no yes any more. Look again: somebody else said it.' };
    case 'move': {
      const to = toPersonId === undefined ? undefined : await findPerson(desk.db, toPersonId);
      if (!to) return { path: '/toPersonId', message: 'Choose whose it is.' };
      if (to.id === attempt.personId)
        return { path: '/toPersonId', message: `It is in the file of ${to.name} already.` };
      if (attempt.sittingDate < to.birthDate)
        return { path: '/toPersonId', message: `${to.name} was not born yet on ${attempt.sittingDate}.` };
      return { kind, toPersonId: to.id, reason };
    }
  }
}
