/** How loud the tones of this device are; a hall with hearing aids wants less, one with a fan more. */
export const volumes = ['loud', 'soft', 'off'] as const;
export type Volume = (typeof volumes)[number];

const key = 'tone-volume';
const changed = 'tone-volume-changed';
const gains: Readonly<Record<Volume, number>> = { loud: 0.5, soft: 0.12, off: 0 };

export function volume(): Volume {
  const kept = localStorage.getItem(key);
  return volumes.find((v) => v === kept) ?? 'loud';
}

/** Of the whole sound, 0 to 1. */
export const gainNow = (): number => gains[volume()];

/** The next of them, round and round. */
export function turnVolume(): void {
  const next = volumes[(volumes.indexOf(volume()) + 1) % volumes.length] ?? 'loud';
  localStorage.setItem(key, next);
  window.dispatchEvent(new Event(changed));
}

export function onVolume(tell: () => void): () => void {
  window.addEventListener(changed, tell);
  return () => window.removeEventListener(changed, tell);
}
