'use client';
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/react';
import type { ReactNode } from 'react';
import type { Pattern } from '../../core/shapes/facts';
import { CourtLine, lookOf } from '../drawing/patterns';

/** A ladder as it stands in the row: its bars, and what is told of it when it is looked at. */
export interface Bay {
  readonly pattern: Pattern;
  readonly title: string;
  /** Its level waits for a yes. */
  readonly waits: boolean;
  readonly bars: ReactNode;
  readonly detail: ReactNode;
}

/** Bays side by side; a tap or the arrow keys choose the one that is told of below. */
export function LevelBays({ bays, aside }: { bays: readonly Bay[]; aside: ReactNode }) {
  return (
    <TabGroup>
      <TabList className="mt-3 grid grid-cols-2 gap-x-6 gap-y-3 lg:grid-cols-4">
        {bays.map(({ pattern, title, waits, bars }) => (
          <Tab
            key={pattern}
            className="group cursor-pointer rounded-md border-2 border-transparent p-1 text-left data-selected:border-ink data-selected:bg-board"
          >
            <span className="flex items-baseline gap-2.5 px-1">
              <span className={`text-2xl leading-8 font-extrabold ${lookOf(pattern).words}`}>{pattern}</span>
              <span className="text-lg font-bold">{title}</span>
              {waits && <span className="ml-auto text-sm">to confirm</span>}
            </span>
            <CourtLine pattern={pattern} />
            {bars}
          </Tab>
        ))}
      </TabList>
      <div className="mt-3 flex flex-wrap items-start gap-x-8 gap-y-4 border-t-4 border-ink pt-3 lg:flex-nowrap">
        <TabPanels className="min-w-0 flex-1">
          {bays.map(({ pattern, detail }) => (
            <TabPanel key={pattern}>{detail}</TabPanel>
          ))}
        </TabPanels>
        <div className="flex flex-wrap gap-3 lg:w-60 lg:flex-col">{aside}</div>
      </div>
    </TabGroup>
  );
}
