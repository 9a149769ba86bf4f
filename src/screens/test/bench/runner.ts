import {
  emptyBench,
  laneOf,
  type Act,
  type Bench,
  type Effect,
  type Input,
  type Lane,
  type Unplaced,
} from '../../../core/measure/bench/bench';
import { step } from '../../../core/measure/bench/step';
import type { AttemptEvent, EventBy } from '../../../core/shapes/attempt';
import type { Protocol } from '../../../core/shapes/protocol';
import type { KeptAttempt } from './store';
import type { Sent } from './sending';

/** What the effects of the bench need of a browser; a test plays one. */
export interface World {
  /** On the axis of the page, and on the wall, which runs on while a tablet sleeps. */
  readonly nowMs: () => number;
  readonly wallMs: () => number;
  /** Keeps an event behind those this page knows of; `null` where another page has taken the attempt over. */
  readonly keep: (
    kept: KeptAttempt,
    known: readonly AttemptEvent[],
    event: Unplaced,
    safely: boolean,
  ) => Promise<AttemptEvent | null>;
  /** False where another page has taken it over. */
  readonly keepHead: (kept: KeptAttempt) => Promise<boolean>;
  readonly close: (key: string) => Promise<void>;
  /** False where another page has taken it over. */
  readonly beat: (key: string, wallMs: number, safely: boolean) => Promise<boolean>;
  readonly send: (
    kept: KeptAttempt,
    how: { readonly leaving: boolean; readonly events: readonly AttemptEvent[] | null },
  ) => Promise<Sent>;
  readonly sound: {
    readonly plan: (key: string, tones: Planned) => void;
    readonly silence: (key: string) => void;
  };
  /** Calls back at a moment of the page’s axis; returns how to take that back. */
  readonly callAt: (ms: number, call: () => void) => () => void;
}

/** Tones on the page’s axis. */
export type Planned = Pick<Extract<Effect, { readonly kind: 'plan' }>, 'goMs' | 'lastMs' | 'onTheWayMs'>;

/** What a screen draws of a lane. */
export type LaneShown = Pick<Lane, 'events' | 'trial' | 'now' | 'keeping' | 'lost' | 'goMs' | 'stopAsked'>;

/** So often the page says that it is there. */
const beatEveryMs = 250;

/**
 * Runs the effects of the bench, those of one lane one after the other, and tells whoever listens what changed. One a
 * page: one store, one sender, one sound.
 */
export class Runner {
  private bench: Bench = emptyBench;
  /** Each as its head stands now, with the events this page knows the browser has. */
  private readonly kept = new Map<string, { readonly head: KeptAttempt; readonly events: AttemptEvent[] }>();
  private readonly queues = new Map<string, Promise<void>>();
  private readonly listeners = new Set<() => void>();
  private readonly shownLanes = new Map<string, LaneShown>();
  private stopBeat: () => void = () => undefined;

  private readonly world: World;

  constructor(world: World) {
    this.world = world;
  }

  /** Takes an attempt onto this page; one that runs already goes on where the wall clock is. */
  add(kept: KeptAttempt, protocol: Protocol, events: readonly AttemptEvent[]): void {
    const { clientKey, goWallMs, beatWallMs, stopAskedWallMs } = kept;
    if (this.lane(clientKey)) return;
    const { nowMs, wallMs } = this.world;
    const onPage = (thenWallMs: number) => nowMs() + thenWallMs - wallMs();
    const goMs = goWallMs === null ? null : onPage(goWallMs);
    const stopAsked = stopAskedWallMs === null ? null : { atMs: onPage(stopAskedWallMs), wallMs: stopAskedWallMs };
    this.kept.set(clientKey, { head: kept, events: [...events] });
    const lane = laneOf(clientKey, protocol, events, { goMs, goWallMs, beatWallMs, stopAsked }, nowMs());
    this.bench = { ...this.bench, lanes: [...this.bench.lanes, lane] };
    if (this.bench.lanes.length === 1) this.beatOn();
    this.input({ kind: 'wake', lane: clientKey, ...this.moment() });
  }

  /** The attempt is looked at no more; what is on its way into the store or to the server still arrives. */
  remove(key: string): void {
    this.bench = { ...this.bench, lanes: this.bench.lanes.filter((l) => l.key !== key) };
    this.shownLanes.delete(key);
    this.world.sound.silence(key);
    if (this.bench.lanes.length === 0) this.stopBeat();
  }

  /** What is drawn of a lane: the same object until something of it changes. */
  look(key: string): LaneShown | undefined {
    return this.shownLanes.get(key);
  }

  lane(key: string): Lane | undefined {
    return this.bench.lanes.find((l) => l.key === key);
  }

  /** @param atMs when it was pressed, on the axis of the page; now where left out */
  press(key: string, act: Act, by: EventBy, atMs = this.world.nowMs()): void {
    this.input({ kind: 'press', lane: key, act, by, ...this.moment(atMs) });
  }

