import type { AttemptEvent } from '../shapes/attempt';
import type { FourStageSeconds } from '../shapes/facts';
import type { Capture, CaptureKind, Protocol } from '../shapes/protocol';
import { liveEvents, movedTo } from './live';
import { allMarks } from './marks';
import { phaseOf } from './phase';
import { readCount } from './readers/count';
import { readDistance } from './readers/distance';
import { readHold } from './readers/hold';
import type { Reader, Seen } from './readers/seen';
import { readStaged } from './readers/staged';
import { readTimed } from './readers/timed';
import type { Trial } from './trial';
import { resultOfTries } from './tries';

/** Rises when the same events would give another result; rows of an earlier one are derived anew. */
export const measureVersion = 6;

const readers: Readonly<Record<CaptureKind, Reader>> = {
  count: readCount,
  hold: readHold,
  timed: readTimed,
  distance: readDistance,
  staged: readStaged,
};

/** A protocol with the rules of one of its versions: a result is read by those it was taken under. */
export function ruledBy(protocol: Protocol, version: number): Protocol {
  const earlier = protocol.earlier?.find((rules) => rules.version === version);
  return earlier ? { ...protocol, ...earlier } : protocol;
}

/**
 * Reads an attempt out of its events: taken down at the station by the reader of its kind, or written on paper. A
 * struck event is left out; an `add` correction sets what was seen.
 * @param protocol under the rules of the attempt, see `ruledBy`
 * @param events in any order; `seq` decides
 */
export function readTrial(protocol: Protocol, events: readonly AttemptEvent[]): Trial {
  const live = liveEvents(events);
  const { capture } = protocol;
  const entered = live.findLast((e) => e.kind === 'entered');
  const stop = live.find((e) => e.kind === 'stop');
  const state = phaseOf(capture, live);
  const seen = corrected(
    entered ? onPaper(protocol, entered) : readers[capture.kind](protocol, live),
    live.findLast((e) => e.kind === 'add')?.value,
    capture.kind,
  );
  const { handsUsed } = seen;
  const ranOut = state === 'finished' && notDone(capture, seen);
  const outcome = entered ? (entered.outcome ?? 'done') : stop ? 'stopped' : ranOut ? 'unable' : 'done';
  const marks = allMarks(live);
  return {
    kind: capture.kind,
    state,
    outcome,
    value: state !== 'finished' || outcome !== 'done' ? null : handsUsed && protocol.handsMakeZero ? 0 : seen.value,
    tries: outcome === 'done' || entered === undefined ? seen.tries : [],
    handsUsed,
    cleanBeforeHands: seen.cleanBeforeHands,
    seconds: seen.seconds,
    help: entered?.help ?? null,
    halfRepCounted: live.some((e) => e.kind === 'half-rep' && e.counts),
    stopReason: stop?.reason ?? null,
    falseStarts: live.filter((e) => e.kind === 'false-start').length,
    gapMs: live.reduce((sum, e) => (e.kind === 'gap' ? sum + e.lengthMs : sum), 0),
    marks: {
      caught: marks.filter((e) => e.kind === 'caught').length,
      touches: marks.filter((e) => e.kind === 'touch').length,
      rests: marks.filter((e) => e.kind === 'rest').length,
      pain: live.findLast((e) => e.kind === 'pain')?.value ?? null,
      effort: live.findLast((e) => e.kind === 'effort')?.value ?? null,
    },
    fromPaper: entered !== undefined,
    counts: entered?.counts === true || live.some((e) => e.kind === 'prefer'),
    who: entered?.who ?? null,
    movedTo: movedTo(live),
  };
}

/** Tried at the station and not done: the clock ran out with nothing to show, or so many stands took the hands. */
const notDone = (capture: Capture, { value, handsUsed }: Seen): boolean =>
  capture.kind === 'timed' && (value === null || (capture.reps !== undefined && handsUsed));

/** What was written down: several tries by their rule, positions counted out of their seconds, or the value itself. */
function onPaper(protocol: Protocol, entered: Extract<AttemptEvent, { readonly kind: 'entered' }>): Seen {
  const { trials = [], seconds = null, handsUsed } = entered;
  const value = seconds ? positionsHeld(seconds) : (resultOfTries(protocol, trials) ?? entered.value);
  const written = trials.length > 0 ? trials : value === null ? [] : [value];
  const counted = protocol.capture.kind === 'count' ? (value ?? 0) : null;
  return {
    tries: written.map((one) => ({ state: 'done', value: one, atMs: [] })),
    value,
    handsUsed,
    cleanBeforeHands: handsUsed ? (entered.cleanBeforeHands ?? (counted === null ? null : 0)) : counted,
    seconds,
  };
}

/** A count that was put right is what was counted; of anything else the result is. */
function corrected(seen: Seen, to: number | undefined, kind: CaptureKind): Seen {
  const value = to ?? seen.value;
  const tries = to === undefined ? seen.tries : kind === 'count' ? [{ ...first(seen), value: to }] : seen.tries;
  if (kind !== 'count' || value === null) return { ...seen, tries, value };
  const clean = seen.handsUsed ? Math.min(seen.cleanBeforeHands ?? 0, value) : value;
  return { ...seen, tries, value, cleanBeforeHands: clean };
}

const first = (seen: Seen) => seen.tries[0] ?? { state: 'done' as const, value: null, atMs: [] };

/** How many positions were held their ten seconds, one after the other; the first that was not ends the test. */
export function positionsHeld({ sideBySide, semiTandem, tandem, oneLeg }: FourStageSeconds): number {
  const short = [sideBySide, semiTandem, tandem, oneLeg].findIndex((s) => s < 10);
  return short < 0 ? 4 : short;
}
