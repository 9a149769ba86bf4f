import type { Metadata } from 'next';
import { Register } from '../../../screens/people/register';
import { askRegister, wholeRegister } from '../../../use-cases/everybody';
import { readGroups, readSitting } from '../../../use-cases/groups';

import { doWithPeople } from './actions';
import { theDesk } from '../../../use-cases/desk';

export const metadata: Metadata = { title: 'People' };

export default async function PeoplePage({ searchParams }: { searchParams: Promise<{ group?: string }> }) {
  const desk = await theDesk();
  const groups = await readGroups(desk);
  const { group } = await searchParams;
  const asks = { ...wholeRegister, groupId: groups.find((g) => g.id === group)?.id ?? null };
  return (
    <Register
      key={asks.groupId}
      asks={asks}
      start={await askRegister(desk, asks)}
      groups={groups}
      sitting={await readSitting(desk)}
      deed={doWithPeople}
    />
  );
}
