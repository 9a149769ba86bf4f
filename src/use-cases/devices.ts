import { deviceIds, deviceKindOf, deviceWords, type DeviceBatch, type DeviceNews } from '../core/shapes/device';
import { deviceBatch } from '../schemas/device';
import { parse, type FieldError } from '../schemas/parse';

/**
 * What devices say is passed on to the pages that listen, and kept nowhere: what a page makes of it is an event of an
 * attempt, kept and sent like any other.
 */

/** So much of what was said is told again to a page that begins to listen, such as one that was reloaded. */
const rememberedMs = 30_000;
/** As many places of one switching-on are known; a device that sends something again does so within seconds. */
const mostKnown = 5000;

interface Heard {
  readonly batch: DeviceBatch;
  readonly atMs: number;
}

interface Device {
  boot: string;
  known: Set<number>;
  heard: Heard[];
}

type Tell = (news: DeviceNews) => void;

interface Listener {
  readonly devices: ReadonlySet<string>;
  readonly tell: Tell;
  /** Told when the server ends. */
  readonly ended: () => void;
}

/** The devices of a hall and whoever listens to them; a test makes one of its own. */
export class DeviceHub {
  private readonly devices = new Map<string, Device>();
  private readonly listeners = new Set<Listener>();
  private readonly nowMs: () => number;
  isOver = false;

  constructor(nowMs: () => number) {
    this.nowMs = nowMs;
  }

  /** How many pages listen. */
  get listening(): number {
    return this.listeners.size;
  }

  /** @returns how much of it was new, and how many pages were told */
  hear(id: string, batch: DeviceBatch): { readonly fresh: number; readonly listening: number } {
    const before = this.devices.get(id);
    const device = before?.boot === batch.boot ? before : { boot: batch.boot, known: new Set<number>(), heard: [] };
    this.devices.set(id, device);
    const events = batch.events.filter((e) => !device.known.has(e.n));
    for (const { n } of events) device.known.add(n);
    if (device.known.size > 2 * mostKnown) device.known = new Set([...device.known].slice(-mostKnown));
    const atMs = this.nowMs();
    const fresh: DeviceBatch = { ...batch, events };
    const to = [...this.listeners].filter((l) => l.devices.has(id));
    if (events.length > 0 || batch.events.length === 0) {
      device.heard = [...device.heard.filter((h) => h.atMs > atMs - rememberedMs), { batch: fresh, atMs }];
      for (const { tell } of to) tell({ device: id, ...fresh, ageMs: 0 });
    }
    return { fresh: events.length, listening: to.length };
  }

  /** Tells what was said a moment ago, and from now on; the answer ends it. */
  listen(devices: readonly string[], tell: Tell, ended: () => void = () => undefined): () => void {
    const listener: Listener = { devices: new Set(devices), tell, ended };
    const nowMs = this.nowMs();
    for (const id of devices)
      for (const { batch, atMs } of this.devices.get(id)?.heard ?? [])
        if (nowMs - atMs <= rememberedMs) tell({ device: id, ...batch, ageMs: nowMs - atMs });
    this.listeners.add(listener);
    return () => {
      this.listeners.delete(listener);
    };
  }

  /** Ends every line, and takes no other: a server that is told to go waits for those that are open. */
  hangUp(): void {
    this.isOver = true;
    for (const { ended } of this.listeners) ended();
    this.listeners.clear();
  }
}

const shared = globalThis as typeof globalThis & { readyStoolDevices?: DeviceHub };

/** The devices of this server; bundled chunks share them through `globalThis`. */
function theDevices(): DeviceHub {
  if (!shared.readyStoolDevices) {
    const hub = new DeviceHub(() => performance.now());
    shared.readyStoolDevices = hub;
    for (const signal of ['SIGTERM', 'SIGINT'] as const) process.on(signal, () => hub.hangUp());
  }
  return shared.readyStoolDevices;
}

export type HearDevice =
  | { readonly kind: 'heard'; readonly fresh: number; readonly listening: number }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

/** Takes what a device sent. What it sent before is dropped by its boot and its place. */
export function hearDevice(id: string, input: unknown, hub = theDevices()): HearDevice {
  const parsed = parse(deviceBatch, input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const { boot, sentMs, events } = parsed.value;
  const words: readonly string[] = deviceWords[deviceKindOf(id) ?? 'seat'];
  const errors = events.flatMap(({ kind, ms }, i): FieldError[] => [
    ...(words.includes(kind) ? [] : [{ path: `/events/${i}/kind`, message: `${id} says ${words.join(', ')}` }]),
    ...(ms <= sentMs ? [] : [{ path: `/events/${i}/ms`, message: 'is after it was sent' }]),
  ]);
  return errors.length > 0
    ? { kind: 'rejected', errors }
    : { kind: 'heard', ...hub.hear(id, { boot, sentMs, events }) };
}

/** As many pages listen at once; a hall has a handful. */
const mostListening = 24;

export type ListenToDevices =
  | { readonly kind: 'listening'; readonly end: () => void }
  | { readonly kind: 'unknown'; readonly devices: readonly string[] }
  | { readonly kind: 'too-many' };

export function listenToDevices(
  devices: readonly string[],
  tell: Tell,
  ended: () => void,
  hub = theDevices(),
): ListenToDevices {
  const unknown = devices.filter((id) => !deviceIds.includes(id));
  if (unknown.length > 0 || devices.length === 0) return { kind: 'unknown', devices: unknown };
  if (hub.isOver || hub.listening >= mostListening) return { kind: 'too-many' };
  return { kind: 'listening', end: hub.listen(devices, tell, ended) };
}
