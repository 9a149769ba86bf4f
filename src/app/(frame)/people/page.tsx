import type { Metadata } from 'next';
import { theRegister } from '../../../database/theRegister';
import { Register } from '../../../screens/people/register';
import { askRegister, wholeRegister } from '../../../use-cases/everybody';
import { readGroups, readSitting } from '../../../use-cases/groups';

import { today } from '../../../use-cases/today';
import { doWithPeople } from './actions';

export const metadata: Metadata = { title: 'People' };

export default async function PeoplePage({ searchParams }: { searchParams: Promise<{ group?: string }> }) {
  const db = await theRegister();
  const groups = await readGroups(db);
  const { group } = await searchParams;
  const asks = { ...wholeRegister, groupId: groups.find((g) => g.id === group)?.id ?? null };
  return (
    <Register
      key={asks.groupId}
      asks={asks}
      start={await askRegister(db, asks, today())}
      groups={groups}
      sitting={await readSitting(db, today())}
      deed={doWithPeople}
    />
  );
}
