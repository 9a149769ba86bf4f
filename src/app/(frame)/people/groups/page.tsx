import type { Metadata } from 'next';
import { GroupsScreen } from '../../../../screens/people/groups';
import { readGroupsWithPeople } from '../../../../use-cases/groups';
import { endTheGroup, saveTheGroup } from '../actions';
import { theDesk } from '../../../../use-cases/desk';

export const metadata: Metadata = { title: 'Groups' };

export default async function GroupsPage() {
  const groups = await readGroupsWithPeople(await theDesk());
  return <GroupsScreen groups={groups} save={saveTheGroup} end={endTheGroup} />;
}
