import type { ReactNode } from 'react';
import { UnitsProvider } from '../../screens/frame/units';
import { Frame } from '../../screens/frame/frame';
import { readPlace } from '../../use-cases/places';
import { pretendedToday } from '../../use-cases/today';
import { theDesk } from '../../use-cases/desk';

export default async function FrameLayout({ children }: { children: ReactNode }) {
  const { emergencyNumber, units } = await readPlace(await theDesk());
  return (
    <UnitsProvider units={units}>
      <Frame emergencyNumber={emergencyNumber} pretended={pretendedToday() ?? null}>
        {children}
      </Frame>
    </UnitsProvider>
  );
}
