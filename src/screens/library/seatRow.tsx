'use client';
import { seatHeights } from '../../core/level/seat';
import { cmPerInch, lengthFigure, shortLengthWords, type LengthUnit } from '../../core/math/units';
import type { Kit } from '../../core/shapes/facts';
import { Measured } from '../drawing/measured';

const perCm = 3.1;
const pitch = 92;
const left = 44;
const floorY = 216;
/** Heights the scale is marked at, in the unit it is read in. */
const marks = { cm: [30, 40, 50, 60], in: [12, 16, 20, 24] } as const;
const cmOf = { cm: 1, in: cmPerInch } as const;

/** Every seat that chairs and pads make, drawn to one scale on one floor as far as there is room, the rest told in words. */
export function SeatRow({ kit, unit }: { kit: Kit; unit: LengthUnit }) {
  const seats = seatHeights(kit);
  if (seats.length === 0) return <p className="py-2">No chair that stands firm is listed yet.</p>;
  return (
    <Measured start={700}>
      {(width) => {
        const fits = Math.max(1, Math.floor((width - left) / pitch));
        const rest = seats.slice(fits);
        return (
          <>
            <Seats seats={seats.slice(0, fits)} width={width} unit={unit} />
            {rest.length > 0 && (
              <p className="text-sm" data-testid="more-seats">
                and {rest.length} more: {rest.map((s) => lengthFigure(s.heightCm, unit)).join(', ')} {unit}
              </p>
            )}
          </>
        );
      }}
    </Measured>
  );
}

interface Shown {
  readonly seats: ReturnType<typeof seatHeights>;
  readonly width: number;
  readonly unit: LengthUnit;
}

function Seats({ seats, width, unit }: Shown) {
  const words = `Seats that can be built: ${seats.map((s) => `${shortLengthWords(s.heightCm, unit)} from ${s.from.join(' and ')}`).join('; ')}`;
  return (
    <svg
      width={width}
      height={floorY + 46}
      viewBox={`0 0 ${width} ${floorY + 46}`}
      role="img"
      aria-label={words}
      className="block font-mono"
    >
      {marks[unit].map((mark) => {
        const y = floorY - mark * cmOf[unit] * perCm;
        return (
          <g key={mark}>
            <line x1="34" x2={width} y1={y} y2={y} stroke="var(--color-rule)" strokeDasharray="2 5" />
            <text x="28" y={y + 5} textAnchor="end" fontSize="14" fill="var(--color-ink-soft)">
              {mark}
            </text>
          </g>
        );
      })}
      <line x1="34" x2={width} y1={floorY} y2={floorY} stroke="var(--color-ink)" strokeWidth="2.5" />
      {seats.map((seat, i) => {
        const parts = seat.from.map((p) => Number(p.replace(/\D/g, '')));
        const [chair = 0, ...pads] = parts;
        const x = left + i * pitch;
        const seatY = floorY - chair * perCm;
        let top = seatY;
        return (
          <g key={seat.heightCm}>
            <path
              d={`M${x + 12} ${seatY + 7}L${x + 6} ${floorY - 2}M${x + 58} ${seatY + 7}L${x + 64} ${floorY - 2}M${x + 9} ${floorY - 42}H${x + 61}`}
              stroke="var(--color-wood-dark)"
              strokeWidth="5"
              strokeLinecap="round"
            />
            <rect x={x} y={seatY} width="70" height="9" rx="3" fill="var(--color-wood-dark)" />
            {pads.map((pad, n) => {
              top -= pad * perCm;
              return (
                <rect
                  key={n}
                  x={x + 4}
                  y={top + 1}
                  width="62"
                  height={pad * perCm - 2}
                  rx="3"
                  fill="var(--color-wood-pale)"
                  stroke="var(--color-ink)"
                  strokeWidth="1.5"
                />
              );
            })}
            <text x={x + 35} y={floorY + 22} textAnchor="middle" fontSize="18" fontWeight="700" fill="var(--color-ink)">
              {lengthFigure(seat.heightCm, unit)}
            </text>
            <text x={x + 35} y={floorY + 40} textAnchor="middle" fontSize="13.5" fill="var(--color-ink-soft)">
              {parts.map((part) => lengthFigure(part, unit)).join('+')}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
