import type { Metadata } from 'next';
import { theRegister } from '../../../database/theRegister';
import { Register } from '../../../screens/people/register';
import { askRegister, wholeRegister } from '../../../use-cases/everybody';
import { readGroups, readSitting } from '../../../use-cases/groups';

import { today } from '../../../use-cases/today';
import { doWithPeople } from './actions';

export const metadata: Metadata = { title: 'People' };

export default async function PeoplePage() {
  const db = await theRegister();
  return (
    <Register
      start={await askRegister(db, wholeRegister, today())}
      groups={await readGroups(db)}
      sitting={await readSitting(db, today())}
      deed={doWithPeople}
    />
  );
}
