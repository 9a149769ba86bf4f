import type { Metadata } from 'next';
import { HallLevels } from '../../../screens/levels/hall';
import { readHall } from '../../../use-cases/halls';
import { theDesk } from '../../../use-cases/desk';

export const metadata: Metadata = { title: 'Levels' };

export default async function Page({ searchParams }: { searchParams: Promise<{ page?: string }> }) {
  const hall = await readHall(await theDesk(), 'levels', Number((await searchParams).page ?? 1) || 1);
  return (
    <HallLevels people={hall.people} pages={{ path: '/levels', page: hall.page, of: hall.of, behind: hall.behind }} />
  );
}
