import type { Metadata } from 'next';
import { RulesProvider } from '../../../../../screens/frame/rules';
import { readRules } from '../../../../../use-cases/rules';
import { PersonHead } from '../../../../../screens/people/personHead';
import { ReadinessScreen } from '../../../../../screens/people/readiness';
import { readRecord } from '../../../../../use-cases/readRecords';
import { today } from '../../../../../use-cases/today';
import { noteOfPerson } from '../../actions';
import { thePerson, type PersonParams } from '../person';
import { theDesk } from '../../../../../use-cases/desk';

export const metadata: Metadata = { title: 'Readiness of a person' };

export default async function ReadinessPage(context: PersonParams) {
  const view = await thePerson(context);
  const { id } = view.person;
  return (
    <>
      <PersonHead {...view} here="intake" />
      <RulesProvider rules={await readRules(await theDesk())}>
        <ReadinessScreen
          personId={id}
          today={today()}
          record={await readRecord(await theDesk(), id)}
          note={noteOfPerson.bind(null, id)}
        />
      </RulesProvider>
    </>
  );
}
