import type { ReactNode } from 'react';
import { Frame } from '../../screens/frame/frame';
import { readPlace } from '../../use-cases/places';
import { pretendedToday } from '../../use-cases/today';
import { theDesk } from '../../use-cases/desk';

export default async function FrameLayout({ children }: { children: ReactNode }) {
  const { emergencyNumber } = await readPlace(await theDesk());
  return (
    <Frame emergencyNumber={emergencyNumber} pretended={pretendedToday() ?? null}>
      {children}
    </Frame>
  );
}
