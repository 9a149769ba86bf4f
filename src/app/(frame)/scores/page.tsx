import type { Metadata } from 'next';
import { Suspense } from 'react';
import { HallScores, HallScoresGrid, type HallOrder } from '../../../screens/scores/hall';
import { readHallScores } from '../../../use-cases/halls';
import { theDesk } from '../../../use-cases/desk';

export const metadata: Metadata = { title: 'Scores' };

interface Params {
  readonly searchParams: Promise<{ page?: string; sort?: string; past?: string }>;
}

export default async function Page({ searchParams }: Params) {
  const { page = '1', sort = 'past', past } = await searchParams;
  const order = { sort, pastOnly: past === '1' };
  return (
    <HallScores order={order}>
      {/* Keeps its place while everybody is looked up; what stands over it shows at once. */}
      <Suspense
        fallback={
          <p role="status" className="min-h-[80vh] py-8 text-lg">
            Looking everybody up …
          </p>
        }
      >
        <Grid order={order} page={Number(page) || 1} />
      </Suspense>
    </HallScores>
  );
}

async function Grid({ order, page }: { order: HallOrder; page: number }) {
  // What stands over the grid is on its way before everybody is looked up.
  await new Promise((sent) => setImmediate(sent));
  const hall = await readHallScores(await theDesk(), order, page);
  const path = `/scores?sort=${encodeURIComponent(order.sort)}${order.pastOnly ? '&past=1' : ''}`;
  return (
    <HallScoresGrid
      people={hall.people}
      pages={{ path, page: hall.page, of: hall.of, behind: hall.behind }}
      order={order}
    />
  );
}
