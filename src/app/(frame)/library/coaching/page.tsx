import type { Metadata } from 'next';
import { HallCoaching } from '../../../../screens/coaching/hallCoaching';
import { readCoached } from '../../../../use-cases/coaching';
import { theDesk } from '../../../../use-cases/desk';
import { theDeviceCoaching } from '../../../deviceCoaching';
import { saveHallCoaching } from '../actions';

export const metadata: Metadata = { title: 'How it is coached' };

export default async function CoachingPage() {
  const desk = await theDesk();
  const device = await theDeviceCoaching();
  return <HallCoaching hall={await readCoached(desk, {})} mine={device} save={saveHallCoaching} />;
}
