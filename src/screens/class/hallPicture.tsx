import type { ReactNode } from 'react';
import { lengthFigure, unitsOf } from '../../core/math/units';
import type { UnitSystem } from '../../core/shapes/person';
import type { FloorPlace, FloorPlan, FloorSlot } from '../../core/train/seats/floor';
import type { SeatKind } from '../../core/train/seats/problem';

/** Drawn in hundredths of a metre. */
export const cm = (metres: number): number => Math.round(metres * 100);
const ink = 'var(--color-ink)';
export const edge = { left: 30, top: 46, bottom: 40 } as const;
export const widthOf = ({ widthM }: FloorPlan): number => cm(widthM) + 2 * edge.left;
export const heightOf = ({ depthM }: FloorPlan): number => cm(depthM) + edge.top + edge.bottom;

/** From this scale on a name has room over its place, 0.9 m wide. */
export const namedFrom = 62 / 90;

/** Nothing is written smaller, however long the wall. */
const leastPx = 14;

export interface DrawnPlace extends FloorPlace {
  readonly names: readonly string[];
  readonly built: SeatKind | null;
  /** Under both feet, cm; 0 for none. */
  readonly stepCm: number;
  /** Who stands by, by name. */
  readonly spotter: string | null;
  /** Of the block that is shown: what they do, drawn and in a few signs; `null` where the seats are shown. */
  readonly doing: { readonly figure: ReactNode; readonly code: string; readonly onMat: boolean } | null;
}

interface Props {
  readonly floor: FloorPlan;
  readonly places: readonly DrawnPlace[];
  /** Places that one spotter goes between. */
  readonly beside: readonly (readonly FloorSlot[])[];
  readonly units: UnitSystem;
  /** What there is to hold on to. */
  readonly rail: string;
  /** How much smaller than a centimetre a pixel it stands on the screen. */
  readonly scale: number;
}

