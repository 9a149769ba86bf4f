import type { Metadata } from 'next';
import { EmergencySheet } from '../../../../screens/people/emergencySheet';
import { theDesk } from '../../../../use-cases/desk';
import { readEmergency } from '../../../../use-cases/emergency';
import { readGroups } from '../../../../use-cases/groups';
import { readPlace } from '../../../../use-cases/places';

export const metadata: Metadata = { title: 'Emergency sheet' };

interface Params {
  readonly searchParams: Promise<{ group?: string }>;
}

export default async function EmergencyPage({ searchParams }: Params) {
  const { group = null } = await searchParams;
  const desk = await theDesk();
  const { emergencyNumber, name } = await readPlace(desk);
  return (
    <EmergencySheet
      groups={await readGroups(desk)}
      groupId={group}
      {...await readEmergency(desk, group)}
      emergencyNumber={emergencyNumber}
      hall={name}
      today={desk.today()}
    />
  );
}
