import { LetterThatAsks } from '../../../../../screens/people/notePage';
import { theLetter, type PersonParams } from './letter';
import { thePerson } from '../person';

export async function generateMetadata(context: PersonParams) {
  return { title: `A question about ${(await thePerson(context)).person.name}` };
}

export default async function NotePage(context: PersonParams) {
  return <LetterThatAsks {...await theLetter(context)} />;
}
