import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { SetUpPage } from '../../../../../screens/class/setUpPage';
import { readSetUp } from '../../../../../use-cases/classSetUp';
import { isCupboardAsShown, keepClassPlaces } from '../../actions';
import { theDesk } from '../../../../../use-cases/desk';

export const metadata: Metadata = { title: 'Who sits where' };

export default async function ClassSetUpPage({ params }: { params: Promise<{ key: string }> }) {
  const { key } = await params;
  const found = await readSetUp(await theDesk(), key);
  if (!found) notFound();
  return (
    <SetUpPage
      classKey={key}
      {...found}
      keep={keepClassPlaces.bind(null, key)}
      isStill={isCupboardAsShown.bind(null, found.cupboard)}
    />
  );
}
