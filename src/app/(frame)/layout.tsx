import type { ReactNode } from 'react';
import { theRegister } from '../../database/theRegister';
import { Frame } from '../../screens/frame/frame';
import { readPlace } from '../../use-cases/places';
import { pretendedToday } from '../../use-cases/today';

export default async function FrameLayout({ children }: { children: ReactNode }) {
  const { emergencyNumber } = await readPlace(await theRegister());
  return (
    <Frame emergencyNumber={emergencyNumber} pretended={pretendedToday() ?? null}>
      {children}
    </Frame>
  );
}
