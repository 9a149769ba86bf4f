import type { Metadata } from 'next';
import { ImportScreen } from '../../../../screens/people/importPage';
import { readLastImport } from '../../../../use-cases/importRoster';
import { readPlace } from '../../../../use-cases/places';
import { theDesk } from '../../../../use-cases/desk';

export const metadata: Metadata = { title: 'Import a roster' };

export default async function ImportPage() {
  const desk = await theDesk();
  const { units } = await readPlace(desk);
  return <ImportScreen units={units} last={(await readLastImport(desk)) ?? null} />;
}
