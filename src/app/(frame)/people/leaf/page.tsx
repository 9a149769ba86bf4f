import type { Metadata } from 'next';
import { LeafScreen } from '../../../../screens/people/leafPage';
import { theDesk } from '../../../../use-cases/desk';
import { readGroups, readSheetPeople } from '../../../../use-cases/groups';
import { readPlace } from '../../../../use-cases/places';
import { readRules } from '../../../../use-cases/rules';

export const metadata: Metadata = { title: 'A leaf for the door' };

interface Params {
  readonly searchParams: Promise<{ group?: string }>;
}

export default async function LeafPage({ searchParams }: Params) {
  const desk = await theDesk();
  const { group = null } = await searchParams;
  return (
    <LeafScreen
      people={group === null ? [] : (await readSheetPeople(desk, group)).people}
      groups={await readGroups(desk)}
      groupId={group}
      place={await readPlace(desk)}
      questions={(await readRules(desk)).readiness.questions}
    />
  );
}
