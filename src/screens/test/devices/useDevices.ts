'use client';
import { useEffect, useSyncExternalStore } from 'react';
import { deviceKindOf, type DeviceKind } from '../../../core/shapes/device';
import { deviceName } from '../../words';
import { theBench } from '../bench/browser';
import type { RunNow } from '../bench/useLanes';
import { Ears, type DeviceNow } from './ears';
import { openLine } from './line';

let ears: Ears | undefined;
/** The ears of this page. */
const theEars = (): Ears =>
  (ears ??= new Ears({
    nowMs: () => performance.now(),
    open: openLine,
    callIn: (ms, call) => {
      const timer = setTimeout(call, ms);
      return () => clearTimeout(timer);
    },
  }));

const nobody: readonly DeviceNow[] = [];
const deaf = () => () => undefined;

/** The devices of a kind that this page hears or has heard; none, and no line to them, where the test takes none. */
export function useDevices(kind: DeviceKind | undefined): readonly DeviceNow[] {
  const all = useSyncExternalStore(
    kind === undefined ? deaf : theEars().watch,
    kind === undefined ? () => nobody : theEars().look,
    () => nobody,
  );
  return all.filter((d) => deviceKindOf(d.id) === kind);
}

/** What the devices of these attempts tell goes to their lanes. */
export function useDeviceReps(runs: readonly RunNow[]): readonly DeviceNow[] {
  const taken = runs.flatMap(({ kept }) => (kept.device === null ? [] : [[kept.clientKey, kept.device] as const]));
  const links = JSON.stringify(taken);
  const kind = taken[0] && deviceKindOf(taken[0][1]);
  const devices = useDevices(kind);
  useEffect(() => {
    const ends = (JSON.parse(links) as readonly (readonly [key: string, device: string])[]).map(([key, device]) =>
      theEars().count(device, ({ tMs, boot, n }) =>
        theBench().press(key, { do: 'heard', device, boot, n }, 'device', tMs),
      ),
    );
    return () => {
      for (const end of ends) end();
    };
  }, [links]);
  return devices;
}

/** What is wrong with a device, for the record and for whoever says yes to its count. */
export function faultOf({ id, state, anew }: DeviceNow): string | null {
  const name = deviceName(id);
  if (state === 'silent') return `The ${name} fell silent.`;
  return anew ? `The ${name} was switched on anew.` : null;
}

/** What is said on a lane of the device that counts there; `null` where none does. */
export function deviceLine(id: string | null, devices: readonly DeviceNow[]): string | null {
  if (id === null) return null;
  const device = devices.find((d) => d.id === id);
  const fault = device ? faultOf(device) : `The ${deviceName(id)} is not heard.`;
  return fault === null ? `The ${deviceName(id)} counts. Tap what it misses.` : `${fault} Count by hand.`;
}
