import type { Metadata } from 'next';
import { normsVersion, protocols } from '../../../catalogue/protocols';
import { readRules } from '../../../use-cases/rules';
import { LibraryScreen } from '../../../screens/library/library';
import { readPlace } from '../../../use-cases/places';
import { theDesk } from '../../../use-cases/desk';

export const metadata: Metadata = { title: 'Library' };

export default async function LibraryPage() {
  const desk = await theDesk();
  return (
    <LibraryScreen
      protocols={protocols}
      place={await readPlace(desk)}
      normsVersion={normsVersion}
      rules={(await readRules(desk)).levels}
    />
  );
}
