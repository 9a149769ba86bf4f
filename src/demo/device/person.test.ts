import { describe, expect, test } from 'vitest';
import { dueMs, listen, newEar, pass } from '../../core/signal/hear';
import { manners, mannerNames, play } from './person';

/** Everything a device says, heard as it says it. */
function heard(device: string, { events }: ReturnType<typeof play>): number[] {
  let ear = newEar;
  const times: number[] = [];
  const take = (said: ReturnType<typeof pass>) => {
    ear = said.ear;
    times.push(...said.reps.map((r) => r.tMs));
  };
  for (const event of events) {
    const due = dueMs(ear);
    if (due !== null && due < event.ms) take(pass(ear, due));
    take(listen(ear, { device, boot: 'b', sentMs: event.ms, ageMs: 0, events: [event] }, event.ms));
  }
  return times;
}

describe('a made-up person on a switch', () => {
  test('the same seed plays the same, another one another', () => {
    expect(play('seat', manners.steady, 7, 30_000)).toEqual(play('seat', manners.steady, 7, 30_000));
    expect(play('seat', manners.steady, 8, 30_000).events).not.toEqual(play('seat', manners.steady, 7, 30_000).events);
  });

  test.each(mannerNames.flatMap((name) => [1, 2, 3].map((seed) => [name, seed] as const)))(
    '%s from seed %i: every stand the switch could tell is heard, within a bounce of its time, and none besides',
    (name, seed) => {
      const played = play('seat', manners[name], seed, 30_000);
      const times = heard('seat-1', played);
      // In the middle of a stand the silence begins or ends: the switch alone cannot tell what that was.
      const { silent } = manners[name];
      const clear = (ms: number) => !silent || ms < silent.fromS * 1000 - 2500 || ms > silent.toS * 1000 + 2500;
      const real = played.repsMs.filter(clear);
      expect(real.length).toBeGreaterThan(4);
      const told = times.filter(clear);
      expect(told).toHaveLength(real.length);
      for (const [i, t] of told.entries()) expect(Math.abs(t - (real[i] ?? 0))).toBeLessThanOrEqual(70);
    },
  );

  test('a step counter that tells steps twice counts each once', () => {
    const played = play('steps', manners.restless, 4, 60_000);
    expect(heard('steps-1', played)).toEqual(played.repsMs);
  });
});
