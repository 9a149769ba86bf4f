import { IntakeForm } from '../../../../../screens/people/intake/intakeForm';
import { toPersonForm } from '../../../../../use-cases/savePerson';
import { today } from '../../../../../use-cases/today';
import { savePerson } from '../../actions';
import { thePerson, type PersonParams } from '../person';

export async function generateMetadata(context: PersonParams) {
  return { title: `Intake of ${(await thePerson(context)).person.name}` };
}

export default async function IntakePage(context: PersonParams) {
  const { person, known, units } = await thePerson(context);
  return (
    <IntakeForm
      today={today()}
      units={units}
      start={toPersonForm(person, known.intake, known.pains)}
      asked={known.pains.map(({ joint, side, askedOn, stale }) => ({ joint, side, on: askedOn, stale }))}
      notedFalls={known.falls}
      save={savePerson.bind(null, person.id)}
      isNew={false}
      backTo={`/people/${person.id}`}
    />
  );
}
