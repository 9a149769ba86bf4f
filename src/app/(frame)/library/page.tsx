import type { Metadata } from 'next';
import { normsVersion, protocolById } from '../../../catalogue/protocols';
import { levelRules } from '../../../catalogue/rules';
import { theRegister } from '../../../database/theRegister';
import { LibraryScreen } from '../../../screens/library/library';
import { readPlace } from '../../../use-cases/places';

export const metadata: Metadata = { title: 'Library' };

export default async function LibraryPage() {
  const protocol = protocolById('chair-stand-30s');
  if (!protocol) throw new RangeError('LibraryPage: the catalogue has no chair-stand-30s');
  return (
    <LibraryScreen
      protocol={protocol}
      place={await readPlace(await theRegister())}
      normsVersion={normsVersion}
      rulesVersion={levelRules.version}
    />
  );
}
