import type { Metadata } from 'next';
import { PersonFormScreen } from '../../../../screens/people/personForm';
import { emptyPersonForm } from '../../../../use-cases/addPerson';
import { today } from '../../../../use-cases/today';
import { saveNewPerson } from '../actions';

export const metadata: Metadata = { title: 'Add a person' };

export default function NewPersonPage() {
  return <PersonFormScreen today={today()} start={emptyPersonForm} save={saveNewPerson} isNew backTo="/people" />;
}
