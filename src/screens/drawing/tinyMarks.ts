import { performanceScale } from '../../core/score/performance';
import type { Score } from '../../core/score/scoreResult';

/** All that is drawn on a rail of a grid, in standard deviations from the middle, better to the right. */
export interface TinyMarks {
  /** `spread` where the steps are standard deviations, else shares of a limit. */
  readonly steps: 'spread' | 'share';
  readonly middle: readonly [number, number] | null;
  /** Ends of the box of a mean with its spread. */
  readonly box: readonly [number, number] | null;
  /** The mean or the limit. */
  readonly line: number | null;
  readonly pegs: readonly { readonly z: number; readonly past: boolean }[];
  readonly flag: number | null;
}

const round = (z: number): number => Math.round(z * 1000) / 1000;

/** @returns null where the source gives nothing to draw on */
export function tinyMarks(score: Score, higherIsBetter: boolean, value: number | null): TinyMarks | null {
  const { rank, cutoffs } = score;
  const scale = performanceScale(rank, higherIsBetter);
  if (!scale) return null;
  const at = (figure: number) => round(scale.at(figure));
  const mean = rank.kind === 'mean' ? rank.row : null;
  return {
    steps: scale.steps,
    middle: rank.kind === 'ranked' ? [at(rank.row.p25), at(rank.row.p75)] : null,
    box: mean && 'sd' in mean ? [at(mean.mean - mean.sd), at(mean.mean + mean.sd)] : null,
    line: mean ? at(mean.mean) : rank.kind === 'limit' ? at(rank.limit) : null,
    pegs: cutoffs.map(({ limit, past }) => ({ z: at(limit), past })),
    flag: value === null ? null : at(value),
  };
}
