import { RetestScreen } from '../../../../../screens/retest/retestPage';
import { today } from '../../../../../use-cases/today';
import { thePerson, type PersonParams } from '../person';

export async function generateMetadata(context: PersonParams) {
  return { title: `Retest of ${(await thePerson(context)).person.name}` };
}

export default async function RetestPage(context: PersonParams) {
  return <RetestScreen view={await thePerson(context)} today={today()} />;
}
