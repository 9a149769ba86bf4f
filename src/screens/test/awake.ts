'use client';
import { useEffect, useState } from 'react';

/**
 * Keeps the screen on for as long as a test is shown, where the browser can.
 * @returns false where it cannot, which is said once; `null` until that is known
 */
export function useAwake(): boolean | null {
  const [kept, setKept] = useState<boolean | null>(null);
  useEffect(() => {
    let live = true;
    let lock: WakeLockSentinel | null = null;
    const take = async () => {
      if (document.visibilityState === 'hidden') return;
      // Without a secure context, as on a hall network, there is none.
      const given = await (navigator as Partial<Navigator>).wakeLock?.request('screen').catch(() => null);
      if (!live) void given?.release();
      else {
        lock = given ?? null;
        setKept(lock !== null);
      }
    };
    const again = () => void take();
    again();
    document.addEventListener('visibilitychange', again);
    return () => {
      live = false;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
  return kept;
}
