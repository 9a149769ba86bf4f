import type { Metadata } from 'next';
import { WaitingScreen } from '../../../screens/waiting/waiting';

export const metadata: Metadata = { title: 'What waits' };

export default function WaitingPage() {
  return <WaitingScreen />;
}
