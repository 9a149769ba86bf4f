import type { Metadata } from 'next';
import { FaceScreen } from '../../screens/test/face/faceScreen';

export const metadata: Metadata = { title: 'For those who are tested' };

export default function FacePage() {
  return <FaceScreen />;
}
