'use client';
import { useEffect, useState } from 'react';

/**
 * Whether what a page was worked out from has changed since: asked when it is opened, also out of the history of the browser, and each time
 * somebody comes back to it. Where nobody answers it stays as it was known.
 * @param isStill asks anew; another one is another page
 */
export function useStale(isStill: () => Promise<boolean>): boolean {
  const [changed, setChanged] = useState<(() => Promise<boolean>) | null>(null);
  useEffect(() => {
    const ask = async () => {
      if (document.visibilityState !== 'visible') return;
      const still = await isStill().catch(() => null);
      if (still !== null) setChanged(() => (still ? null : isStill));
    };
    void ask();
    const again = () => void ask();
    document.addEventListener('visibilitychange', again);
    window.addEventListener('focus', again);
    return () => {
      document.removeEventListener('visibilitychange', again);
      window.removeEventListener('focus', again);
    };
  }, [isStill]);
  return changed === isStill;
}
