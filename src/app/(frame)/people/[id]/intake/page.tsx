import { PersonFormScreen } from '../../../../../screens/people/personForm';
import { toPersonForm } from '../../../../../use-cases/addPerson';
import { today } from '../../../../../use-cases/today';
import { savePerson } from '../../actions';
import { thePerson, type PersonParams } from '../person';

export async function generateMetadata(context: PersonParams) {
  return { title: `Intake of ${(await thePerson(context)).person.name}` };
}

export default async function IntakePage(context: PersonParams) {
  const { person, intake } = await thePerson(context);
  return (
    <PersonFormScreen
      today={today()}
      start={toPersonForm(person, intake)}
      save={savePerson.bind(null, person.id)}
      isNew={false}
      backTo={`/people/${person.id}`}
    />
  );
}
