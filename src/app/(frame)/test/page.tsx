import type { Metadata } from 'next';
import { theRegister } from '../../../database/theRegister';
import { TestStation } from '../../../screens/test/testStation';
import { readBook } from '../../../use-cases/norms';
import { readPlace } from '../../../use-cases/places';
import { listStation } from '../../../use-cases/station';
import { today } from '../../../use-cases/today';

export const metadata: Metadata = { title: 'Test' };

export default async function TestPage({ searchParams }: { searchParams: Promise<{ person?: string }> }) {
  const db = await theRegister();
  const protocol = (await readBook(db)).protocols.find((p) => p.id === 'chair-stand-30s');
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
