import { describe, expect, test } from 'vitest';
import { protocols } from '../../../catalogue/protocols';
import type { Fresh } from '../../shapes/attempt';
import type { Protocol } from '../../shapes/protocol';
import type { Act } from './bench';
import { Played } from './played';
import { countdownMs } from './step';

const of = (id: string, keys?: readonly string[]): Played => {
  const protocol = protocols.find((p) => p.id === id);
  if (!protocol) throw new Error(`no ${id}`);
  return new Played(protocol, keys);
};
const tap: Act = { do: 'tap' };
const undo: Act = { do: 'undo' };
const mark = (mark: Fresh): Act => ({ do: 'mark', mark });
const tries = (played: Played) => played.lane().trial.tries.map((t) => t.value);
/** From foot-off to the foot down, after a rest. */
function hold(played: Played, seconds: number, restS = 20): void {
  played.press(tap);
  played.to(played.tMs + seconds * 1000);
  played.press(tap);
  played.to(played.tMs + restS * 1000);
}

describe('a hold', () => {
  test('goes from one press to the next, three tries, the best; then it ends by itself', () => {
    const played = of('one-leg');
    hold(played, 4.2);
    expect(played.lane()).toMatchObject({ trial: { state: 'running' }, now: { nth: 1, sinceMs: null, full: false } });
    hold(played, 7.84);
    hold(played, 6);
    expect(tries(played)).toEqual([4.2, 7.8, 6]);
    expect(played.lane().trial).toMatchObject({ state: 'finished', value: 7.8 });
    expect(played.heads.get('one')?.closed).toBe(true);
  });
  test('34 s are enough for a side, and 45 s end the try at that very moment', () => {
    const enough = of('one-leg');
    hold(enough, 34);
    expect(enough.lane().trial).toMatchObject({ state: 'finished', value: 34 });
    const capped = of('one-leg');
    capped.press(tap);
    capped.to(46_000);
    expect(capped.store.get('one')?.find((e) => e.kind === 'let-go')).toMatchObject({ atMs: 45_000, by: 'page' });
    expect(capped.lane().trial.value).toBe(45);
    const less = of('one-leg');
    hold(less, 33.9);
    expect(less.lane().trial.state).toBe('running');
  });
  test('a bouncing finger does not end what it began', () => {
    const played = of('one-leg');
    played.press(tap);
    played.tMs += 120;
    played.press(tap);
    expect(played.kinds()).toEqual(['start']);
  });
  test('touched or caught, it ends with the mark', () => {
    const played = of('one-leg');
    played.press(tap);
    played.to(3000);
    played.press(mark({ kind: 'caught' }), 'touch');
    expect(tries(played)).toEqual([3]);
    expect(played.lane().trial.marks.caught).toBe(1);
  });
  test('an end pressed too soon goes on when taken back at once, and is done anew when that comes late', () => {
    const soon = of('one-leg');
    soon.press(tap);
    soon.to(2000);
    soon.press(tap);
    soon.to(4000);
    soon.press(undo);
    expect(soon.lane().now.sinceMs).toBe(0);
    soon.to(9000);
    soon.press(tap);
    expect(tries(soon)).toEqual([9]);
    const late = of('one-leg');
    hold(late, 2, 30);
    late.press(undo);
    expect([tries(late), late.lane().now]).toMatchObject([[null], { nth: 0, sinceMs: null }]);
  });
  test('a start taken back never was; the next one is the first', () => {
    const played = of('one-leg');
    played.press(tap);
    played.to(1000);
    played.press(undo);
    played.to(10_000);
    hold(played, 8);
    expect(tries(played)).toEqual([8]);
    expect(played.kinds()).toEqual(['start', 'false-start', 'start', 'let-go']);
  });
  test('a page away for longer loses the try that ran, not those before; between two tries it loses nothing', () => {
    const played = of('one-leg');
    hold(played, 6);
    played.aheadMs += 600_000;
    played.to(played.tMs + 1000);
    expect(tries(played)).toEqual([6]);
    played.press(tap);
    played.to(played.tMs + 3000);
    played.tMs += 2500;
    played.load();
    expect([tries(played), played.lane().trial.state, played.lane().now]).toMatchObject([
      [6, null],
      'running',
      { nth: 1, sinceMs: null },
    ]);
    hold(played, 5);
    expect(tries(played)).toEqual([6, 5]);
  });
  test('a short reload in a try goes on with the clock where the wall is', () => {
    const played = of('one-leg');
    played.press(tap);
    played.to(5000);
    played.tMs += 1500;
    played.load();
    played.to(9000);
    played.press(tap);
    expect(tries(played)).toEqual([9]);
  });
  test('enough said after one try: it stands', () => {
    const played = of('one-leg');
    hold(played, 3);
    played.press({ do: 'end' });
    expect(played.lane().trial).toMatchObject({ state: 'finished', value: 3 });
  });
  test('the last try taken back after the end is done anew; the two before stand', () => {
    const played = of('one-leg');
    for (const s of [3, 4, 5]) hold(played, s);
    played.press({ do: 'reopen' });
    expect(played.lane().trial.state).toBe('running');
    hold(played, 9);
    expect([tries(played), played.lane().trial.value]).toEqual([[3, 4, 9], 9]);
  });
});

