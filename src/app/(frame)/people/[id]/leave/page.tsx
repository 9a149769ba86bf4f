import type { Metadata } from 'next';
import { LeaveScreen } from '../../../../../screens/people/leavePage';
import { PersonHead } from '../../../../../screens/people/personHead';
import { eraseForGood, setPersonAside } from '../../actions';
import { thePerson, type PersonParams } from '../person';

export const metadata: Metadata = { title: 'Put aside or erase' };

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
