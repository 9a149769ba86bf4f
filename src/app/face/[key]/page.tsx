import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { HallFace } from '../../../screens/class/hallFace';
import { readClass, rungsIn } from '../../../use-cases/classes';
import { theDesk } from '../../../use-cases/desk';

export const metadata: Metadata = { title: 'For the hall' };

interface Asked {
  readonly params: Promise<{ key: string }>;
  readonly searchParams: Promise<{ readonly flash?: string }>;
}

export default async function HallFacePage({ params, searchParams }: Asked) {
  const { key } = await params;
  const { flash } = await searchParams;
  const found = await readClass(await theDesk(), key);
  if (!found) notFound();
  return (
    <HallFace
      classKey={key}
      plan={found.plan}
      lines={found.lines}
      poses={rungsIn(found.plan).poses}
      flash={flash === '1'}
    />
  );
}
