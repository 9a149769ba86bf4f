import type { Metadata } from 'next';
import { PersonScreen } from '../../../../screens/people/personPage';
import { saveCorrection } from '../actions';
import { thePerson, type PersonParams } from './person';

export const metadata: Metadata = { title: 'A person' };

export default async function PersonPage(context: PersonParams) {
  return <PersonScreen view={await thePerson(context)} correct={saveCorrection} />;
}
