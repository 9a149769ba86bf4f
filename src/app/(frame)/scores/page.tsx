import type { Metadata } from 'next';
import { HallScores } from '../../../screens/scores/hall';
import { readHallScores } from '../../../use-cases/halls';
import { theDesk } from '../../../use-cases/desk';

export const metadata: Metadata = { title: 'Scores' };

interface Params {
  readonly searchParams: Promise<{ page?: string; sort?: string; past?: string }>;
}

export default async function Page({ searchParams }: Params) {
  const { page = '1', sort = 'past', past } = await searchParams;
  const order = { sort, pastOnly: past === '1' };
  const hall = await readHallScores(await theDesk(), order, Number(page) || 1);
  const path = `/scores?sort=${encodeURIComponent(sort)}${order.pastOnly ? '&past=1' : ''}`;
  return <HallScores people={hall.people} pages={{ path, page: hall.page, of: hall.of }} order={order} />;
}
