import {
  dueMs,
  isSilent,
  listen,
  newEar,
  pass,
  silentAfterMs,
  type DeviceRep,
  type Ear,
} from '../../../core/signal/hear';
import type { DeviceNews } from '../../../core/shapes/device';

/** What ears need of a browser; a test plays one. */
export interface DeviceWorld {
  /** On the axis of the page. */
  readonly nowMs: () => number;
  /** Hears the devices of the hall from now on; the answer ends it. */
  readonly open: (tell: (news: DeviceNews) => void) => () => void;
  /** Calls back after some time; the answer takes that back. */
  readonly callIn: (ms: number, call: () => void) => () => void;
}

/** Nothing heard of it for two seconds is `silent`. */
export type DeviceState = 'heard' | 'silent';

export interface DeviceNow {
  readonly id: string;
  readonly state: DeviceState;
  /** Switched on again since this page listens: what it saw meanwhile nobody knows. */
  readonly anew: boolean;
}

/** So long the line stays open after the last who needed it, as one step of the page follows the other. */
const lingerMs = 5000;
const none: readonly DeviceNow[] = [];

/** The devices of the hall as this page hears them; one line for all of its lanes, open while somebody listens. */
export class Ears {
  private readonly ears = new Map<string, Ear>();
  private readonly anew = new Set<string>();
  private readonly watchers = new Set<() => void>();
  private readonly counters = new Map<string, Set<(rep: DeviceRep) => void>>();
  private shown = none;
  private users = 0;
  private close: (() => void) | null = null;
  private stopLinger: () => void = () => undefined;
  private stopDue: () => void = () => undefined;
  private stopLook: () => void = () => undefined;

  private readonly world: DeviceWorld;

  constructor(world: DeviceWorld) {
    this.world = world;
  }

  /** Every device that was heard and is not forgotten, by its name; the same list until one of them is otherwise. */
  look = (): readonly DeviceNow[] => this.shown;

  /** Listens to all devices; told whenever `look` says something else. The answer ends it. */
  watch = (changed: () => void): (() => void) => {
    this.watchers.add(changed);
    const leave = this.use();
    return () => {
      this.watchers.delete(changed);
      leave();
    };
  };

  /** Told of each repetition of one device, on the axis of the page. The answer ends it. */
  count(id: string, told: (rep: DeviceRep) => void): () => void {
    const all = this.counters.get(id) ?? new Set();
    this.counters.set(id, all.add(told));
    const leave = this.use();
    return () => {
      all.delete(told);
      leave();
    };
  }

  private use(): () => void {
    this.users += 1;
    this.stopLinger();
    this.close ??= this.world.open((news) => this.take(news));
    this.lookLater();
    return () => {
      this.users -= 1;
      if (this.users === 0) this.stopLinger = this.world.callIn(lingerMs, () => this.forget());
    };
  }

  private forget(): void {
    this.close?.();
    this.close = null;
    this.stopDue();
    this.stopLook();
    this.ears.clear();
    this.anew.clear();
    this.shown = none;
  }

  private take(news: DeviceNews): void {
    const { device } = news;
    const { ear, reps, anew } = listen(this.ears.get(device) ?? newEar, news, this.world.nowMs());
    this.ears.set(device, ear);
    if (anew) this.anew.add(device);
    this.tell(device, reps);
    this.draw();
    this.waitForDue();
  }

  private tell(device: string, reps: readonly DeviceRep[]): void {
    for (const rep of reps) for (const told of this.counters.get(device) ?? []) told(rep);
  }

  /** A stand is told by the time alone, when nobody sits again. */
  private waitForDue(): void {
    this.stopDue();
    const due = [...this.ears.values()].flatMap((ear) => dueMs(ear) ?? []);
    if (due.length === 0) return;
    this.stopDue = this.world.callIn(Math.max(0, Math.min(...due) - this.world.nowMs()), () => {
      for (const [device, before] of this.ears) {
        const { ear, reps } = pass(before, this.world.nowMs());
        this.ears.set(device, ear);
        this.tell(device, reps);
      }
      this.waitForDue();
    });
  }

  private lookLater(): void {
    this.stopLook();
    this.stopLook = this.world.callIn(silentAfterMs / 4, () => {
      this.draw();
      this.lookLater();
    });
  }

  private draw(): void {
    const now = [...this.ears]
      .filter(([, ear]) => Number.isFinite(ear.heardMs))
      .map(([id, ear]): DeviceNow => ({
        id,
        state: isSilent(ear, this.world.nowMs()) ? 'silent' : 'heard',
        anew: this.anew.has(id),
      }))
      .sort((a, b) => a.id.localeCompare(b.id));
    const same =
      now.length === this.shown.length &&
      now.every((d, i) => {
        const was = this.shown[i];
        return was?.id === d.id && was.state === d.state && was.anew === d.anew;
      });
    if (same) return;
    this.shown = now;
    for (const changed of this.watchers) changed();
  }
}
