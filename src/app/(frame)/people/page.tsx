import type { Metadata } from 'next';
import { theRegister } from '../../../database/theRegister';
import { Register } from '../../../screens/people/register';
import { registerRow } from '../../../screens/people/summary';
import { readEverybody } from '../../../use-cases/readPeople';
import { today } from '../../../use-cases/today';

export const metadata: Metadata = { title: 'People' };

export default async function PeoplePage() {
  const people = await readEverybody(await theRegister(), today());
  return <Register rows={people.map((view) => registerRow(view, today()))} />;
}
