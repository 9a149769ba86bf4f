import type { Metadata } from 'next';
import { theRegister } from '../../database/theRegister';
import { TodayScreen } from '../../screens/today/today';
import { readPlace } from '../../use-cases/places';
import { readEverybody } from '../../use-cases/readPeople';
import { today } from '../../use-cases/today';

export const metadata: Metadata = { title: 'Today' };

export default async function TodayPage() {
  const db = await theRegister();
  return <TodayScreen today={today()} place={await readPlace(db)} people={await readEverybody(db, today())} />;
}
