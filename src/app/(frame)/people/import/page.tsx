import type { Metadata } from 'next';
import { theRegister } from '../../../../database/theRegister';
import { ImportScreen } from '../../../../screens/people/importPage';
import { readLastImport } from '../../../../use-cases/importRoster';
import { readPlace } from '../../../../use-cases/places';

export const metadata: Metadata = { title: 'Import a roster' };

export default async function ImportPage() {
  const db = await theRegister();
  const { units } = await readPlace(db);
  return <ImportScreen units={units} last={(await readLastImport(db)) ?? null} />;
}