test('a hold begun and ended before the disk has either is one try, shown when it has them', () => {
  const played = of('one-leg');
  played.slow = true;
  played.press(tap);
  played.tMs += 3000;
  played.press(tap);
  expect(played.lane().now).toMatchObject({ nth: 0, sinceMs: null });
  played.comeBack();
  played.comeBack();
  expect(played.kinds()).toEqual(['start', 'let-go']);
  expect(tries(played)).toEqual([3]);
});

describe('a time', () => {
  const walk = (played: Played, seconds: number) => {
    played.press({ do: 'begin' });
    played.to(played.tMs + countdownMs + seconds * 1000);
    played.press(tap);
    played.to(played.tMs + 60_000);
  };
  test('runs from go to the tap, twice, the better counts', () => {
    const played = of('up-and-go-8ft');
    walk(played, 7.46);
    expect(played.lane().now).toMatchObject({ nth: 1, sinceMs: null, full: false });
    walk(played, 6.98);
    expect([tries(played), played.lane().trial.value]).toEqual([[7.5, 7], 7]);
  });
  test('a tap before go is nothing, and too early begins that try anew', () => {
    const played = of('up-and-go-8ft');
    walk(played, 8);
    played.press({ do: 'begin' });
    played.to(played.tMs + 1000);
    played.press(tap);
    played.press({ do: 'again' });
    played.to(played.tMs + countdownMs + 6000);
    played.press(tap);
    expect(tries(played)).toEqual([8, 6]);
  });
  test('five stands end with the fifth that was full; with hands, or after 60 s, it could not be done', () => {
    const five = (hands: boolean, everyS: number) => {
      const played = of('five-stands');
      played.press({ do: 'begin' });
      played.to(countdownMs);
      for (let n = 0; n < 6; n++) {
        played.to(played.tMs + everyS * 1000);
        played.press(tap);
        if (n === 2 && hands) played.press(mark({ kind: 'hands' }));
      }
      return played.lane().trial;
    };
    expect(five(false, 2)).toMatchObject({ state: 'finished', outcome: 'done', value: 10 });
    expect(five(true, 2)).toMatchObject({ state: 'finished', outcome: 'unable', value: null });
    expect(five(false, 13)).toMatchObject({ state: 'finished', outcome: 'unable', value: null });
  });
  test('a stand said not to be full is not one of the five', () => {
    const played = of('five-stands');
    played.press({ do: 'begin' });
    played.to(countdownMs);
    for (let n = 0; n < 6; n++) {
      played.to(played.tMs + 2000);
      played.press(tap);
      if (n === 1) played.press({ do: 'not-full' });
    }
    expect(played.lane().trial.value).toBe(12);
  });
  test('the way to the floor and back is begun without a countdown', () => {
    const played = of('floor-transfer');
    played.press(tap);
    played.to(21_400);
    played.press(tap);
    expect(played.lane().trial).toMatchObject({ state: 'finished', value: 21 });
  });
});

describe('stages', () => {
  test('each position runs from letting go; ten seconds hold it, and the first that is not held ends the test', () => {
    const played = of('four-stage');
    for (let n = 0; n < 2; n++) {
      played.press(tap);
      played.to(played.tMs + 11_000);
    }
    played.press(tap);
    played.to(played.tMs + 4210);
    played.press(tap);
    expect(played.lane().trial).toMatchObject({
      ...{ state: 'finished', value: 2 },
      seconds: { sideBySide: 10, semiTandem: 10, tandem: 4.2, oneLeg: 0 },
    });
  });
  test('all four held are four; a position taken back is done anew and those before stand', () => {
    const played = of('four-stage');
    for (let n = 0; n < 4; n++) {
      played.press(tap);
      played.to(played.tMs + 10_250);
    }
    expect(played.lane().trial).toMatchObject({ state: 'finished', value: 4 });
    played.press({ do: 'reopen' });
    expect(played.lane().now).toMatchObject({ nth: 3, sinceMs: null });
    played.press(tap);
    played.to(played.tMs + 2000);
    played.press(tap);
    expect(played.lane().trial).toMatchObject({ value: 3, seconds: { oneLeg: 2 } });
  });
  test('six touches, felt or not', () => {
    const played = of('foot-feel');
    for (const [i, id] of ['R1', 'L1', 'R3', 'L5', 'R5', 'L3'].entries())
      played.press(mark({ kind: 'stage', id, held: i !== 3 }));
    expect(played.lane().trial).toMatchObject({ state: 'finished', value: 5 });
  });
  test('lower and lower: twice not risen from one height ends it, the lowest clean one counts', () => {
    const played = of('lowest-seat');
    const seats: [number, boolean][] = [
      [53, true],
      [48, true],
      [45, false],
      [45, false],
    ];
    for (const [i, [seatCm, held]] of seats.entries())
      played.press(mark({ kind: 'stage', id: String(i + 1), seatCm, held }));
    expect(played.lane().trial).toMatchObject({ state: 'finished', value: 48 });
  });
  test('six stands are the most', () => {
    const played = of('lowest-seat');
    for (let i = 0; i < 6; i++)
      played.press(mark({ kind: 'stage', id: String(i + 1), seatCm: 53 - 3 * i, held: true }));
    expect(played.lane().trial).toMatchObject({ state: 'finished', value: 38 });
  });
});

