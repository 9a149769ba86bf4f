import { describe, expect, test } from 'vitest';
import type { DeviceNews } from '../core/shapes/device';
import { DeviceHub, hearDevice, listenToDevices } from './devices';

function hall() {
  let nowMs = 1000;
  const hub = new DeviceHub(() => nowMs);
  const told: DeviceNews[] = [];
  return {
    hub,
    told,
    tell: (news: DeviceNews) => void told.push(news),
    pass: (ms: number) => {
      nowMs += ms;
    },
    say: (n: number, more: object = {}, id = 'seat-1') =>
      hearDevice(id, { boot: 'b', sentMs: n, events: [{ n, ms: n, kind: 'up' }], ...more }, hub),
  };
}

describe('what devices say', () => {
  test('is passed on to those who listen to that device, once however often it is sent', () => {
    const { hub, told, tell, say } = hall();
    const listening = listenToDevices(['seat-1', 'seat-2'], tell, () => undefined, hub);
    expect(say(1)).toEqual({ kind: 'heard', fresh: 1, listening: 1 });
    expect(say(1, { sentMs: 9 })).toEqual({ kind: 'heard', fresh: 0, listening: 1 });
    expect(say(2, {}, 'seat-3')).toEqual({ kind: 'heard', fresh: 1, listening: 0 });
    expect(told.map(({ device, boot, ageMs, events }) => [device, boot, ageMs, events.length])).toEqual([
      ['seat-1', 'b', 0, 1],
    ]);
    if (listening.kind === 'listening') listening.end();
    expect(say(3)).toMatchObject({ listening: 0 });
  });

  test('switched on again it begins anew', () => {
    const { say } = hall();
    expect([say(1), say(1, { boot: 'c' })]).toMatchObject([{ fresh: 1 }, { fresh: 1 }]);
  });

  test('of the last half minute is told again to whoever begins to listen, with its age', () => {
    const { hub, told, tell, say, pass } = hall();
    say(1);
    pass(29_000);
    say(2);
    pass(900);
    listenToDevices(['seat-1'], tell, () => undefined, hub);
    expect(told.map(({ ageMs, events }) => [ageMs, events[0]?.n])).toEqual([
      [29_900, 1],
      [900, 2],
    ]);
  });

  test('of a lane that is not there, in words of another device, or after it was sent is refused where it stands', () => {
    const { hub, tell, say } = hall();
    expect(listenToDevices(['seat-1', 'seat-7'], tell, () => undefined, hub)).toEqual({
      kind: 'unknown',
      devices: ['seat-7'],
    });
    expect(listenToDevices([], tell, () => undefined, hub)).toEqual({ kind: 'unknown', devices: [] });
    expect(say(5, {}, 'steps-1')).toEqual({
      kind: 'rejected',
      errors: [{ path: '/events/0/kind', message: 'steps-1 says step, alive' }],
    });
    expect(say(5, { sentMs: 4 })).toEqual({
      kind: 'rejected',
      errors: [{ path: '/events/0/ms', message: 'is after it was sent' }],
    });
    expect(say(5, { speed: 3 })).toMatchObject({ kind: 'rejected', errors: [{ path: '/speed' }] });
  });

  test('ends for all who listen when the server is told to go', () => {
    const { hub, tell, say } = hall();
    let ended = 0;
    listenToDevices(['seat-1'], tell, () => (ended += 1), hub);
    hub.hangUp();
    expect([ended, say(1)]).toEqual([1, { kind: 'heard', fresh: 1, listening: 0 }]);
    expect(listenToDevices(['seat-1'], tell, () => undefined, hub)).toEqual({ kind: 'too-many' });
  });

  test('to more pages than can be told at once is not', () => {
    const { hub, tell } = hall();
    for (let i = 0; i < 24; i++) listenToDevices(['seat-1'], tell, () => undefined, hub);
    expect(listenToDevices(['seat-1'], tell, () => undefined, hub)).toEqual({ kind: 'too-many' });
  });
});
