'use client';
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/react';
import type { ReactNode } from 'react';
import type { Pattern } from '../../core/shapes/facts';
import { CourtLine, lookOf } from '../drawing/patterns';

/** A ladder as it stands in the row: its bars, and what is told of it when it is looked at. */
export interface Bay {
  readonly pattern: Pattern;
  readonly title: string;
  /** Beside its name: that it waits for a yes, or that somebody’s word stands on it. */
  readonly note: string | null;
  readonly bars: ReactNode;
  readonly detail: ReactNode;
}

/** Bays side by side, or one at a time where there is no room; a tap or the arrow keys choose the one that is told of below. */
export function LevelBays({
  bays,
  lines,
  aside,
}: {
  bays: readonly Bay[];
  /** What the yes confirms, between the bays and what is told of the chosen one. */
  lines: ReactNode;
  aside: ReactNode;
}) {
  return (
    <TabGroup>
      <TabList className="mt-3 grid grid-cols-4 gap-x-2 lg:gap-x-6">
        {bays.map(({ pattern, title, note, bars }) => (
          <Tab
            key={pattern}
            className="group cursor-pointer rounded-md border-2 border-transparent p-1 text-left data-selected:border-ink data-selected:bg-board"
          >
            <span className="flex flex-wrap items-baseline gap-x-2.5 px-1">
              <span className={`text-2xl leading-8 font-extrabold ${lookOf(pattern).words}`}>{pattern}</span>
              <span className="text-lg font-bold">{title}</span>
              {note !== null && <span className="ml-auto text-sm max-sm:hidden">{note}</span>}
            </span>
            <CourtLine pattern={pattern} />
            <span className="hidden lg:block">{bars}</span>
          </Tab>
        ))}
      </TabList>
      {lines}
      <div className="mt-3 flex flex-col gap-x-8 gap-y-4 border-t-4 border-ink pt-3 lg:flex-row lg:items-start">
        <TabPanels className="w-full min-w-0 flex-1">
          {bays.map(({ pattern, bars, detail }) => (
            <TabPanel
              key={pattern}
              className="max-lg:grid max-lg:gap-x-8 max-lg:gap-y-4 max-lg:sm:grid-cols-[300px_1fr]"
            >
              {/* Four bays beside each other need a wide screen; on others the chosen one stands here. */}
              <div className="lg:hidden">{bars}</div>
              {detail}
            </TabPanel>
          ))}
        </TabPanels>
        <div className="flex flex-wrap gap-3 max-lg:order-first lg:w-60 lg:flex-col">{aside}</div>
      </div>
    </TabGroup>
  );
}
