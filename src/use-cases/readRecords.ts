import { knownOn, type Known } from '../core/intake/known';
import type { IsoDate } from '../core/shapes/facts';
import type { PersonRecord } from '../core/shapes/intake';
import type { PersonId } from '../core/shapes/person';
import type { PersonView } from '../core/view/personView';
import { listEntries } from '../database/entries';
import { findPerson, listIntakes } from '../database/people';
import type { Desk } from './desk';
import { groupBy } from './groupBy';
import { readPlace } from './places';
import { readRules } from './rules';

export const nothingNoted: PersonRecord = { intakes: [], entries: [] };

/** Everything ever noted of some people. */
export async function recordsOf(desk: Desk, ids: readonly PersonId[]): Promise<Map<PersonId, PersonRecord>> {
  const intakes = groupBy(await listIntakes(desk.db, ids), (i) => i.personId);
  const entries = groupBy(await listEntries(desk.db, ids), (e) => e.personId);
  return new Map(
    ids.map((id) => [id, { intakes: (intakes.get(id) ?? []).map((i) => i.intake), entries: entries.get(id) ?? [] }]),
  );
}

export async function readRecord(desk: Desk, id: PersonId): Promise<PersonRecord> {
  return (await recordsOf(desk, [id])).get(id) ?? nothingNoted;
}

/** Every day on which something was noted or tested, newest first, today always among them. */
export async function daysNoted(desk: Desk, view: PersonView): Promise<IsoDate[]> {
  const today = desk.today();
  const record = await readRecord(desk, view.person.id);
  const days = new Set([
    today,
    ...record.intakes.map((i) => i.notedOn),
    ...record.entries.map((e) => e.on),
    ...view.attempts.map((a) => a.sittingDate),
  ]);
  return [...days].filter((d) => d <= today).sort((a, b) => b.localeCompare(a));
}

/** What was known of somebody at the end of an earlier day. */
export async function readKnown(desk: Desk, id: PersonId, day: IsoDate): Promise<Known | undefined> {
  return knownOn(await readRecord(desk, id), day, (await readRules(desk)).readiness);
}

/** Only what the intake form shows; readable also where results and intake contradict each other. */
export async function readIntake(desk: Desk, id: PersonId) {
  const person = await findPerson(desk.db, id);
  const known = person && (await readKnown(desk, id, desk.today()));
  if (!known) return undefined;
  return { person, intake: known.intake, pains: known.pains, falls: known.falls, units: (await readPlace(desk)).units };
}
