import { LeaveScreen } from '../../../../../screens/people/leavePage';
import { PersonHead } from '../../../../../screens/people/personHead';
import { eraseForGood, setPersonAside } from '../../actions';
import { thePerson, type PersonParams } from '../person';

export async function generateMetadata(context: PersonParams) {
  return { title: `Put aside or erase ${(await thePerson(context)).person.name}` };
}

export default async function LeavePage(context: PersonParams) {
  const view = await thePerson(context);
  const { id, name } = view.person;
  return (
    <>
      <PersonHead {...view} here={null} />
      <LeaveScreen
        personId={id}
        name={name}
        archived={view.archived}
        setAside={setPersonAside.bind(null, id)}
        erase={eraseForGood.bind(null, id)}
      />
    </>
  );
}
