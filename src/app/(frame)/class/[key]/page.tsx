import type { Metadata } from 'next';
import { notFound, redirect } from 'next/navigation';
import { RunClass } from '../../../../screens/class/runClass';
import { readClass, rungsIn } from '../../../../use-cases/classes';
import { findClassSwaps } from '../actions';
import { readHelpers } from '../../../../use-cases/helpers';
import { readPlace } from '../../../../use-cases/places';
import { theDesk } from '../../../../use-cases/desk';

export const metadata: Metadata = { title: 'Class' };

interface Asked {
  readonly params: Promise<{ key: string }>;
  readonly searchParams: Promise<{ readonly for?: string }>;
}

export default async function RunPage({ params, searchParams }: Asked) {
  const { key } = await params;
  const { for: whose } = await searchParams;
  const desk = await theDesk();
  const found = await readClass(desk, key);
  if (!found) notFound();
  if (found.closedAt !== null) redirect(`/class/${key}/after`);
  const helpers = (await readHelpers(desk))
    .filter((h) => found.plan.helpers.includes(h.id))
    .map(({ id, name }) => ({ id, name }));
  return (
    <RunClass
      classKey={key}
      plan={found.plan}
      units={(await readPlace(desk)).units}
      lines={found.lines}
      checks={rungsIn(found.plan).checks}
      helpers={helpers}
      helper={helpers.find((h) => h.id === whose) ?? null}
      findSwaps={findClassSwaps}
    />
  );
}
