/** How long something that was not taken waits until it is sent again: twice as long each time, up to a limit. */
export class Pauses {
  private readonly waits = new Map<string, { readonly tries: number; readonly untilMs: number }>();

  isDue(key: string, nowMs: number): boolean {
    return nowMs >= (this.waits.get(key)?.untilMs ?? 0);
  }

  notTaken(key: string, nowMs: number): void {
    const tries = (this.waits.get(key)?.tries ?? 0) + 1;
    this.waits.set(key, { tries, untilMs: nowMs + Math.min(mostMs, firstMs * 2 ** (tries - 1)) });
  }

  done(key: string): void {
    this.waits.delete(key);
  }

  /** Everything is due at once: the network came back, or somebody asks for it. */
  startAnew(): void {
    this.waits.clear();
  }
}

export const firstMs = 2000;
export const mostMs = 30_000;
