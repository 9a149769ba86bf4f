import type { Metadata } from 'next';
import { PersonHead } from '../../../../../screens/people/personHead';
import { TestsScreen } from '../../../../../screens/people/testsPage';
import { testsToday } from '../../../../../use-cases/testsToday';
import { thePerson, type PersonParams } from '../person';
import { theDesk } from '../../../../../use-cases/desk';

export const metadata: Metadata = { title: 'Tests open to a person' };

export default async function TestsPage(context: PersonParams) {
  const view = await thePerson(context);
  return (
    <>
      <PersonHead {...view} here="test" />
      <TestsScreen personId={view.person.id} units={view.units} tests={await testsToday(await theDesk(), view)} />
    </>
  );
}
