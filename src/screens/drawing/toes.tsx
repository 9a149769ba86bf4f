/** Toes of a right foot from the big one on, as seen by whoever sits in front: soles towards them. */
const toes = [
  { x: 22, y: 30, r: 15 },
  { x: 48, y: 18, r: 10 },
  { x: 69, y: 22, r: 9 },
  { x: 87, y: 32, r: 8 },
  { x: 102, y: 46, r: 8 },
] as const;

function Sole({ touched }: { touched: number | null }) {
  return (
    <>
      <path
        d="M14 56 C30 40 96 48 108 66 C114 84 98 104 92 128 C88 160 90 196 62 200 C32 202 34 160 28 128 C22 104 6 84 14 56 Z"
        fill="var(--color-wood-pale)"
        stroke="var(--color-ink)"
        strokeWidth="2.5"
      />
      {toes.map((toe, i) => (
        <circle
          key={toe.x}
          cx={toe.x}
          cy={toe.y}
          r={toe.r}
          fill={touched === i + 1 ? 'var(--color-ink)' : 'var(--color-board)'}
          stroke="var(--color-ink)"
          strokeWidth="2.5"
        />
      ))}
      {touched !== null && (
        <circle
          cx={toes[touched - 1]?.x}
          cy={toes[touched - 1]?.y}
          r={(toes[touched - 1]?.r ?? 0) + 6}
          fill="none"
          stroke="var(--color-ink)"
          strokeWidth="3"
        />
      )}
    </>
  );
}

/**
 * Both soles as whoever touches them sees them, the one toe to be touched filled and ringed.
 * @param toe side and number from the big toe, such as `L3`
 */
export function Toes({ toe, size }: { toe: string; size: number }) {
  const nth = Number(toe.slice(1));
  return (
    <svg viewBox="0 0 270 210" width={size * 1.28} height={size} aria-hidden className="max-w-full shrink-0">
      <g transform="translate(126 0) scale(-1 1)">
        <Sole touched={toe.startsWith('R') ? nth : null} />
      </g>
      <g transform="translate(144 0)">
        <Sole touched={toe.startsWith('L') ? nth : null} />
      </g>
      <text x="66" y="207" fontSize="18" fontWeight="700" textAnchor="middle">
        R
      </text>
      <text x="204" y="207" fontSize="18" fontWeight="700" textAnchor="middle">
        L
      </text>
    </svg>
  );
}