describe('a distance', () => {
  const read = (value: number, unit?: 'in') => mark({ kind: 'reading', value, ...(unit ? { unit } : {}) });
  test('three readings, their mean; one in which they stepped is read again', () => {
    const played = of('reach-forward');
    played.press(read(24));
    played.press(mark({ kind: 'caught' }));
    expect(played.lane().now).toMatchObject({ nth: 2, full: false });
    played.press(read(26));
    played.press(read(28));
    expect(played.lane().trial).toMatchObject({ state: 'finished', value: 26 });
  });
  test('a reading taken back is read anew, also after the end', () => {
    const played = of('sit-reach');
    played.press(read(-4));
    played.press(undo);
    played.press(read(-3));
    played.press(read(2));
    played.press({ do: 'reopen' });
    played.press(read(-1));
    expect([tries(played), played.lane().trial.value]).toEqual([[-3, -1], -1]);
  });
  test('of two readings that come faster than the disk the second is of the next try', () => {
    const played = of('reach-forward');
    played.slow = true;
    for (const cm of [24, 26, 28]) played.press(read(cm));
    expect(tries(played)).toEqual([]);
    for (let n = 0; n < 4; n++) played.comeBack();
    expect(tries(played)).toEqual([24, 26, 28]);
    expect(played.lane().trial).toMatchObject({ state: 'finished', value: 26 });
  });
  test('read in inches it is kept in inches and told in cm', () => {
    const played = of('back-scratch');
    played.press(read(-2.5, 'in'));
    played.press(read(1, 'in'));
    expect(played.store.get('one')?.[0]).toMatchObject({ value: -2.5, unit: 'in' });
    expect(played.lane().trial.value).toBe(2.54);
  });
});

test('what is said after the end is kept, sent again and changes no number', () => {
  const played = of('up-and-go-3m');
  played.press({ do: 'begin' });
  played.to(countdownMs + 9000);
  played.press(tap);
  const before = played.sent.length;
  played.press(mark({ kind: 'effort', value: 4 }), 'touch');
  expect(played.lane().trial).toMatchObject({ state: 'finished', value: 9, marks: { effort: 4 } });
  expect(played.sent.length).toBe(before + 1);
  expect(played.heads.get('one')?.closed).toBe(true);
});

test('two holds side by side on two lanes: one ends, the other goes on', () => {
  const played = of('one-leg', ['L', 'R']);
  played.press(tap, 'key', 'L');
  played.press(tap, 'touch', 'R');
  played.to(3000);
  played.press(tap, 'key', 'L');
  played.to(5000);
  played.press(tap, 'touch', 'R');
  expect([played.lane('L').trial.tries, played.lane('R').trial.tries]).toMatchObject([[{ value: 3 }], [{ value: 5 }]]);
});

test('a further test is one entry of plain data: a made-up one is measured by it, and by nothing else', () => {
  const towelTwist: Protocol = {
    ...{ id: 'towel-twist', version: 1, title: 'Towel twist', short: 'Twist', unit: 'twists', better: 'higher' },
    ...{ sides: 'none', range: { min: 0, max: 8, whole: true }, setUp: ['A towel.'], say: 'Twist.', cautions: [] },
    capture: { kind: 'count', ends: { count: 8 }, capS: 60, halfAtTone: false },
    ...{
      practice: 'One.',
      offers: [],
      notCountedIf: [],
      stopAt: [],
      source: 'made up',
      plan: { on: 'chair', spotter: 'ahead' },
    },
    station: {
      ...{ group: 4, staff: 'counts', lanes: 2, spotter: 'in front' },
      ...{ restBeforeS: 0, betweenTriesS: 0, againAfterS: 60, takesS: 30 },
    },
  };
  const played = new Played(towelTwist);
  for (let n = 0; n <= 8; n++) {
    played.tMs += 900;
    played.press(tap);
  }
  expect(played.lane().trial).toMatchObject({ state: 'finished', value: 8 });
  expect(played.kinds()).toEqual(['start', ...Array.from({ length: 8 }, () => 'rep'), 'end']);
});
