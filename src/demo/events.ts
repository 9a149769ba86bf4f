import type { DemoTestDay } from './hall';

/** Chance that is the same every time (Mulberry32, a public-domain generator). */
export function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A trial as the lane would have written it down: even stands that slow a little, with a person's unevenness. */
export function trialEvents(testDay: DemoTestDay, startWallMs: number, chance: () => number): object[] {
  const events: { kind: string; atMs: number; [more: string]: unknown }[] = [
    { kind: 'practice', atMs: 0, reps: 2 },
    { kind: 'start', atMs: 0 },
  ];
  const cutAtMs = testDay.ends === undefined ? 30_000 : 12_000 + Math.round(chance() * 6000);
  const weights = Array.from(
    { length: testDay.stands },
    (_, i) => 1 + 0.25 * (i / testDay.stands) + 0.2 * (chance() - 0.5),
  );
  const total = weights.reduce((a, b) => a + b, 0) + 0.3 + 0.6 * chance();
  let at = 0;
  weights.forEach((weight, i) => {
    if (i === testDay.cleanBeforeHands) events.push({ kind: 'hands', atMs: Math.round(at + 400) });
    at += (weight / total) * cutAtMs;
    events.push({ kind: 'rep', atMs: Math.round(at * 10) / 10 });
  });
  if (testDay.ends === 'breaks-off') events.push({ kind: 'gap', atMs: cutAtMs, lengthMs: 41_000 });
  else if (testDay.ends === 'is-stopped') events.push({ kind: 'stop', atMs: cutAtMs, reason: 'asked-to' });
  else events.push({ kind: 'end', atMs: 30_000 }, { kind: 'half-rep', atMs: 32_400, counts: false });
  return events.map((event, seq) => ({ seq, by: 'key', wallMs: startWallMs + event.atMs, ...event }));
}
