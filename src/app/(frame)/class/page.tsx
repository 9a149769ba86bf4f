import type { Metadata } from 'next';
import { ClassList } from '../../../screens/class/classList';
import { closeForgotten } from '../../../use-cases/classLog';
import { readClasses } from '../../../use-cases/classes';
import { theDesk } from '../../../use-cases/desk';

export const metadata: Metadata = { title: 'Class' };

export default async function ClassesPage() {
  const desk = await theDesk();
  const forgotten = await closeForgotten(desk);
  return <ClassList {...await readClasses(desk)} forgotten={forgotten} />;
}
