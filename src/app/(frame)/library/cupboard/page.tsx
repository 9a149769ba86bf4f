import type { Metadata } from 'next';
import { savePlace } from '../../actions';
import { CupboardScreen } from '../../../../screens/library/cupboard';
import { readPlace } from '../../../../use-cases/places';
import { theDesk } from '../../../../use-cases/desk';

export const metadata: Metadata = { title: 'The cupboard' };

export default async function CupboardPage() {
  return <CupboardScreen place={await readPlace(await theDesk())} save={savePlace} />;
}
