import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import type { DeviceEvent, DeviceNews } from '../../../core/shapes/device';
import { Ears } from './ears';

/** A page on a fake clock, with a line that can be spoken into. */
function page() {
  const lines: ((news: DeviceNews) => void)[] = [];
  const ears = new Ears({
    nowMs: () => Date.now(),
    open: (tell) => {
      lines.push(tell);
      return () => void lines.splice(lines.indexOf(tell), 1);
    },
    callIn: (ms, call) => {
      const timer = setTimeout(call, ms);
      return () => clearTimeout(timer);
    },
  });
  let n = 0;
  const say = (kind: DeviceEvent['kind'], device = 'seat-1', boot = 'b') => {
    const ms = Date.now();
    for (const tell of lines) tell({ device, boot, sentMs: ms, ageMs: 0, events: [{ n: n++, ms, kind }] });
  };
  return { ears, lines, say };
}

beforeEach(() => void vi.useFakeTimers({ now: 10_000 }));
afterEach(() => void vi.useRealTimers());

describe('the ears of a page', () => {
  test('open one line for all that listen, and close it some seconds after the last', () => {
    const { ears, lines } = page();
    const [a, b] = [ears.watch(() => undefined), ears.count('seat-1', () => undefined)];
    expect(lines).toHaveLength(1);
    a();
    b();
    vi.advanceTimersByTime(4000);
    // The next step of the page takes it over.
    const c = ears.watch(() => undefined);
    vi.advanceTimersByTime(10_000);
    expect(lines).toHaveLength(1);
    c();
    vi.advanceTimersByTime(5000);
    expect(lines).toHaveLength(0);
  });

  test('tell a stand as soon as it is one, with nothing more heard, and only to whoever counts that switch', () => {
    const { ears, say } = page();
    const told: [string, number][] = [];
    ears.count('seat-1', ({ tMs }) => told.push(['one', tMs]));
    ears.count('seat-2', ({ tMs }) => told.push(['two', tMs]));
    say('down');
    vi.advanceTimersByTime(1000);
    say('up');
    vi.advanceTimersByTime(459);
    expect(told).toEqual([]);
    vi.advanceTimersByTime(1);
    expect(told).toEqual([['one', 11_400]]);
  });

  test('say which devices there are, which fell silent after two seconds, and which were switched on anew', () => {
    const { ears, say } = page();
    const changes: string[] = [];
    ears.watch(() =>
      changes.push(
        ears
          .look()
          .map((d) => `${d.id} ${d.state}${d.anew ? ' anew' : ''}`)
          .join(', '),
      ),
    );
    say('alive', 'steps-2');
    say('alive');
    const list = ears.look();
    vi.advanceTimersByTime(1500);
    say('alive');
    expect(ears.look()).toBe(list);
    vi.advanceTimersByTime(1000);
    say('alive', 'seat-1', 'c');
    expect(changes).toEqual([
      'steps-2 heard',
      'seat-1 heard, steps-2 heard',
      'seat-1 heard, steps-2 silent',
      'seat-1 heard anew, steps-2 silent',
    ]);
  });
});
