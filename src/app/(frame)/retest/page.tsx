import type { Metadata } from 'next';
import { theRegister } from '../../../database/theRegister';
import { HallRetests } from '../../../screens/retest/hall';
import { readEverybody } from '../../../use-cases/readPeople';
import { today } from '../../../use-cases/today';

export const metadata: Metadata = { title: 'Retest' };

export default async function Page() {
  return <HallRetests people={await readEverybody(await theRegister(), today())} today={today()} />;
}
