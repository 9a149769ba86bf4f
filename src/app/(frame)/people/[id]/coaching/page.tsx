import type { Metadata } from 'next';
import { PersonCoaching } from '../../../../../screens/coaching/personCoaching';
import { readCoached, readStyleCosts } from '../../../../../use-cases/coaching';
import { theDesk } from '../../../../../use-cases/desk';
import { theDeviceCoaching } from '../../../../deviceCoaching';
import { noteOfPerson } from '../../actions';
import { thePerson, type PersonParams } from '../person';

export const metadata: Metadata = { title: 'How somebody is coached' };

export default async function PersonCoachingPage(context: PersonParams) {
  const view = await thePerson(context);
  const desk = await theDesk();
  return (
    <PersonCoaching
      view={view}
      coached={await readCoached(desk, await theDeviceCoaching(), view)}
      costs={await readStyleCosts(desk, view)}
      note={noteOfPerson.bind(null, view.person.id)}
    />
  );
}
