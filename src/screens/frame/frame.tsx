import type { ReactNode } from 'react';
import { Find } from './find';
import { Hold, HoldButton } from './hold';
import { Hotkeys } from './hotkeys';
import { KeepingFault } from './keepingFault';
import { Outbox } from './outbox';
import { Places, PlacesMenu } from './places';
import { dayWords } from '../words';

interface Props {
  /** Empty while the hall has none. */
  readonly emergencyNumber: string;
  /** Set when the day is pretended, for demonstrations and pictures. */
  readonly pretended: string | null;
  readonly children: ReactNode;
}

/** Court line on top with the places on it, the search, what waits to be sent. On a phone one row, the places in a list. */
export function Frame({ emergencyNumber, pretended, children }: Props) {
  return (
    <>
      <a
        href="#main"
        data-frame
        className="sr-only focus:not-sr-only focus:absolute focus:z-30 focus:bg-board focus:p-3"
      >
        Skip to the page
      </a>
      <header className="border-b-4 border-ink print:hidden" data-frame>
        <div className="relative mx-auto flex min-h-[60px] max-w-[1400px] items-center gap-x-2 px-4 md:flex-wrap md:items-end md:gap-x-3 md:px-7 max-lg:md:pt-2">
          <a href="/" className="flex min-h-11 items-center gap-2.5 text-lg font-extrabold md:pb-1">
            <Mark />
            <span className="max-md:sr-only">Ready Stool</span>
          </a>
          <PlacesMenu />
          <Places />
          <div className="order-2 ml-auto flex items-center gap-x-2 md:pb-2 lg:order-3">
            {pretended && <span className="text-sm whitespace-nowrap max-md:sr-only">as on {dayWords(pretended)}</span>}
            <HoldButton />
            <Hotkeys />
            <Find />
          </div>
        </div>
      </header>
      <KeepingFault />
      <Outbox />
      <Hold emergencyNumber={emergencyNumber} pretended={pretended} />
      <main id="main" className="mx-auto max-w-[1400px] px-4 pb-10 md:px-7">
        {children}
      </main>
    </>
  );
}

function Mark() {
  return (
    <svg width="30" height="30" viewBox="0 0 30 30" aria-hidden className="shrink-0">
      <rect x="3" y="8" width="24" height="5" rx="2" fill="var(--color-ink)" />
      <path
        d="M7 13 5 28M23 13l2 15M6.4 21h17.2"
        stroke="var(--color-ink)"
        strokeWidth="2.6"
        strokeLinecap="round"
        fill="none"
      />
    </svg>
  );
}
