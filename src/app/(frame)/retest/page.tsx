import type { Metadata } from 'next';
import { HallRetests } from '../../../screens/retest/hall';
import { readHall } from '../../../use-cases/halls';
import { today } from '../../../use-cases/today';
import { theDesk } from '../../../use-cases/desk';

export const metadata: Metadata = { title: 'Retest' };

export default async function Page({ searchParams }: { searchParams: Promise<{ page?: string }> }) {
  const hall = await readHall(await theDesk(), 'retests', Number((await searchParams).page ?? 1) || 1);
  return (
    <HallRetests
      people={hall.people}
      pages={{ path: '/retest', page: hall.page, of: hall.of, behind: hall.behind }}
      dueOn={hall.dueOn}
      today={today()}
    />
  );
}
