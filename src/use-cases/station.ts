import { rowFor } from '../core/score/rank';
import type { NormRow } from '../core/shapes/norms';
import type { PersonRecord } from '../core/shapes/intake';
import type { Person, PersonId } from '../core/shapes/person';
import type { Protocol } from '../core/shapes/protocol';
import { sittingOn } from '../database/groups';
import { listPeople } from '../database/people';
import { allLines } from './everybody';
import { recordsOf } from './readRecords';
import { viewsOf } from './readPeople';
import { type Desk } from './desk';

/** People a station page takes along when no sitting was put together; more are found by name. */
const most = 60;

/**
 * What the station page takes along, so that it needs no server while a test runs: today's sitting, or else those who
 * are due first; and the one it was opened for.
 */
export async function listStation(desk: Desk, protocol: Protocol, asked: PersonId | null) {
  const today = desk.today();
  const sitting = new Set(await sittingOn(desk.db, today));
  const chosen = sitting.size > 0 ? sitting : await dueFirst(desk);
  if (asked !== null) chosen.add(asked);
  const people = (await listPeople(desk.db)).filter((p) => chosen.has(p.id) && !p.archived);
  const records = await recordsOf(
    desk,
    people.map((p) => p.id),
  );
  return {
    sitting: sitting.size > 0,
    people: (await viewsOf(desk, people)).map(({ person, ageYears, lastTestedOn, levels, due }) => ({
      id: person.id,
      name: person.name,
      ageYears,
      record: remembered(records.get(person.id) ?? { intakes: [], entries: [] }),
      cautions: levels.cautions.slice(0, -1).map((c) => c.text),
      row: paceRow(protocol, ageYears, person.normTable),
      lastTestedOn,
      due: due !== null && due.on <= today,
    })),
  };
}

/** What the station reads of one person, as it stands now. */
export async function readStationRecord(desk: Desk, id: PersonId): Promise<PersonRecord | undefined> {
  const record = (await recordsOf(desk, [id])).get(id);
  return record && record.intakes.length > 0 ? remembered(record) : undefined;
}

/** Only what readiness reads: contacts and medicines stay on the server. */
function remembered(record: PersonRecord): PersonRecord {
  const nobody = { name: '', phone: '' };
  return {
    ...record,
    intakes: record.intakes.map((i) => ({ ...i, medicines: '', contact: nobody, clinician: nobody })),
  };
}

async function dueFirst(desk: Desk): Promise<Set<PersonId>> {
  const lines = await allLines(desk);
  const rank = {
    unreadable: 4,
    'not-tested': 0,
    due: 0,
    'to-confirm': 1,
    ready: 1,
    'with-care': 1,
    'to-ask': 2,
    'ask-first': 3,
    'not-today': 3,
  };
  lines.sort((a, b) => rank[a.state] - rank[b.state] || (a.dueOn ?? '').localeCompare(b.dueOn ?? ''));
  return new Set(lines.slice(0, most).map((l) => l.id));
}

/** With the norm table left open the pace is that of the lower median. */
function paceRow(protocol: Protocol, ageYears: number, sex: Person['normTable']): NormRow | null {
  const sexes = sex ? [sex] : (['female', 'male'] as const);
  const rows = sexes.flatMap((s) => rowFor(protocol.norms, { ageYears, sex: s }) ?? []);
  return rows.sort((a, b) => a.p25 + a.p75 - (b.p25 + b.p75))[0] ?? null;
}
