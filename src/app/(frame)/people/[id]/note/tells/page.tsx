import { LetterThatTells } from '../../../../../../screens/people/notePage';
import { theLetter, type PersonParams } from '../letter';
import { thePerson } from '../../person';

export async function generateMetadata(context: PersonParams) {
  return { title: `A letter about ${(await thePerson(context)).person.name}` };
}

export default async function TellingPage(context: PersonParams) {
  return <LetterThatTells {...await theLetter(context)} />;
}
