import type { Metadata } from 'next';
import { RetestScreen } from '../../../../../screens/retest/retestPage';
import { today } from '../../../../../use-cases/today';
import { thePerson, type PersonParams } from '../person';

export const metadata: Metadata = { title: 'Retest of a person' };

export default async function RetestPage(context: PersonParams) {
  return <RetestScreen view={await thePerson(context)} today={today()} />;
}
