import type { Metadata } from 'next';
import { LetterThatTells } from '../../../../../../screens/people/notePage';
import { theLetter, type PersonParams } from '../letter';
import {} from '../../person';

export const metadata: Metadata = { title: 'A letter that tells' };

export default async function TellingPage(context: PersonParams) {
  return <LetterThatTells {...await theLetter(context)} />;
}
