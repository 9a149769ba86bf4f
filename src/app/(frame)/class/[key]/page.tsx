import type { Metadata } from 'next';
import { notFound, redirect } from 'next/navigation';
import { RunClass } from '../../../../screens/class/runClass';
import { readClass, rungsIn } from '../../../../use-cases/classes';
import { findClassSwaps } from '../actions';
import { theDesk } from '../../../../use-cases/desk';

export const metadata: Metadata = { title: 'Class' };

export default async function RunPage({ params }: { params: Promise<{ key: string }> }) {
  const { key } = await params;
  const found = await readClass(await theDesk(), key);
  if (!found) notFound();
  if (found.closedAt !== null) redirect(`/class/${key}/after`);
  return (
    <RunClass
      classKey={key}
      plan={found.plan}
      lines={found.lines}
      checks={rungsIn(found.plan).checks}
      findSwaps={findClassSwaps}
    />
  );
}
