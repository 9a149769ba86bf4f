import type { Timeline } from '../shapes/class';

/**
 * What may sound in a class; each can be off. `reps` counts up and down, `breath` says out on the effort, `half` is the middle
 * of a minute's work.
 */
export const toneKinds = ['start', 'change', 'last', 'half', 'reps', 'breath'] as const;
export type ToneKind = (typeof toneKinds)[number];

export interface ToneAt {
  readonly atS: number;
  readonly kind: 'work' | 'rest' | 'last' | 'half' | 'up' | 'down' | 'breath';
}

/** Work shorter than this has no call in its middle. */
const halfFromS = 60;
const lastSeconds = [3, 2, 1] as const;

/**
 * The tones of a stretch of the class, from `fromS` on and before `toS`, in their order: so they can be planned on the clock
 * of the sound card ahead of time, and anew after a hold.
 */
export function tonesIn({ spans }: Timeline, fromS: number, toS: number, wanted: ReadonlySet<ToneKind>): ToneAt[] {
  const all = spans
    .filter((s) => s.toS > fromS && s.fromS < toS)
    .flatMap((s): ToneAt[] => {
      const works = s.kind === 'work';
      const tones: ToneAt[] = [];
      if (works && wanted.has('start')) tones.push({ atS: s.fromS, kind: 'work' });
      if (!works && wanted.has('change') && s.fromS > 0) tones.push({ atS: s.fromS, kind: 'rest' });
      if (works && wanted.has('last')) for (const n of lastSeconds) tones.push({ atS: s.toS - n, kind: 'last' });
      if (works && wanted.has('half') && s.toS - s.fromS >= halfFromS)
        tones.push({ atS: (s.fromS + s.toS) / 2, kind: 'half' });
      if (s.reps) {
        const { count, upS, downS } = s.reps;
        for (let n = 0; n < count; n++) {
          const at = s.fromS + n * (upS + downS);
          if (wanted.has('breath')) tones.push({ atS: at, kind: 'breath' });
          if (!wanted.has('reps')) continue;
          // The first is told by the start itself.
          if (n > 0 || !wanted.has('start')) tones.push({ atS: at, kind: 'up' });
          tones.push({ atS: at + upS, kind: 'down' });
        }
      }
      return tones;
    });
  return all.filter((t) => t.atS >= fromS && t.atS < toS).sort((a, b) => a.atS - b.atS);
}

/** What flashes for whoever does not hear: once each, and never more often than once a second. */
const flashed: ReadonlySet<ToneKind> = new Set(['start', 'change', 'last']);
const flashS = 0.4;

/** Whether the screen flashes at a moment of the class. */
export const flashesAt = (timeline: Timeline, atS: number): boolean =>
  tonesIn(timeline, atS - flashS, atS + 1e-9, flashed).length > 0;
