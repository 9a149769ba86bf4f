import { RulesProvider } from '../../../../screens/frame/rules';
import { readRules } from '../../../../use-cases/rules';
import type { Metadata } from 'next';
import { IntakeForm } from '../../../../screens/people/intake/intakeForm';
import { readPlace } from '../../../../use-cases/places';
import { emptyPersonForm } from '../../../../use-cases/savePerson';
import { today } from '../../../../use-cases/today';
import { saveNewPerson } from '../actions';
import { theDesk } from '../../../../use-cases/desk';

export const metadata: Metadata = { title: 'Add a person' };

export default async function NewPersonPage() {
  const { units } = await readPlace(await theDesk());
  return (
    <RulesProvider rules={await readRules(await theDesk())}>
      <IntakeForm
        today={today()}
        units={units}
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
