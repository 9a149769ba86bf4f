import type { Metadata } from 'next';
import { theRegister } from '../../../../database/theRegister';
import { GroupsScreen } from '../../../../screens/people/groups';
import { readGroupsWithPeople } from '../../../../use-cases/groups';
import { endTheGroup, saveTheGroup } from '../actions';

export const metadata: Metadata = { title: 'Groups' };

export default async function GroupsPage() {
  const groups = await readGroupsWithPeople(await theRegister());
  return <GroupsScreen groups={groups} save={saveTheGroup} end={endTheGroup} />;
}
