import type { Metadata } from 'next';
import { theRegister } from '../../../database/theRegister';
import { HallScores } from '../../../screens/scores/hall';
import { readEverybody } from '../../../use-cases/readPeople';
import { today } from '../../../use-cases/today';

export const metadata: Metadata = { title: 'Scores' };

export default async function Page() {
  return <HallScores people={await readEverybody(await theRegister(), today())} />;
}
