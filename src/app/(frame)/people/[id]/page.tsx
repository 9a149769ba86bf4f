import type { Metadata } from 'next';
import { PersonScreen } from '../../../../screens/people/personPage';
import { readTraining } from '../../../../use-cases/classes';
import { theDesk } from '../../../../use-cases/desk';
import { saveCorrection } from '../actions';
import { thePerson, type PersonParams } from './person';

export const metadata: Metadata = { title: 'A person' };

export default async function PersonPage(context: PersonParams) {
  const view = await thePerson(context);
  return (
    <PersonScreen view={view} correct={saveCorrection} training={await readTraining(await theDesk(), view.person.id)} />
  );
}
