import { PersonScreen } from '../../../../screens/people/personPage';
import { saveCorrection } from '../actions';
import { thePerson, type PersonParams } from './person';

export async function generateMetadata(context: PersonParams) {
  return { title: (await thePerson(context)).person.name };
}

export default async function PersonPage(context: PersonParams) {
  return <PersonScreen view={await thePerson(context)} correct={saveCorrection} />;
}
