import type { Metadata } from 'next';
import { theRegister } from '../../../database/theRegister';
import { HallScores } from '../../../screens/scores/hall';
import { readHall } from '../../../use-cases/halls';
import { today } from '../../../use-cases/today';

export const metadata: Metadata = { title: 'Scores' };

export default async function Page({ searchParams }: { searchParams: Promise<{ page?: string }> }) {
  const hall = await readHall(await theRegister(), 'scores', Number((await searchParams).page ?? 1) || 1, today());
  return <HallScores people={hall.people} pages={{ path: '/scores', page: hall.page, of: hall.of }} />;
}
