import { knownOn } from '../core/intake/known';
import { ageOn } from '../core/math/age';
import type { PersonId } from '../core/shapes/person';
import { listPeople } from '../database/people';
import type { Desk } from './desk';
import { readSheetPeople } from './groups';
import { recordsOf } from './readRecords';
import { readRules } from './rules';

/** What whoever helps must know of everybody in a group, or of those who sit today, as it is known today. */
export async function readEmergency(desk: Desk, groupId: string | null) {
  const { name: groupName, people } = await readSheetPeople(desk, groupId);
  const ids = new Set<PersonId>(people.map((p) => p.id));
  const records = await recordsOf(desk, [...ids]);
  const { readiness } = await readRules(desk);
  const lines = (await listPeople(desk.db))
    .filter((p) => ids.has(p.id))
    .flatMap(({ id, name, birthDate }) => {
      const record = records.get(id);
      const known = record && knownOn(record, desk.today(), readiness);
      if (!known) return [];
      const { contact, clinician, bloodThinners, sugarLowering, medicines } = known.intake;
      return [
        {
          ...{ id, name, contact, clinician, bloodThinners, sugarLowering, medicines },
          ageYears: birthDate === '' ? null : ageOn(birthDate, desk.today()),
          limits: known.readiness.limits,
        },
      ];
    });
  return { groupName, lines };
}
