import {
  changeKept,
  forgetAttempt,
  forgetEntry,
  keepEntry,
  keptAttempts,
  keptEntries,
  keptEvents,
  type KeptAttempt,
  type KeptEntry,
} from './attemptStore';

/**
 * Sends the whole list of events of an attempt. Sending twice is harmless, so anything but a clear answer is tried
 * again later; a closed attempt the server holds in full is forgotten here.
 * @param leaving the page is going away: the request outlives it and nobody waits for the answer
 */
export async function sendAttempt(attempt: KeptAttempt, leaving = false): Promise<'sent' | 'later' | 'refused'> {
  const events = await keptEvents(attempt.clientKey);
  if (events.length === 0) return 'later';
  const { personId, test, protocolVersion, sittingDate, side, conditions } = attempt;
  const answer = await fetch(`/api/v1/attempts/${attempt.clientKey}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ personId, test, protocolVersion, sittingDate, side, conditions, events }),
    keepalive: leaving,
  }).catch(() => null);
  // No answer, or a server in trouble: the result stays here and is sent again.
  if (answer === null || answer.status >= 500) return 'later';
  if (!answer.ok) {
    await changeKept(attempt.clientKey, { refused: await refusalOf(answer) });
    return 'refused';
  }
  await changeKept(attempt.clientKey, { acknowledged: events.length, refused: null });
  const now = (await keptAttempts()).find((a) => a.clientKey === attempt.clientKey);
  if (now?.closed === true && (await keptEvents(attempt.clientKey)).length === events.length)
    await forgetAttempt(attempt.clientKey);
  return 'sent';
}

/** Sends what was noted of a person; what the server holds is forgotten here, anything unclear is sent again later. */
export async function sendEntry(entry: KeptEntry): Promise<'sent' | 'later' | 'refused'> {
  const { key, personId, on, content } = entry;
  const answer = await fetch(`/api/v1/entries/${key}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ personId, on, content }),
  }).catch(() => null);
  if (answer === null || answer.status >= 500) return 'later';
  if (!answer.ok) {
    await keepEntry({ ...entry, refused: await refusalOf(answer) });
    return 'refused';
  }
  await forgetEntry(key);
  return 'sent';
}

/** Notes that wait here to be sent. */
export async function entriesToSend(): Promise<KeptEntry[]> {
  return (await keptEntries()).filter((e) => !e.open);
}

async function refusalOf(answer: Response): Promise<string> {
  const body: unknown = await answer.json().catch(() => null);
  const detail =
    typeof body === 'object' && body !== null && 'detail' in body ? String(body.detail) : `answer ${answer.status}`;
  return detail;
}

/** What waits here to be sent: closed attempts that the server does not hold yet. */
export async function waitingToSend(): Promise<KeptAttempt[]> {
  return (await keptAttempts()).filter((a) => a.closed);
}

/** Whether the server answers, asked before a page is left that could not be opened again without it. */
export async function serverAnswers(): Promise<boolean> {
  const answer = await fetch('/api/health', { cache: 'no-store' }).catch(() => null);
  return answer?.ok === true;
}
