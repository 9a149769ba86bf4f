import { NoteScreen } from '../../../../../screens/people/notePage';
import { readPlace } from '../../../../../use-cases/places';
import { today } from '../../../../../use-cases/today';
import { thePerson, type PersonParams } from '../person';
import { theDesk } from '../../../../../use-cases/desk';

export async function generateMetadata(context: PersonParams) {
  return { title: `A question about ${(await thePerson(context)).person.name}` };
}

export default async function NotePage(context: PersonParams) {
  return <NoteScreen view={await thePerson(context)} place={await readPlace(await theDesk())} today={today()} />;
}
