import { seatHeights } from '../../core/level/seat';
import type { Kit } from '../../core/shapes/facts';

const perCm = 3.1;
const pitch = 92;
const floorY = 216;

/** Every seat that chairs and pads make, drawn to one scale on one floor: chair dark, pads light. */
export function SeatRow({ kit }: { kit: Kit }) {
  const seats = seatHeights(kit);
  if (seats.length === 0) return <p className="py-2">No chair that stands firm is listed yet.</p>;
  const words = `Seats that can be built: ${seats.map((s) => `${s.heightCm} cm from ${s.from.join(' and ')}`).join('; ')}`;
  return (
    <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Seats to scale">
      <svg
        width={seats.length * pitch + 44}
        height={floorY + 46}
        viewBox={`0 0 ${seats.length * pitch + 44} ${floorY + 46}`}
        role="img"
        aria-label={words}
        className="font-mono"
      >
        {[30, 40, 50, 60].map((cm) => (
          <g key={cm}>
            <line
              x1="34"
              x2={seats.length * pitch + 44}
              y1={floorY - cm * perCm}
              y2={floorY - cm * perCm}
              stroke="var(--color-rule)"
              strokeDasharray="2 5"
            />
            <text x="28" y={floorY - cm * perCm + 5} textAnchor="end" fontSize="14" fill="var(--color-ink-soft)">
              {cm}
            </text>
          </g>
        ))}
        <line
          x1="34"
          x2={seats.length * pitch + 44}
          y1={floorY}
          y2={floorY}
          stroke="var(--color-ink)"
          strokeWidth="2.5"
        />
        {seats.map((seat, i) => {
          const parts = seat.from.map((p) => Number(p.replace(/\D/g, '')));
          const [chair = 0, ...pads] = parts;
          const x = 44 + i * pitch;
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
              <text
                x={x + 35}
                y={floorY + 22}
                textAnchor="middle"
                fontSize="18"
                fontWeight="700"
                fill="var(--color-ink)"
              >
                {seat.heightCm}
              </text>
              <text x={x + 35} y={floorY + 40} textAnchor="middle" fontSize="13" fill="var(--color-ink-soft)">
                {parts.join('+')}
              </text>
            </g>
          );
        })}
      </svg>
    </div>
  );
}
