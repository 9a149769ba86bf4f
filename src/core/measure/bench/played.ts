import type { AttemptEvent, EventBy } from '../../shapes/attempt';
import type { Protocol } from '../../shapes/protocol';
import { isOver } from '../phase';
import { countedIn } from '../trial';
import { emptyBench, laneOf, type Act, type Bench, type Effect, type Input, type Lane, type Unplaced } from './bench';
import { step } from './step';

export const wallOf = (tMs: number) => 1_772_440_000_000 + tMs;
type Loose = Input extends infer I ? (I extends Input ? Omit<I, 'tMs' | 'wallMs'> : never) : never;

/**
 * A page and a browser played by hand: what is kept comes back at once unless the browser is full, the clock is set, and
 * a kill leaves nothing but what the browser has.
 */
export class Played {
  bench: Bench = emptyBench;
  readonly store = new Map<string, AttemptEvent[]>();
  readonly heads = new Map<
    string,
    Pick<Lane, 'goWallMs' | 'beatWallMs'> & { closed: boolean; stopAskedWallMs?: number | null }
  >();
  readonly sent: Extract<Effect, { kind: 'send' }>[] = [];
  readonly planned: Extract<Effect, { kind: 'plan' }>[] = [];
  /** Keeps that have not come back yet, in their order. */
  waiting: { lane: string; event: Unplaced }[] = [];
  slow = false;
  full = false;
  tMs = 0;
  /** How far the wall clock ran ahead of the page’s own, as in a sleep. */
  aheadMs = 0;

  private readonly protocol: Protocol;

  constructor(protocol: Protocol, keys: readonly string[] = ['one']) {
    this.protocol = protocol;
    for (const key of keys) this.store.set(key, []);
    this.load();
  }
  get wallMs(): number {
    return wallOf(this.tMs) + this.aheadMs;
  }
  /** A page made anew over what the browser keeps. */
  load(): void {
    this.waiting = [];
    const lanes = [...this.store].map(([key, events]) => {
      const { goWallMs = null, beatWallMs = this.wallMs, stopAskedWallMs = null } = this.heads.get(key) ?? {};
      const onPage = (wallMs: number) => this.tMs + wallMs - this.wallMs;
      const goMs = goWallMs === null ? null : onPage(goWallMs);
      const stopAsked = stopAskedWallMs === null ? null : { atMs: onPage(stopAskedWallMs), wallMs: stopAskedWallMs };
      return laneOf(key, this.protocol, events, { goMs, goWallMs, beatWallMs, stopAsked }, this.tMs);
    });
    this.bench = { ...emptyBench, lanes };
    for (const { key } of lanes) this.input({ kind: 'wake', lane: key });
  }
  input(input: Loose): void {
    const { bench, effects } = step(this.bench, { ...input, tMs: this.tMs, wallMs: this.wallMs });
    this.bench = bench;
    for (const effect of effects) this.run(effect);
  }
  private run(effect: Effect): void {
    const { lane } = effect;
    if (effect.kind === 'keep') {
      const { trial, goWallMs, beatWallMs, events } = this.lane(lane);
      if (isOver(trial.state)) {
        this.heads.set(lane, { goWallMs, beatWallMs, closed: false });
        this.store.set(lane, [...events]);
      }
      this.waiting.push({ lane, event: effect.event });
      if (!this.slow) this.comeBack();
    } else if (effect.kind === 'head') this.heads.set(lane, effect);
    else if (effect.kind === 'beat') this.heads.set(lane, { ...this.head(lane), beatWallMs: effect.wallMs });
    else if (effect.kind === 'send') this.sent.push(effect);
    else if (effect.kind === 'plan') this.planned.push(effect);
  }
  private head(lane: string) {
    return this.heads.get(lane) ?? { goWallMs: null, beatWallMs: this.wallMs, closed: false };
  }
  /** The oldest keep is done, or fails where the browser is full. */
  comeBack(): void {
    const next = this.waiting.shift();
    if (!next) return;
    const { lane, event } = next;
    if (this.full) {
      this.input({ kind: 'failed', lane, event });
      return;
    }
    this.input({ kind: 'kept', lane, event: this.write(lane, event) });
  }
  write(lane: string, event: Unplaced): AttemptEvent {
    const events = this.store.get(lane) ?? [];
    const placed = { ...event, seq: events.length } as AttemptEvent;
    this.store.set(lane, [...events, placed]);
    return placed;
  }
  press(act: Act, by: EventBy = 'key', lane = 'one'): void {
    this.input({ kind: 'press', lane, act, by });
  }
  /** The clock runs with its beats. */
  to(tMs: number): void {
    while (this.tMs < tMs) {
      this.tMs = Math.min(tMs, this.tMs + 250);
      this.input({ kind: 'tick' });
    }
  }
  lane(key = 'one'): Lane {
    const lane = this.bench.lanes.find((l) => l.key === key);
    if (!lane) throw new Error(`no lane ${key}`);
    return lane;
  }
  shown(key = 'one'): number {
    return countedIn(this.lane(key).trial);
  }
  kinds(key = 'one'): string[] {
    return (this.store.get(key) ?? []).map((e) => e.kind);
  }
}
