import { protocolById } from '../catalogue/protocols';
import { toKit } from '../core/intake/cupboard';
import { waitingLevels } from '../core/level/standing';
import { seatHeights } from '../core/level/seat';
import type { PersonRecord } from '../core/shapes/intake';
import type { PersonId } from '../core/shapes/person';
import { sittingOn } from '../database/groups';
import { listPeople } from '../database/people';
import { allLines, linesOf } from './everybody';
import { readHelpers } from './helpers';
import { readBook } from './norms';
import { readPlace } from './places';
import { recordsOf } from './readRecords';
import { mindsOfPeople, readPerson } from './readPeople';
import { type Desk } from './desk';

/** People a station page takes along when no sitting was put together; more are found by name. */
const most = 60;

/**
 * What the station page takes along, so that it needs no server while a test runs: today's sitting, or else those who
 * are due first; and those it was opened for.
 */
export async function listStation(desk: Desk, asked: readonly PersonId[]) {
  const today = desk.today();
  const sitting = new Set(await sittingOn(desk.db, today));
  const chosen = sitting.size > 0 ? sitting : await dueFirst(desk);
  for (const id of asked) chosen.add(id);
  const people = (await listPeople(desk.db)).filter((p) => chosen.has(p.id) && !p.archived);
  const records = await recordsOf(
    desk,
    people.map((p) => p.id),
  );
  const minds = await mindsOfPeople(desk, people);
  const lines = await linesOf(
    desk,
    people.map((p) => p.id),
  );
  return {
    sitting: sitting.size > 0,
    seatsCm: seatHeights(toKit((await readPlace(desk)).cupboard)).map((seat) => seat.heightCm),
    helpers: await readHelpers(desk),
    // Only those whose figures the hall changed: the page brings the others along.
    ownNorms: (await readBook(desk)).protocols.filter((p) => p.norms !== protocolById(p.id)?.norms),
    people: people.flatMap(({ id, name, normTable }) => {
      const line = lines.get(id);
      const mind = minds.get(id);
      // Whose record cannot be worked out is tested when it is put right.
      if (!line || !mind || line.ageYears === null) return [];
      const { ageYears, lastTestedOn, dueOn } = line;
      return [
        {
          ...{ id, name, normTable, ageYears, lastTestedOn, ...mind },
          record: remembered(records.get(id) ?? { intakes: [], entries: [] }),
          due: dueOn !== null && dueOn <= today,
        },
      ];
    }),
  };
}

/** What the station reads of one person, as it stands now. */
export async function readStationRecord(desk: Desk, id: PersonId): Promise<PersonRecord | undefined> {
  const record = (await recordsOf(desk, [id])).get(id);
  return record && record.intakes.length > 0 ? remembered(record) : undefined;
}

/**
 * What a result at the station opens: the levels that wait for a yes now, once the register has the attempt.
 * @returns undefined where there is nobody of this id
 */
export async function readOpened(desk: Desk, id: PersonId, attempt: string) {
  const view = await readPerson(desk, id);
  if (!view) return undefined;
  const has = view.attempts.some((a) => a.clientKey === attempt);
  return { has, waiting: waitingLevels(view.standings) };
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
  const lines = [...(await allLines(desk)).lines];
  const rank = {
    unreadable: 4,
    'being-read': 4,
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
