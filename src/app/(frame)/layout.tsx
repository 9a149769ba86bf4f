import type { ReactNode } from 'react';
import { theRegister } from '../../database/theRegister';
import { Frame } from '../../screens/frame/frame';
import { listFindable } from '../../use-cases/readPeople';
import { pretendedToday, today } from '../../use-cases/today';

export default async function FrameLayout({ children }: { children: ReactNode }) {
  return (
    <Frame people={await listFindable(await theRegister(), today())} pretended={pretendedToday() ?? null}>
      {children}
    </Frame>
  );
}
