'use client';
import { Measured } from '../drawing/measured';
import { lengthFigure, unitsOf } from '../../core/math/units';
import type { UnitSystem } from '../../core/shapes/person';
import type { FloorPlan, FloorPlace } from '../../core/train/seats/floor';
import type { SeatKind } from '../../core/train/seats/problem';

/** Drawn in hundredths of a metre. */
const cm = (metres: number): number => Math.round(metres * 100);
const ink = 'var(--color-ink)';
const edge = { left: 30, top: 46, bottom: 40 } as const;

export interface DrawnPlace extends FloorPlace {
  readonly names: readonly string[];
  readonly built: SeatKind | null;
}

/**
 * The hall from above, as it is put up: the wall with its rail, each place with its number, the chair with its back and the
 * height of its seat, and whoever leads in front. The list beside it says the same.
 */
export function HallPlan(drawn: Drawn) {
  return (
    // As wide as the hall is drawn, so that lists stand beside a small one and under a large one.
    <div className="max-w-full max-sm:hidden print:block" style={{ flex: `0 1 ${widthOf(drawn.floor)}px` }}>
      <Measured start={1200}>{(px) => <Hall {...drawn} px={px} />}</Measured>
    </div>
  );
}

const widthOf = ({ widthM }: FloorPlan): number => cm(widthM) + 2 * edge.left;

interface Drawn {
  readonly floor: FloorPlan;
  readonly places: readonly DrawnPlace[];
  readonly units: UnitSystem;
  /** What there is to hold on to. */
  readonly rail: string;
}

/** Nothing is written smaller, however long the wall. */
const leastPx = 14;

function Hall({ floor, places, units, rail, px }: Drawn & { px: number }) {
  const width = widthOf(floor);
  const scale = Math.min(1, px / width);
  const size = (of: number) => Math.max(of, leastPx / scale);
  /** Where a name has no room over its place the number stands alone; the list says whose it is. */
  const named = 90 * scale >= 62;
  const height = cm(floor.depthM) + edge.top + edge.bottom;
  const right = edge.left + cm(floor.widthM);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`The hall from above: ${places.length} places, ${places.filter((p) => p.kind === 'rail').length} at the rail, ${places.filter((p) => p.kind === 'wall').length} along the wall`}
      className="block w-full border-2 border-ink bg-wood-pale"
      // A small hall is not blown up.
      style={{ maxWidth: `${width}px` }}
      data-testid="hall-plan"
    >
      <g stroke="var(--color-wood)" strokeWidth={2}>
        {Array.from({ length: Math.floor(height / 60) }, (_, i) => (
          <line key={i} x1={0} x2={width} y1={60 * (i + 1)} y2={60 * (i + 1)} />
        ))}
      </g>
      {/* The wall, and the rail on it. */}
      <g stroke={ink} strokeWidth={3}>
        {Array.from({ length: Math.floor(cm(floor.widthM) / 30) }, (_, i) => (
          <line key={i} x1={edge.left + 30 * i} y1={edge.top} x2={edge.left + 30 * i + 22} y2={edge.top - 24} />
        ))}
      </g>
      <line x1={edge.left} x2={right} y1={edge.top} y2={edge.top} stroke={ink} strokeWidth={8} />
      {floor.railM > 0 && (
        <>
          <line
            x1={edge.left}
            x2={edge.left + cm(floor.railM)}
            y1={edge.top + 18}
            y2={edge.top + 18}
            stroke="var(--color-squat)"
            strokeWidth={8}
          />
          <Words x={edge.left} y={17} anchor="start" size={size(19)}>
            {rail}
          </Words>
        </>
      )}
      {/* Court lines: one before the wall, one a row. */}
      {[...new Set(places.map((p) => p.yM))].map((y) => (
        <line
          key={y}
          x1={edge.left}
          x2={right}
          y1={edge.top + cm(y) + 88}
          y2={edge.top + cm(y) + 88}
          stroke="var(--color-lunge)"
          strokeWidth={5}
          strokeDasharray="26 14"
        />
      ))}
      {places.map((p) => (
        <Place key={p.n} place={p} units={units} size={size} named={named} />
      ))}
      <g transform={`translate(${width / 2} ${height - 44})`}>
        <path d="M -26 16 L 0 -24 L 26 16 Z" fill={ink} />
        <Words x={44} y={10} anchor="start" size={size(26)}>
          who leads
        </Words>
      </g>
    </svg>
  );
}

function Place({
  place: { n, kind, xM, yM, names, built },
  units,
  size,
  named,
}: {
  place: DrawnPlace;
  units: UnitSystem;
  size: (of: number) => number;
  named: boolean;
}) {
  return (
    <g transform={`translate(${edge.left + cm(xM)} ${edge.top + cm(yM)})`}>
      {built ? (
        <g>
          <rect x={-27} y={-27} width={54} height={54} fill="var(--color-board)" stroke={ink} strokeWidth={4} />
          {/* Its back, away from whoever leads. */}
          <line x1={-27} x2={27} y1={-27} y2={-27} stroke={ink} strokeWidth={12} />
          {built.arms && <path d="M -27 -20 V 20 M 27 -20 V 20" stroke={ink} strokeWidth={10} fill="none" />}
          <Words x={0} y={12} size={size(28)} bold on="board">
            {lengthFigure(built.heightCm, unitsOf[units].length)}
          </Words>
        </g>
      ) : (
        <circle
          r={25}
          fill="none"
          stroke={ink}
          strokeWidth={4}
          strokeDasharray={kind === 'floor' ? '8 6' : undefined}
        />
      )}
      <g transform="translate(0 -46)">
        <circle r={18} fill="var(--color-board)" stroke={ink} strokeWidth={4} />
        <text textAnchor="middle" y={8} fontSize={size(23)} fontWeight={800} fill={ink}>
          {n}
        </text>
      </g>
      {(named ? names : []).map((name, i) => (
        // Of neighbours at the wall every second name stands lower, so that long ones do not meet.
        <Words key={name} x={0} y={50 + 22 * (i * 2 + (kind === 'floor' ? 0 : n % 2))} size={size(20)} bold={i === 0}>
          {i === 0 ? name : `then ${name}`}
        </Words>
      ))}
    </g>
  );
}

function Words({
  x,
  y,
  size,
  anchor = 'middle',
  bold = false,
  on = 'wood-pale',
  children,
}: {
  x: number;
  y: number;
  size: number;
  anchor?: 'start' | 'middle';
  bold?: boolean;
  on?: 'wood-pale' | 'board';
  children: string;
}) {
  return (
    <text
      {...{ x, y }}
      textAnchor={anchor}
      fontSize={size}
      fontWeight={bold ? 700 : 500}
      fill={ink}
      strokeWidth={6}
      paintOrder="stroke"
      // Paper has no floor to stand out from.
      className={`${on === 'board' ? 'stroke-board' : 'stroke-wood-pale'} print:stroke-transparent`}
    >
      {children}
    </text>
  );
}
