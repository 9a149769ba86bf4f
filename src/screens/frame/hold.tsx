'use client';
import { Dialog, DialogPanel } from '@headlessui/react';
import { useCallback, useEffect, useState } from 'react';
import { SignMark } from '../drawing/stateMark';
import { keptEntries, newClientKey, type KeptEntry } from '../test/bench/store';
import { holdTheDay } from '../test/day/holdDay';
import { Key } from '../touch/button';
import { deviceDay } from '../touch/hallDay';
import { holdEverything, onHold } from './holding';
import { emptySheet, IncidentSheet, keepSheet } from './incidentSheet';
import { useKeys } from './keys';
import { thisRegister } from './thisRegister';

interface Props {
  readonly emergencyNumber: string;
  /** Set when the day is pretended, for demonstrations and pictures. */
  readonly pretended: string | null;
}

/** One key from anywhere, also while typing and in a running test. The sheet is kept in this browser from its first moment. */
export function Hold({ emergencyNumber, pretended }: Props) {
  const [kept, setKept] = useState<KeptEntry | null>(null);
  const open = useCallback(() => {
    setKept((now) => {
      if (now) return now;
      const of = document.querySelector<HTMLElement>('[data-person-id]')?.dataset;
      const fresh: KeptEntry = {
        key: newClientKey(),
        personId: of?.['personId'] ?? '',
        personName: of?.['personName'] ?? '',
        // The day of the incident, also on a page that was left open overnight.
        on: pretended ?? deviceDay(),
        register: thisRegister(),
        content: { ...emptySheet(), ...(of?.['bloodThinners'] === 'yes' ? { bloodThinners: 'yes' as const } : {}) },
        open: true,
        refused: null,
      };
      keepSheet(fresh);
      return fresh;
    });
  }, [pretended]);

  useKeys(
    'always',
    (event) => {
      if (event.key !== 'F9') return false;
      if (!event.repeat) holdEverything();
      return true;
    },
    { overButtons: true },
  );
  useEffect(() => {
    const off = onHold(() => {
      open();
      // The station page notes it itself.
      if (window.location.pathname !== '/test')
        void holdTheDay(pretended ?? deviceDay()).catch((error: unknown) =>
          console.error('The stations were not told of the hold:', error),
        );
    }, 'here');
    // A sheet that a reload or a dead battery closed is opened again.
    keptEntries().then(
      (all) => {
        const left = all.find((e) => e.open && e.content.kind === 'incident');
        if (left) setKept((now) => now ?? left);
      },
      (error: unknown) => console.error('What this browser keeps cannot be read:', error),
    );
    return off;
  }, [open, pretended]);

  return (
    <Dialog open={kept !== null} onClose={() => undefined} className="relative z-40">
      {kept && (
        <div className="fixed inset-0 overflow-y-auto bg-board">
          <DialogPanel className="mx-auto max-w-6xl px-4 py-5 md:px-7">
            <IncidentSheet kept={kept} emergencyNumber={emergencyNumber} change={setKept} close={() => setKept(null)} />
          </DialogPanel>
        </div>
      )}
    </Dialog>
  );
}

export function HoldButton() {
  return (
    <button
      type="button"
      onClick={holdEverything}
      className="flex min-h-11 cursor-pointer items-center gap-2 rounded-md border-2 border-stop px-3 font-bold"
    >
      <SignMark sign="stop" /> Hold{' '}
      <span className="max-sm:hidden">
        <Key>F9</Key>
      </span>
    </button>
  );
}
