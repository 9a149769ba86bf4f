import type { Metadata } from 'next';
import { theRegister } from '../../../database/theRegister';
import { HallLevels } from '../../../screens/levels/hall';
import { readHall } from '../../../use-cases/halls';
import { today } from '../../../use-cases/today';

export const metadata: Metadata = { title: 'Levels' };

export default async function Page({ searchParams }: { searchParams: Promise<{ page?: string }> }) {
  const hall = await readHall(await theRegister(), 'levels', Number((await searchParams).page ?? 1) || 1, today());
  return <HallLevels people={hall.people} pages={{ path: '/levels', page: hall.page, of: hall.of }} />;
}
