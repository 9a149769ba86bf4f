import type { RepNow } from '../../core/train/timeline';

/** `1:05`, `12:00`; a second that has begun counts, as on a clock that runs out. */
export function clockWords(seconds: number): string {
  const s = Math.max(0, Math.ceil(seconds - 1e-6));
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
}

/** `up 2` of `3 of 10`. */
export const repWords = ({ way, count }: RepNow): string => `${way} ${count}`;
