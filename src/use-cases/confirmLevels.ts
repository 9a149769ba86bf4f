import { trainedLevel, waitingLevel, waitingLevels } from '../core/level/standing';
import type { Pattern } from '../core/shapes/facts';
import type { PersonId } from '../core/shapes/person';
import { describePerson, factsFrom } from '../core/view/personView';
import { addDecision, listDecidedLevels } from '../database/decisions';
import { findPerson } from '../database/people';
import { together, type Desk } from './desk';
import { judgedBy, readPerson, recordsFor } from './readPeople';

export type ConfirmLevels =
  | { readonly kind: 'confirmed'; readonly codes: readonly string[] }
  /** The same was confirmed before, here or on another device. `at` is ISO 8601. */
  | { readonly kind: 'already'; readonly at: string; readonly codes: readonly string[] }
  /** Something new is known since the page was shown: other levels wait now. Nothing was confirmed. */
  | { readonly kind: 'changed'; readonly codes: readonly string[] }
  | { readonly kind: 'not-found' };

/** The codes of the levels that wait for a yes. */
export async function codesWaiting(desk: Desk, id: PersonId): Promise<string[]> {
  return waitingLevels((await readPerson(desk, id))?.standings ?? []).map((l) => l.code);
}

/**
 * Confirms the levels that wait for a yes, with the facts and reasons they were decided by, as one decision; where the old
 * one is kept that is a word of the instructor, until the next test.
 * @param seen the codes that stood on the screen: nothing is confirmed that was not seen
 * @param keep ladders on which the old one stays; one that may not be trained on any more is not kept
 */
export async function confirmLevels(
  desk: Desk,
  id: PersonId,
  seen: readonly string[],
  keep: readonly Pattern[] = [],
): Promise<ConfirmLevels> {
  const today = desk.today();
  return together(desk, async (trx): Promise<ConfirmLevels> => {
    const person = await findPerson(trx.db, id);
    const hall = await judgedBy(trx);
    const [one] = person ? await recordsFor(trx, [person], hall, today) : [];
    const records = one?.records();
    if (!records) return { kind: 'not-found' };
    const { outline, levels } = describePerson(records, hall, today);
    const { standings } = outline;
    const codes = waitingLevels(standings).map((l) => l.code);
    if (codes.join() !== seen.join() || codes.length === 0) {
      const there = (await listDecidedLevels(trx.db, [id])).filter(
        (c) => c.decidedOn === today && seen.includes(c.level.byHand?.from ?? c.level.code),
      );
      const at = there.at(-1)?.at;
      const all =
        at !== undefined && seen.every((code) => there.some((c) => (c.level.byHand?.from ?? c.level.code) === code));
      return all ? { kind: 'already', at, codes: seen } : { kind: 'changed', codes };
    }
    const said = standings.flatMap((standing) => {
      const waiting = waitingLevel(standing);
      if (!waiting) return [];
      const old = keep.includes(standing.pattern) ? trainedLevel(standing) : null;
      const byHand = { word: 'kept', why: '', from: waiting.code } as const;
      return [old ? { kind: 'hand' as const, level: { ...old, byHand } } : { kind: 'test' as const, level: waiting }];
    });
    for (const kind of ['test', 'hand'] as const) {
      const decided = said.filter((s) => s.kind === kind).map((s) => s.level);
      if (decided.length === 0) continue;
      await addDecision(trx.db, {
        ...{ id: crypto.randomUUID(), personId: id, day: today, at: desk.now().toISOString(), by: desk.who, kind },
        ...{ rulesVersion: levels().rulesVersion, normsVersion: hall.book.version },
        ...{ facts: factsFrom(records, hall, today), levels: decided },
      });
    }
    return { kind: 'confirmed', codes };
  });
}
