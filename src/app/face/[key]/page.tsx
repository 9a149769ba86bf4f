import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { HallFace } from '../../../screens/class/hallFace';
import { readClass, rungsIn } from '../../../use-cases/classes';
import { theDesk } from '../../../use-cases/desk';

export const metadata: Metadata = { title: 'For the hall' };

export default async function HallFacePage({ params }: { params: Promise<{ key: string }> }) {
  const { key } = await params;
  const found = await readClass(await theDesk(), key);
  if (!found) notFound();
  return <HallFace classKey={key} plan={found.plan} lines={found.lines} poses={rungsIn(found.plan).poses} />;
}
