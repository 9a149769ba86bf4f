'use client';
import { useEffect } from 'react';
import { theBench } from './bench/browser';
import type { RunNow } from './bench/useLanes';
import type { DeviceNow } from './devices/ears';
import { faultOf } from './devices/useDevices';

/** Writes into the record of each attempt that was begun or stopped what the page knows of how it was taken, once. */
export function useNotes(runs: readonly RunNow[], devices: readonly DeviceNow[]): void {
  const missing = runs.flatMap((run) =>
    run.lane.trial.state !== 'waiting'
      ? notesOf(run, devices)
          .filter((text) => !run.lane.events.some((e) => e.kind === 'note' && e.text === text))
          .map((text) => [run.kept.clientKey, text] as const)
      : [],
  );
  const said = JSON.stringify(missing);
  useEffect(() => {
    for (const [key, text] of JSON.parse(said) as readonly (readonly [string, string])[])
      theBench().press(key, { do: 'mark', mark: { kind: 'note', text } }, 'page');
  }, [said]);
}

function notesOf({ kept, lane }: RunNow, devices: readonly DeviceNow[]): string[] {
  const { although, watchedBy, device } = kept;
  // After the end a device may fall silent as it likes.
  const heard = lane.trial.state === 'running' ? devices.find((d) => d.id === device) : undefined;
  const fault = heard ? faultOf(heard) : null;
  return [
    ...(although === null ? [] : [`Beside others, though better watched alone: ${although}. The instructor decided.`]),
    ...(watchedBy === null ? [] : [`Watched by ${watchedBy}.`]),
    ...(fault === null ? [] : [fault]),
  ];
}