  shown(visible: boolean): void {
    this.input({ kind: visible ? 'show' : 'hide', ...this.moment() });
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private moment(tMs = this.world.nowMs()): { readonly tMs: number; readonly wallMs: number } {
    return { tMs, wallMs: this.world.wallMs() - this.world.nowMs() + tMs };
  }

  private beatOn(): void {
    this.stopBeat();
    this.stopBeat = this.world.callAt(this.world.nowMs() + beatEveryMs, () => {
      this.input({ kind: 'tick', ...this.moment() });
      if (this.bench.lanes.length > 0) this.beatOn();
    });
  }

  private input(input: Input): void {
    const { bench, effects } = step(this.bench, input);
    this.bench = bench;
    const changed = bench.lanes.map((lane) => this.draw(lane)).includes(true);
    for (const effect of effects) this.run(effect);
    if (changed) for (const listener of this.listeners) listener();
  }

  /** True where what is drawn of it changed: its beats are no change. */
  private draw({ key, events, trial, now, keeping, lost, goMs, stopAsked }: Lane): boolean {
    const last = this.shownLanes.get(key);
    const same =
      last?.trial === trial &&
      last.keeping === keeping &&
      last.lost === lost &&
      last.goMs === goMs &&
      last.stopAsked === stopAsked;
    if (!same) this.shownLanes.set(key, { events, trial, now, keeping, lost, goMs, stopAsked });
    return !same;
  }

  private run(effect: Effect): void {
    const { lane: key } = effect;
    const { world } = this;
    switch (effect.kind) {
      case 'plan': {
        const { goMs, lastMs } = effect;
        world.sound.plan(key, effect);
        // The end is marked when it comes, not with the next beat.
        if (lastMs !== null) world.callAt(goMs + lastMs, () => this.input({ kind: 'tick', ...this.moment() }));
        return;
      }
      case 'silence':
        world.sound.silence(key);
        return;
      case 'send':
        // What was kept before must be in the store by then; nothing waits for the answer.
        void (this.queues.get(key) ?? Promise.resolve()).then(() => this.send(effect));
        return;
      default:
        this.inLine(key, () => this.keep(effect));
    }
  }

  /** Deeds on the store of one lane, one after the other, in the order they were asked for. */
  private inLine(key: string, deed: () => Promise<void>): void {
    this.queues.set(key, (this.queues.get(key) ?? Promise.resolve()).then(deed));
  }

  private async keep(effect: Exclude<Effect, { readonly kind: 'plan' | 'silence' | 'send' }>): Promise<void> {
    const { lane: key } = effect;
    const kept = this.kept.get(key);
    if (!kept) return;
    const event = effect.kind === 'keep' ? effect.event : null;
    // Once the browser could not keep one, the page holds all that follow, so that no two take the same place.
    if (this.lane(key)?.keeping !== undefined && this.lane(key)?.keeping !== 'kept') {
      if (event) this.input({ kind: 'failed', lane: key, event, ...this.moment() });
      return;
    }
    try {
      switch (effect.kind) {
        case 'keep': {
          const placed = await this.world.keep(kept.head, kept.events, effect.event, effect.safely);
          if (placed === null) {
            this.lose(key);
            return;
          }
          kept.events.push(placed);
          this.input({ kind: 'kept', lane: key, event: placed, ...this.moment() });
          return;
        }
        case 'head': {
          if (effect.closed) {
            await this.world.close(key);
            return;
          }
          const { goWallMs, beatWallMs, stopAskedWallMs } = effect;
          const head = { ...kept.head, goWallMs, beatWallMs, stopAskedWallMs };
          this.kept.set(key, { ...kept, head });
          if (!(await this.world.keepHead(head))) this.lose(key);
          return;
        }
        case 'beat':
          if (!(await this.world.beat(key, effect.wallMs, effect.safely))) this.lose(key);
      }
    } catch (error) {
      console.error('This browser can keep nothing more; the page holds the events itself:', error);
      this.input({ kind: 'failed', lane: key, event, ...this.moment() });
    }
  }

  /** Another page took it over. */
  private lose(key: string): void {
    this.input({ kind: 'claim', lane: key, mine: false, ...this.moment() });
  }

  private async send({
    lane: key,
    closed,
    leaving,
    events,
  }: Extract<Effect, { readonly kind: 'send' }>): Promise<void> {
    const kept = this.kept.get(key);
    if (!kept) return;
    try {
      const sent = await this.world.send({ ...kept.head, closed }, { leaving, events });
      const answer = { taken: sent === 'sent', events: events?.length ?? 0 };
      this.input({ kind: 'answer', lane: key, ...answer, ...this.moment() });
    } catch (error) {
      if (events !== null) return;
      console.error('What this browser keeps cannot be read; the page holds the events itself:', error);
      this.input({ kind: 'failed', lane: key, event: null, ...this.moment() });
    }
  }
}
