interface Props {
  /** How many rungs, and the one it stands on; none where none is open. */
  readonly rungs: number;
  readonly at: number | null;
  /** Lower, for a row of a table. */
  readonly low?: boolean;
}

/** A ladder beside the four as it stands at their side: its bars, open ones dark, and a peg. Told in words beside it. */
export function ShortBars({ rungs, at, low = false }: Props) {
  const pitch = low ? 6.5 : 11;
  const height = rungs * pitch + 10;
  return (
    <svg width="54" height={height} viewBox={`0 0 54 ${height}`} aria-hidden className="shrink-0">
      {[1, 47].map((x) => (
        <rect
          key={x}
          x={x}
          y="1"
          width="6"
          height={height - 2}
          rx="1.5"
          fill="var(--color-wood)"
          stroke="var(--color-wood-dark)"
        />
      ))}
      {Array.from({ length: rungs }, (_, i) => {
        const open = at !== null && i + 1 <= at;
        const y = height - 10 - i * pitch;
        return (
          <rect
            key={i}
            x="3"
            y={y - 2.5}
            width="48"
            height={low ? 3.5 : 5}
            rx="2.5"
            fill={open ? 'var(--color-wood-dark)' : 'var(--color-wood-pale)'}
            stroke={open ? 'var(--color-ink)' : 'var(--color-wood)'}
            strokeWidth="0.8"
          />
        );
      })}
      {at !== null && (
        <circle
          cx="27"
          cy={height - 10 - (at - 1) * pitch}
          r={low ? 5.5 : 6.5}
          fill="var(--color-wood)"
          stroke="var(--color-ink)"
          strokeWidth="2"
        />
      )}
    </svg>
  );
}
