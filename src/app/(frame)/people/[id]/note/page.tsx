import type { Metadata } from 'next';
import { LetterThatAsks } from '../../../../../screens/people/notePage';
import { theLetter, type PersonParams } from './letter';
import {} from '../person';

export const metadata: Metadata = { title: 'A letter that asks' };

export default async function NotePage(context: PersonParams) {
  return <LetterThatAsks {...await theLetter(context)} />;
}
