import type { Metadata } from 'next';
import { theRegister } from '../../../../database/theRegister';
import { IntakeForm } from '../../../../screens/people/intake/intakeForm';
import { readPlace } from '../../../../use-cases/places';
import { emptyPersonForm } from '../../../../use-cases/savePerson';
import { today } from '../../../../use-cases/today';
import { saveNewPerson } from '../actions';

export const metadata: Metadata = { title: 'Add a person' };

export default async function NewPersonPage() {
  const { units } = await readPlace(await theRegister());
  return (
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
  );
}
