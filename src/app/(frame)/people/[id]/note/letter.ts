import { theDesk } from '../../../../../use-cases/desk';
import { readPlace } from '../../../../../use-cases/places';
import { today } from '../../../../../use-cases/today';
import { noteOfPerson } from '../../actions';
import { thePerson, type PersonParams } from '../person';

export type { PersonParams };

/** What a letter is written from. */
export async function theLetter(context: PersonParams) {
  const view = await thePerson(context);
  return {
    view,
    place: await readPlace(await theDesk()),
    today: today(),
    note: noteOfPerson.bind(null, view.person.id),
  };
}
