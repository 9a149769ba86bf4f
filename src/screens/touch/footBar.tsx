'use client';
import { useCallback, type ReactNode } from 'react';

/**
 * A bar at the foot of the screen that stays there. The page is told how high it is (`--bar` in globals.css), so that
 * nothing that is gone to by key, and no end of the page, lies under it.
 */
export function FootBar({ children }: { children: ReactNode }) {
  const measure = useCallback((bar: HTMLDivElement | null) => {
    if (!bar) return undefined;
    const root = document.documentElement.style;
    const tell = () => root.setProperty('--bar', `${bar.offsetHeight}px`);
    const watch = new ResizeObserver(tell);
    watch.observe(bar);
    tell();
    return () => {
      watch.disconnect();
      root.removeProperty('--bar');
    };
  }, []);
  return (
    <>
      <div aria-hidden className="h-(--bar) print:hidden" />
      <div
        ref={measure}
        data-fixed
        className="fixed inset-x-0 bottom-0 z-10 border-t-4 border-ink bg-board print:hidden"
      >
        <div className="mx-auto flex max-w-[1400px] flex-wrap items-center gap-x-4 gap-y-2 px-4 py-2.5 md:px-7">
          {children}
        </div>
      </div>
    </>
  );
}
