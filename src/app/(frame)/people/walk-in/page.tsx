import type { Metadata } from 'next';
import { WalkInScreen } from '../../../../screens/people/walkIn';
import { today } from '../../../../use-cases/today';
import { saveWalkIn } from '../actions';

export const metadata: Metadata = { title: 'Walk-in' };

export default function WalkInPage() {
  return <WalkInScreen today={today()} save={saveWalkIn} />;
}
