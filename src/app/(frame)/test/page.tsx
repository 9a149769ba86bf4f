import type { Metadata } from 'next';
import { revalidatePath } from 'next/cache';
import { theRegister } from '../../../database/theRegister';
import { TestStation } from '../../../screens/test/testStation';
import { readBook } from '../../../use-cases/norms';
import { changeEmergencyNumber, readPlace } from '../../../use-cases/places';
import { listStation } from '../../../use-cases/station';
import { pretendedToday, today } from '../../../use-cases/today';

export const metadata: Metadata = { title: 'Test' };

async function saveNumber(number: string) {
  'use server';
  const answer = await changeEmergencyNumber(await theRegister(), number);
  revalidatePath('/', 'layout');
  return answer;
}

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
      pretended={pretendedToday() ?? null}
      emergencyNumber={emergencyNumber}
      saveNumber={saveNumber}
      firstPersonId={person}
    />
  );
}
