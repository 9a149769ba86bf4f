import type { Metadata } from 'next';
import { theRegister } from '../../../database/theRegister';
import { HallLevels } from '../../../screens/levels/hall';
import { readEverybody } from '../../../use-cases/readPeople';
import { today } from '../../../use-cases/today';

export const metadata: Metadata = { title: 'Levels' };

export default async function Page() {
  return <HallLevels people={await readEverybody(await theRegister(), today())} />;
}
