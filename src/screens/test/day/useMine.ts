'use client';
import { useState } from 'react';
import { instructor } from '../../../core/shapes/day';

const name = 'ready-stool-station';

/** Whose station this tablet is, kept over a reload of this tab. */
export function useMine(): [string, (staff: string) => void] {
  const [mine, setMine] = useState(() =>
    typeof window === 'undefined' ? instructor : (window.sessionStorage.getItem(name) ?? instructor),
  );
  return [
    mine,
    (staff) => {
      window.sessionStorage.setItem(name, staff);
      setMine(staff);
    },
  ];
}
