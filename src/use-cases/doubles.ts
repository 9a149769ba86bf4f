import type { IsoDate } from '../core/shapes/facts';
import type { Person, PersonId } from '../core/shapes/person';
import { listPeople } from '../database/people';
import { nameIndex, sameName } from './names';
import { type Desk } from './desk';

export interface Double {
  readonly id: PersonId;
  readonly name: string;
  readonly birthDate: IsoDate;
  readonly archived: boolean;
}

/** People who may be the same: born that day with a name like it, or of the very name and born another day. */
export async function lookForDoubles(
  desk: Desk,
  { id, name, birthDate }: Pick<Person, 'id' | 'name' | 'birthDate'>,
): Promise<Double[]> {
  const others = (await listPeople(desk.db)).filter((p) => p.id !== id);
  const bornThatDay = others.filter((p) => p.birthDate === birthDate);
  const index = nameIndex<Double>();
  index.addAll(bornThatDay);
  const alike = new Set(index.search(name, { combineWith: 'OR' }).map((hit) => hit.id as PersonId));
  return others
    .filter((p) => alike.has(p.id) || sameName(p.name, name))
    .slice(0, 3)
    .map(({ id, name, birthDate, archived }) => ({ id, name, birthDate, archived }));
}
