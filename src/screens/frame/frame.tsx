import type { ReactNode } from 'react';
import { Find } from './find';
import { Hold, HoldButton } from './hold';
import { Hotkeys } from './hotkeys';
import { Outbox } from './outbox';
import { Places } from './places';
import { dayWords } from '../words';

interface Props {
  /** Empty while the hall has none. */
  readonly emergencyNumber: string;
  /** Set when the day is pretended, for demonstrations and pictures. */
  readonly pretended: string | null;
  readonly children: ReactNode;
}

/** Court line on top with the places on it, the search, what waits to be sent. */
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
        <div className="mx-auto flex min-h-[60px] max-w-[1400px] flex-wrap items-end gap-x-5 px-7 max-lg:pt-2">
          <a href="/" className="flex min-h-11 items-center gap-2.5 pb-1 text-lg font-extrabold">
            <Mark />
            Ready Stool
          </a>
          <Places />
          <div className="order-2 ml-auto flex flex-wrap items-center gap-x-3 pb-2 lg:order-3">
            {pretended && <span className="text-sm whitespace-nowrap">as on {dayWords(pretended)}</span>}
            <HoldButton />
            <Find />
          </div>
        </div>
      </header>
      <Outbox />
      <Hotkeys />
      <Hold emergencyNumber={emergencyNumber} pretended={pretended} />
      <main id="main" className="mx-auto max-w-[1400px] px-7 pb-10">
        {children}
      </main>
    </>
  );
}

function Mark() {
  return (
    <svg width="30" height="30" viewBox="0 0 30 30" aria-hidden>
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
