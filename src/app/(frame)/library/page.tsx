import type { Metadata } from 'next';
import { normsVersion, protocols } from '../../../catalogue/protocols';
import { levelRules } from '../../../catalogue/rules';
import { LibraryScreen } from '../../../screens/library/library';
import { readPlace } from '../../../use-cases/places';
import { theDesk } from '../../../use-cases/desk';

export const metadata: Metadata = { title: 'Library' };

export default async function LibraryPage() {
  return (
    <LibraryScreen
      protocols={protocols}
      place={await readPlace(await theDesk())}
      normsVersion={normsVersion}
      rulesVersion={levelRules.version}
    />
  );
}
