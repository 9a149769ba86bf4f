import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ClassToday } from '../../../../../../screens/people/classToday';
import { readClassToday } from '../../../../../../use-cases/classHeld';
import { theDesk } from '../../../../../../use-cases/desk';
import { holdClass, takeClassBack } from '../../../actions';

export const metadata: Metadata = { title: 'Class today' };

export default async function ClassPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const today = await readClassToday(await theDesk(), id);
  if (!today) notFound();
  return <ClassToday {...today} hold={holdClass} undo={takeClassBack} />;
}
