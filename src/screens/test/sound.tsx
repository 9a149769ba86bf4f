'use client';
import { Volume1, Volume2, VolumeX } from 'lucide-react';
import { useSyncExternalStore } from 'react';
import { onVolume, turnVolume, volume, type Volume } from './bench/volume';

const icons = { loud: Volume2, soft: Volume1, off: VolumeX } as const satisfies Record<Volume, unknown>;

/** How loud the tones are, and one press to the next: loud, soft, off. */
export function Sound() {
  const now = useSyncExternalStore(onVolume, volume, () => 'loud' as const);
  const Icon = icons[now];
  return (
    <button
      type="button"
      tabIndex={-1}
      aria-label={`Tones: ${now}. Press for the next.`}
      className="flex min-h-12 min-w-12 cursor-pointer items-center justify-center rounded-md border-2 max-sm:hidden border-ink bg-board"
      onClick={turnVolume}
    >
      <Icon aria-hidden size={26} />
    </button>
  );
}
