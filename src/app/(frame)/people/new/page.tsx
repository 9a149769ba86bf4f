import { RulesProvider } from '../../../../screens/frame/rules';
import { readRules } from '../../../../use-cases/rules';
import type { Metadata } from 'next';
import { IntakeForm } from '../../../../screens/people/intake/intakeForm';
import { emptyPersonForm } from '../../../../use-cases/savePerson';
import { today } from '../../../../use-cases/today';
import { saveNewPerson } from '../actions';
import { theDesk } from '../../../../use-cases/desk';

export const metadata: Metadata = { title: 'Add a person' };

export default async function NewPersonPage() {
  return (
    <RulesProvider rules={await readRules(await theDesk())}>
      <IntakeForm
        today={today()}
        start={emptyPersonForm}
        asked={[]}
        notedFalls={[]}
        save={saveNewPerson}
        isNew
        backTo="/people"
      />
    </RulesProvider>
  );
}
