'use client';
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/react';
import { useState, type ReactNode } from 'react';
import type { Pattern } from '../../core/shapes/facts';
import { CourtLine, lookOf } from '../drawing/patterns';

/** A ladder as it stands in the row: its bars, and what is told of it when it is looked at. */
export interface Bay {
  readonly key: string;
  readonly pattern: Pattern;
  readonly title: string;
  /** Beside its name: that it waits for a yes, or that somebody’s word stands on it. */
  readonly note: string | null;
  readonly bars: ReactNode;
  readonly detail: ReactNode;
}

/** A bay beside the four: short, with what is told of it when it is looked at. */
export interface ShortBay {
  readonly key: string;
  readonly face: ReactNode;
  readonly detail: ReactNode;
}

/** Bays side by side, or one at a time where there is no room; a tap or the arrow keys choose the one that is told of below. */
export function LevelBays({
  bays,
  short,
  more,
  lines,
  aside,
}: {
  bays: readonly Bay[];
  /** Beside the four, at their side: in force and offered. */
  short: readonly ShortBay[];
  /** All others beside the four; nothing where nobody may train today. */
  more: ReactNode;
  /** What the yes confirms, between the bays and what is told of the chosen one. */
  lines: ReactNode;
  aside: ReactNode;
}) {
  // By name, not by place: what is taken in or offered moves the others.
  const keys = [...bays, ...short].map((bay) => bay.key);
  const [looked, lookAt] = useState(keys[0]);
  const at = keys.indexOf(looked ?? '');
  return (
    <TabGroup
      selectedIndex={at < 0 ? (looked === 'more' ? keys.length : 0) : at}
      onChange={(i) => lookAt(keys[i] ?? 'more')}
      className="xl:mt-3 xl:grid xl:grid-cols-[35.5rem_9.75rem_minmax(0,1fr)] xl:grid-rows-[auto_1fr] xl:gap-x-4"
    >
      <TabList className="mt-3 grid grid-cols-4 gap-x-2 lg:flex lg:gap-x-4 xl:contents">
        <div className="contents lg:flex lg:flex-1 lg:items-start lg:gap-x-1.5">
          {bays.map(({ key, pattern, title, note, bars }) => (
            // Beside each other the chosen bay has its names, the others their pegs.
            <Tab
              key={key}
              className={`${tab} lg:flex-1 lg:data-selected:w-60 lg:data-selected:flex-none xl:w-26 xl:flex-none`}
            >
              <span className="flex flex-wrap items-baseline gap-x-2.5 px-1">
                <span className={`text-2xl leading-8 font-extrabold ${lookOf(pattern).words}`}>{pattern}</span>
                <span className="text-lg font-bold lg:text-base lg:group-data-selected:text-lg">{title}</span>
                {note !== null && (
                  <span className="ml-auto text-sm max-sm:hidden lg:hidden lg:group-data-selected:inline">{note}</span>
                )}
              </span>
              <CourtLine pattern={pattern} />
              <span className="hidden lg:block">{bars}</span>
            </Tab>
          ))}
        </div>
        {more && (
          <div className="flex flex-wrap gap-1 max-lg:col-span-4 max-lg:mt-1 lg:flex-col lg:w-52 lg:flex-nowrap xl:col-start-2 xl:row-span-2 xl:row-start-1 xl:w-full">
            {short.map(({ key, face }) => (
              <Tab key={key} className={`${tab} max-lg:min-w-40 max-lg:flex-1`}>
                {face}
              </Tab>
            ))}
            <Tab className={`${tab} min-h-12 px-2 font-bold`}>More beside the four</Tab>
          </div>
        )}
      </TabList>
      <div className="mt-2 xl:col-start-1">{lines}</div>
      <div className="xl:col-start-3 xl:row-span-2 xl:row-start-1">
        <div className="mt-2 flex flex-wrap gap-2 xl:mt-0">{aside}</div>
        <TabPanels className="mt-3 border-t-4 border-ink pt-3 xl:pt-2">
          {bays.map(({ key, bars, detail }) => (
            <TabPanel
              key={key}
              className="max-lg:grid max-lg:gap-x-8 max-lg:gap-y-4 max-lg:sm:grid-cols-[300px_minmax(0,1fr)]"
            >
              {/* Four bays beside each other need a wide screen; on others the chosen one stands here. */}
              <div className="lg:hidden">{bars}</div>
              {detail}
            </TabPanel>
          ))}
          {more && short.map(({ key, detail }) => <TabPanel key={key}>{detail}</TabPanel>)}
          {more && <TabPanel>{more}</TabPanel>}
        </TabPanels>
      </div>
    </TabGroup>
  );
}

const tab =
  'group cursor-pointer rounded-md border-2 border-transparent p-1 text-left data-selected:border-ink data-selected:bg-board';
