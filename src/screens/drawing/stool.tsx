import { supportWords } from '../../core/level/support';
import { cmPerInch, shortLengthWords, unitsOf } from '../../core/math/units';
import type { Support } from '../../core/shapes/facts';
import type { UnitSystem } from '../../core/shapes/person';

interface Props {
  readonly heightCm: number | null;
  readonly support: Support;
  readonly units: UnitSystem;
  readonly size?: number;
}

/** What the scale beside it is marked with. */
const scales = {
  cm: [30, 40, 50, 60].map((mark) => ({ mark, cm: mark })),
  in: [12, 16, 20, 24].map((mark) => ({ mark, cm: mark * cmPerInch })),
} as const;

/**
 * A stool with its seat at the real target height against a scale of 30-60 cm or 12-24 in, and hand marks above it: two bars, one
 * bar, dots, a ring, nothing. On paper it is called "my chair".
 */
export function Stool({ heightCm, support, units, size = 150 }: Props) {
  const unit = unitsOf[units].length;
  const floorY = 140;
  const perCm = 1.85;
  const seatY = floorY - (heightCm ?? 45) * perCm;
  const middle = 92;
  const words = `${heightCm === null ? 'No target height' : `Seat at ${shortLengthWords(heightCm, unit)}`}, ${supportWords[support]}`;
  return (
    <svg viewBox="0 0 150 150" width={size} height={size} role="img" aria-label={words} fill="var(--color-ink)">
      {scales[unit].map(({ mark, cm }) => (
        <g key={mark}>
          <line
            x1="26"
            x2="36"
            y1={floorY - cm * perCm}
            y2={floorY - cm * perCm}
            stroke="var(--color-ink-soft)"
            strokeWidth="1.5"
          />
          {size >= 110 && (
            <text
              x="22"
              y={floorY - cm * perCm + 4}
              // As it is seen, not as it is drawn: never under 13 px.
              fontSize={(13.5 * 150) / size}
              textAnchor="end"
              className="num"
              fill="var(--color-ink-soft)"
            >
              {mark}
            </text>
          )}
        </g>
      ))}
      <line x1="31" x2="31" y1={floorY - 60 * perCm} y2={floorY} stroke="var(--color-ink-soft)" strokeWidth="1.5" />
      <line x1="20" x2="148" y1={floorY} y2={floorY} stroke="var(--color-ink)" strokeWidth="3" />
      {heightCm !== null && (
        <line
          x1="31"
          x2={middle - 34}
          y1={seatY}
          y2={seatY}
          stroke="var(--color-squat)"
          strokeWidth="2"
          strokeDasharray="3 3"
        />
      )}
      <g stroke="var(--color-ink)" strokeWidth="5" strokeLinecap="round">
        <line x1={middle - 24} x2={middle - 30} y1={seatY + 8} y2={floorY - 2} />
        <line x1={middle + 24} x2={middle + 30} y1={seatY + 8} y2={floorY - 2} />
        <line
          x1={middle - 27}
          x2={middle + 27}
          y1={(seatY + floorY) / 2 + 6}
          y2={(seatY + floorY) / 2 + 6}
          strokeWidth="3"
        />
      </g>
      <rect x={middle - 32} y={seatY} width="64" height="9" rx="3" />
      <Hands support={support} x={middle} y={seatY - 16} />
    </svg>
  );
}

function Hands({ support, x, y }: { support: Support; x: number; y: number }) {
  switch (support) {
    case '2':
      return (
        <>
          <rect x={x - 22} y={y - 9} width="9" height="20" rx="2" />
          <rect x={x + 13} y={y - 9} width="9" height="20" rx="2" />
        </>
      );
    case '1':
      return <rect x={x + 13} y={y - 9} width="9" height="20" rx="2" />;
    case 'f':
      return (
        <>
          {[-12, 0, 12].map((by) => (
            <circle key={by} cx={x + by} cy={y} r="4" />
          ))}
        </>
      );
    case 'h':
      return <circle cx={x} cy={y - 2} r="9" fill="none" stroke="var(--color-ink)" strokeWidth="3" />;
    case '0':
      return null;
  }
}