/** The hall from above as a drawing: court lines, the wall and what is fixed to it, places with their seats, or what is done there. */
export function HallPicture({ floor, places, beside, units, rail, scale }: Props) {
  const [width, height] = [widthOf(floor), heightOf(floor)];
  const size = (of: number) => Math.max(of, leastPx / scale);
  /** Where a name has no room over its place the number stands alone; the list says whose it is. */
  const named = scale >= namedFrom;
  const right = edge.left + cm(floor.widthM);
  /** Under the names of a row, where a seat serves two lower. */
  const under = (y: number) => (places.some((p) => p.yM === y && p.names.length > 1) ? 136 : 88);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`The hall from above: ${places.length} places, ${places.filter((p) => p.kind === 'rail').length} at the rail, ${places.filter((p) => p.kind === 'wall').length} along the wall`}
      className="block w-full"
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
        <line
          x1={edge.left}
          x2={edge.left + cm(floor.railM)}
          y1={edge.top + 18}
          y2={edge.top + 18}
          stroke="var(--color-squat)"
          strokeWidth={8}
        />
      )}
      {[...places, ...floor.free].map((s) => (
        <Fixture key={s.id} slot={s} />
      ))}
      {rail !== '' && (
        <Words x={edge.left} y={17} anchor="start" size={size(19)}>
          {rail}
        </Words>
      )}
      {/* Court lines: one before the wall, one a row. */}
      {[...new Set(places.map((p) => p.yM))].map((y) => (
        <line
          key={y}
          x1={edge.left}
          x2={right}
          y1={edge.top + cm(y) + under(y)}
          y2={edge.top + cm(y) + under(y)}
          stroke="var(--color-lunge)"
          strokeWidth={5}
          strokeDasharray="26 14"
        />
      ))}
      {/* One line from place to place of those whom the same person stands by. */}
      {beside.map((at) => (
        <polyline
          key={at.map((p) => p.id).join()}
          points={at.map((p) => `${edge.left + cm(p.xM)},${edge.top + cm(p.yM) + 33}`).join(' ')}
          fill="none"
          stroke={ink}
          strokeWidth={4}
          strokeDasharray="3 7"
          strokeLinecap="round"
        />
      ))}
      {places.map((p) => (
        <Place key={p.id} place={p} units={units} size={size} named={named} />
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

/** A heavy table and a strap at the wall, from above. */
function Fixture({ slot: { kind, xM } }: { slot: FloorSlot }) {
  const x = edge.left + cm(xM);
  if (kind === 'table')
    return (
      <rect x={x - 32} y={edge.top + 6} width={64} height={14} fill="var(--color-wood)" stroke={ink} strokeWidth={3} />
    );
  if (kind === 'strap')
    return (
      <path
        d={`M ${x - 12} ${edge.top + 4} v 16 M ${x + 12} ${edge.top + 4} v 16`}
        stroke={ink}
        strokeWidth={5}
        strokeLinecap="round"
      />
    );
  return null;
}

function Place({
  place: { n, kind, xM, yM, names, built, hasChair, kept, stepCm, spotter, doing },
  units,
  size,
  named,
}: {
  place: DrawnPlace;
  units: UnitSystem;
  size: (of: number) => number;
  named: boolean;
}) {
  const { length } = unitsOf[units];
  return (
    <g transform={`translate(${edge.left + cm(xM)} ${edge.top + cm(yM)})`}>
      {doing ? (
        <>
          {doing.onMat && (
            <rect x={-18} y={14} width={64} height={28} rx={4} fill="var(--color-board)" stroke={ink} strokeWidth={2} />
          )}
          <Words x={-32} y={-8} size={size(17)} bold>
            {doing.code}
          </Words>
        </>
      ) : built ? (
        <g>
          <rect x={-27} y={-27} width={54} height={54} fill="var(--color-board)" stroke={ink} strokeWidth={4} />
          {/* Its back, away from whoever leads. */}
          <line x1={-27} x2={27} y1={-27} y2={-27} stroke={ink} strokeWidth={12} />
          {built.arms && <path d="M -27 -20 V 20 M 27 -20 V 20" stroke={ink} strokeWidth={10} fill="none" />}
          {stepCm > 0 && (
            <rect x={-24} y={30} width={48} height={10} fill="var(--color-wood)" stroke={ink} strokeWidth={3} />
          )}
          <Words x={0} y={12} size={size(28)} bold on="board">
            {lengthFigure(built.heightCm, length)}
          </Words>
        </g>
      ) : hasChair ? (
        <g>
          {/* Held by its back: the seat to the wall. */}
          <rect x={-22} y={-24} width={44} height={40} fill="var(--color-board)" stroke={ink} strokeWidth={4} />
          <line x1={-22} x2={22} y1={18} y2={18} stroke={ink} strokeWidth={12} />
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
      {spotter !== null && (
        <g transform={`translate(${doing ? -32 : 37} ${doing ? 18 : 20})`}>
          {/* Shoulders and head from above, with the first letter of the name. */}
          <ellipse rx={17} ry={8} fill={ink} />
          <circle r={11} fill="var(--color-skin)" stroke={ink} strokeWidth={3} />
          <text textAnchor="middle" y={5} fontSize={15} fontWeight={800} fill={ink}>
            {spotter.slice(0, 1)}
          </text>
        </g>
      )}
      <g transform={`translate(${doing ? -32 : 0} -46)`}>
        {/* Dark where somebody was put by hand. */}
        <circle r={18} fill={kept ? ink : 'var(--color-board)'} stroke={ink} strokeWidth={4} />
        <text
          textAnchor="middle"
          y={8}
          fontSize={size(23)}
          fontWeight={800}
          fill={kept ? 'var(--color-board)' : ink}
          stroke={kept ? ink : 'var(--color-board)'}
          strokeWidth={3}
          paintOrder="stroke"
        >
          {n}
        </text>
      </g>
      {(named ? names : []).map((name, i) => (
        // Of neighbours at the wall every second name stands lower, so that long ones do not meet.
        <Words key={name} x={0} y={54 + 22 * (i * 2 + (kind === 'floor' ? 0 : n % 2))} size={size(20)} bold={i === 0}>
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
