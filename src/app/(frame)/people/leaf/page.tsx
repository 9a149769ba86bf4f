import type { Metadata } from 'next';
import { LeafScreen } from '../../../../screens/people/leafPage';
import { theDesk } from '../../../../use-cases/desk';
import { readPlace } from '../../../../use-cases/places';
import { readRules } from '../../../../use-cases/rules';

export const metadata: Metadata = { title: 'A leaf for the door' };

export default async function LeafPage() {
  const desk = await theDesk();
  return <LeafScreen place={await readPlace(desk)} questions={(await readRules(desk)).readiness.questions} />;
}
