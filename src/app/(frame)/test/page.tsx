import type { Metadata } from 'next';
import { protocolById } from '../../../catalogue/protocols';
import { theRegister } from '../../../database/theRegister';
import { TestStation } from '../../../screens/test/testStation';
import { readPlace } from '../../../use-cases/places';
import { listStation } from '../../../use-cases/station';
import { today } from '../../../use-cases/today';

export const metadata: Metadata = { title: 'Test' };

export default async function TestPage({ searchParams }: { searchParams: Promise<{ person?: string }> }) {
  const db = await theRegister();
  const protocol = protocolById('chair-stand-30s');
  if (!protocol) throw new RangeError('TestPage: the catalogue has no chair-stand-30s');
  const { emergencyNumber } = await readPlace(db);
  const { person = null } = await searchParams;
  return (
    <TestStation
      {...await listStation(db, protocol, today(), person)}
      protocol={protocol}
      today={today()}
      emergencyNumber={emergencyNumber}
      firstPersonId={person}
    />
  );
}
