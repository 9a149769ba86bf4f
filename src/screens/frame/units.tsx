'use client';
import { createContext, use, type ReactNode } from 'react';
import type { UnitSystem } from '../../core/shapes/person';

const Units = createContext<UnitSystem>('metric');

/** The units the hall works in, for every part of a screen that runs in the browser. */
export function UnitsProvider({ units, children }: { units: UnitSystem; children: ReactNode }) {
  return <Units value={units}>{children}</Units>;
}

export const useUnits = (): UnitSystem => use(Units);
