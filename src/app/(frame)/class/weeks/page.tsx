import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { WeeksPage } from '../../../../screens/class/weeksPage';
import { readGroupWeeks, readPersonWeeks } from '../../../../use-cases/classWeeks';
import { theDesk } from '../../../../use-cases/desk';

export const metadata: Metadata = { title: 'Weeks' };

interface Asked {
  readonly searchParams: Promise<{ readonly group?: string; readonly person?: string }>;
}

export default async function TwelveWeeks({ searchParams }: Asked) {
  const { group, person } = await searchParams;
  const desk = await theDesk();
  const found =
    person !== undefined
      ? await readPersonWeeks(desk, person)
      : group !== undefined
        ? await readGroupWeeks(desk, group)
        : undefined;
  if (!found) notFound();
  return (
    <WeeksPage
      {...found}
      ofGroup={person === undefined}
      back={person === undefined ? ['/class', 'Classes'] : [`/people/${person}`, found.whose]}
    />
  );
}
