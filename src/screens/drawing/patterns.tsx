import type { Pattern } from '../../core/shapes/facts';

interface PatternLook {
  readonly tone: string;
  readonly words: string;
  /** Dashes of its court line; `null` for a double line. */
  readonly dashes: string | null;
}

const accessory: PatternLook = { tone: 'var(--color-ink-soft)', words: 'text-ink-soft', dashes: '2 5' };
const looks: Partial<Readonly<Record<Pattern, PatternLook>>> = {
  S: { tone: 'var(--color-squat)', words: 'text-squat', dashes: '' },
  L: { tone: 'var(--color-lunge)', words: 'text-lunge', dashes: '15 7' },
  H: { tone: 'var(--color-hinge)', words: 'text-hinge', dashes: '17 6 3 6' },
  B: { tone: 'var(--color-bridge)', words: 'text-bridge', dashes: null },
};

/** Colour and line of a pattern; always beside its letter, so that neither is alone. */
export const lookOf = (pattern: Pattern): PatternLook => looks[pattern] ?? accessory;

/** The court line of a pattern, as long as what it stands over. */
export function CourtLine({ pattern }: { pattern: Pattern }) {
  const { tone, dashes } = lookOf(pattern);
  return (
    <svg width="100%" height="8" aria-hidden>
      {dashes === null ? (
        [1.5, 6.5].map((y) => <line key={y} x1="0" x2="100%" y1={y} y2={y} stroke={tone} strokeWidth="2.5" />)
      ) : (
        <line x1="0" x2="100%" y1="4" y2="4" stroke={tone} strokeWidth="5.5" strokeDasharray={dashes} />
      )}
    </svg>
  );
}
