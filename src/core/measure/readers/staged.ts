import type { AttemptEvent } from '../../shapes/attempt';
import type { FourStageSeconds } from '../../shapes/facts';
import type { Stage } from '../../shapes/protocol';
import { allMarks } from '../marks';
import type { Reader } from './seen';

type StageEvent = Extract<AttemptEvent, { readonly kind: 'stage' }>;

/**
 * Stages one after the other, each under its own try; what was said last of a stage stands.
 * `first-not`: how many were held before the first that was not. `all`: how many were right, or, where readings were
 * taken, the largest drop from the first. `lowest`: the lowest seat it was done from.
 */
export const readStaged: Reader = ({ capture }, live) => {
  const marks = allMarks(live);
  const said = new Map(marks.flatMap((m) => (m.kind === 'stage' ? [[m.id, m]] : [])));
  const { stages, ends } = capture.kind === 'staged' ? capture : { stages: [], ends: 'all' as const };
  const value = {
    'first-not': () => heldFirst(stages, said),
    all: () => rightOrDrop(stages, said),
    lowest: () => lowestSeat([...said.values()]),
  }[ends]();
  return {
    tries: said.size === 0 ? [] : [{ state: 'done', value, atMs: [] }],
    value,
    handsUsed: marks.some((m) => m.kind === 'hands'),
    cleanBeforeHands: null,
    seconds: ends === 'first-not' ? secondsOf(stages, said) : null,
  };
};

type Said = ReadonlyMap<string, StageEvent>;

function heldFirst(stages: readonly Stage[], said: Said): number | null {
  if (said.size === 0) return null;
  const firstNot = stages.findIndex(({ id }) => said.get(id)?.held !== true);
  return firstNot < 0 ? stages.length : firstNot;
}

function rightOrDrop(stages: readonly Stage[], said: Said): number | null {
  if (said.size === 0) return null;
  const answers = stages.flatMap(({ id }) => said.get(id)?.answer ?? []);
  const [first, ...later] = answers;
  if (first === undefined) return [...said.values()].filter((s) => s.held).length;
  return later.length === 0 ? null : first - Math.min(...later);
}

const lowestSeat = (said: readonly StageEvent[]): number | null =>
  said.reduce<number | null>(
    (low, { held, seatCm }) => (held && seatCm !== undefined ? Math.min(low ?? seatCm, seatCm) : low),
    null,
  );

/** Seconds of the four positions, where these are the stages; one that was not reached was held 0 s. */
function secondsOf(stages: readonly Stage[], said: Said): FourStageSeconds | null {
  const heldS = (id: keyof FourStageSeconds): number => {
    const stage = stages.find((s) => s.id === id);
    const told = said.get(id);
    return told?.held ? (stage?.holdS ?? 0) : Math.min(stage?.holdS ?? 0, told?.answer ?? 0);
  };
  if (said.size === 0 || !stages.some((s) => s.id === 'oneLeg')) return null;
  return {
    sideBySide: heldS('sideBySide'),
    semiTandem: heldS('semiTandem'),
    tandem: heldS('tandem'),
    oneLeg: heldS('oneLeg'),
  };
}
