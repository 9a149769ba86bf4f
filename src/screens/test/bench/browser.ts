import { thisPage } from './pages';
import { Runner, type World } from './runner';
import { beat, changeKept, keepBehind, keepMine } from './store';
import { isDone, sendAttempt } from './sending';
import { Tones } from './tones';

/** One sound card for a page, woken by the first touch; each lane has its own tones on it. */
const sounding = new Map<string, Tones>();

const world: World = {
  nowMs: () => performance.now(),
  wallMs: () => Date.now(),
  keep: (kept, known, event, safely) => keepBehind({ kept, events: known }, isDone(kept, known), event, safely),
  keepHead: keepMine,
  close: (key) => changeKept(key, { closed: true }),
  beat: (key, wallMs, safely) => beat(key, thisPage, wallMs, safely),
  send: (kept, { leaving, events }) => sendAttempt(kept, { leaving, ...(events ? { events } : {}) }),
  sound: {
    plan: (key, planned) => {
      const tones = sounding.get(key) ?? new Tones();
      sounding.set(key, tones);
      tones.silence();
      tones.planTest(planned);
    },
    silence: (key) => sounding.get(key)?.silence(),
  },
  callAt: (ms, call) => {
    const timer = setTimeout(call, Math.max(0, ms - performance.now()));
    return () => {
      clearTimeout(timer);
    };
  },
};

let runner: Runner | undefined;

/** The bench of this page. */
export function theBench(): Runner {
  if (!runner) {
    const bench = new Runner(world);
    document.addEventListener('visibilitychange', () => bench.shown(document.visibilityState !== 'hidden'));
    runner = bench;
  }
  return runner;
}
