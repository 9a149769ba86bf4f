import type { Metadata } from 'next';
import { normsVersion, protocols } from '../../../catalogue/protocols';
import { levelRules } from '../../../catalogue/rules';
import { theRegister } from '../../../database/theRegister';
import { LibraryScreen } from '../../../screens/library/library';
import { readPlace } from '../../../use-cases/places';

export const metadata: Metadata = { title: 'Library' };

export default async function LibraryPage() {
  return (
    <LibraryScreen
      protocols={protocols}
      place={await readPlace(await theRegister())}
      normsVersion={normsVersion}
      rulesVersion={levelRules.version}
    />
  );
}
