'use client';
import type { Plan, Protocol } from '../../core/shapes/protocol';
import { lengthFigure, sentenceIn, unitsOf } from '../../core/math/units';
import { useUnits } from '../frame/units';
import { Measured } from './measured';

const height = 150;
const ink = 'var(--color-ink)';

/**
 * The station from above, as it is put up: the wall hatched, the chair with its back, who is tested facing to the right,
 * what there is to hold, the way with its length, and a ring where whoever watches stands.
 */
export function StationPlan({ protocol, lanes }: { protocol: Protocol; lanes: number }) {
  const { plan } = protocol;
  const units = useUnits();
  return (
    <Measured start={460} className={`mb-2 ${plan.way ? '' : 'max-w-[460px]'}`}>
      {(width) => (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={sentenceIn(`The station from above: ${spoken(plan, protocol)}`, units)}
          className="block rounded-md border-2 border-ink bg-board"
        >
          <Lines plan={plan} width={width} lanes={lanes} />
        </svg>
      )}
    </Measured>
  );
}

function spoken({ on, wall, rail, way }: Plan, { station }: Protocol): string {
  return [
    on === 'feet'
      ? 'they stand'
      : `they start on ${on === 'mat' ? 'a mat' : on === 'chair' ? 'a chair' : 'an armchair'}`,
    ...(wall ? [`a wall ${wall === 'side' ? 'along their side' : wall}`] : []),
    ...(rail ? [`a hold ${rail === 'side' ? 'at their side' : 'ahead'}`] : []),
    ...(way ? [`${way.metres} m ahead a ${way.end}`] : []),
    `you ${station.spotter}`,
  ].join('; ');
}

function Lines({ plan, width, lanes }: { plan: Plan; width: number; lanes: number }) {
  const { on, wall, rail, way, spotter } = plan;
  const [x, y] = [wall === 'behind' ? 92 : way ? 70 : Math.min(180, width * 0.36), way ? 84 : 78];
  const end = way ? width - 90 : x + 90;
  const beside = lanes > 1 ? [y - 36, y + 36] : [y];
  const at = {
    ahead: { x: x + (lanes > 1 ? 150 : 86), y },
    beside: { x: way ? (x + end) / 2 : x - 4, y: y + 46 },
    behind: { x: x - 66, y: y + (rail === 'side' ? 10 : 0) },
    'half-way': { x: (x + end) / 2 + 20, y: y + 46 },
  }[spotter];
  return (
    <g fill="none" stroke={ink} strokeWidth="2.5">
      {wall === 'behind' && <Wall x1={x - 46} y1={10} x2={x - 46} y2={140} />}
      {wall === 'ahead' && <Wall x1={x + 56} y1={10} x2={x + 56} y2={140} flip />}
      {wall === 'side' && <Wall x1={x - 90} y1={22} x2={x + 150} y2={22} flip />}
      {rail === 'side' && (
        <g>
          <line x1={x - 44} x2={x + 52} y1={y - 42} y2={y - 42} strokeWidth="7" stroke="var(--color-wood-dark)" />
          <Words x={x + 60} y={y - 37} words="hold" />
        </g>
      )}
      {rail === 'ahead' && (
        <g>
          <line x1={x + 44} x2={x + 44} y1={y - 44} y2={y + 44} strokeWidth="7" stroke="var(--color-wood-dark)" />
          <Words x={x + 54} y={y - 30} words="hold" />
        </g>
      )}
      {beside.map((laneY) => (
        <g key={laneY}>
          {(on === 'chair' || on === 'armchair') && <Chair x={x} y={laneY} arms={on === 'armchair'} />}
          {on === 'mat' && (
            <rect x={x - 46} y={laneY - 28} width="150" height="56" rx="4" fill="var(--color-wood-pale)" />
          )}
          <Person x={on === 'mat' ? x - 14 : x} y={laneY} />
        </g>
      ))}
      {lanes > 1 && <Words x={x + 34} y={y + 5} words="1.2 m apart" />}
      {way && <Way from={x + 20} to={end} y={y} way={way} />}
      <g>
        <circle cx={at.x} cy={at.y} r="15" fill="var(--color-floor)" strokeDasharray="4 3" />
        <Words x={at.x + 22} y={at.y + 5} words="you" bold />
      </g>
    </g>
  );
}

function Words({ x, y, words, bold = false }: { x: number; y: number; words: string; bold?: boolean }) {
  return (
    <text x={x} y={y} fontSize="15" fontWeight={bold ? 700 : 400} fill={ink} stroke="none">
      {words}
    </text>
  );
}

/** A wall: its line, hatched on the side that is not the room. */
function Wall({ x1, y1, x2, y2, flip = false }: { x1: number; y1: number; x2: number; y2: number; flip?: boolean }) {
  const upright = x1 === x2;
  const length = upright ? y2 - y1 : x2 - x1;
  const side = flip ? (upright ? 10 : -10) : -10;
  return (
    <g strokeWidth="2">
      <line x1={x1} y1={y1} x2={x2} y2={y2} strokeWidth="4" />
      {Array.from({ length: Math.floor(length / 14) }, (_, i) => {
        const along = 7 + i * 14;
        return upright ? (
          <line key={i} x1={x1} y1={y1 + along} x2={x1 + side} y2={y1 + along - 8} />
        ) : (
          <line key={i} x1={x1 + along} y1={y1} x2={x1 + along + 8} y2={y1 + side} />
        );
      })}
    </g>
  );
}

/** Seat and back; who sits on it looks to the right. */
function Chair({ x, y, arms }: { x: number; y: number; arms: boolean }) {
  return (
    <g fill="var(--color-wood-pale)">
      <rect x={x - 26} y={y - 24} width="48" height="48" rx="3" />
      <rect x={x - 36} y={y - 24} width="10" height="48" rx="2" fill="var(--color-wood)" />
      {arms && (
        <>
          <rect x={x - 26} y={y - 31} width="44" height="8" rx="2" />
          <rect x={x - 26} y={y + 23} width="44" height="8" rx="2" />
        </>
      )}
    </g>
  );
}

/** Head and shoulders from above. */
function Person({ x, y }: { x: number; y: number }) {
  return (
    <g fill="var(--color-board)">
      <ellipse cx={x - 2} cy={y} rx="10" ry="22" />
      <circle cx={x} cy={y} r="10" fill={ink} />
      <path d={`M${x + 12} ${y - 5}l7 5l-7 5z`} fill={ink} stroke="none" />
    </g>
  );
}

function Way({ from, to, y, way }: { from: number; to: number; y: number; way: NonNullable<Plan['way']> }) {
  const units = useUnits();
  const { length } = unitsOf[units];
  const words = length === 'cm' ? `${way.metres} m` : `${lengthFigure(way.metres * 100, 'in')} in`;
  return (
    <g>
      <line x1={from} x2={to} y1={y} y2={y} strokeDasharray="2 6" />
      {way.end === 'cone' ? (
        <path d={`M${to - 22} ${y + 12}h24l-12 -26z`} fill="var(--color-wood)" />
      ) : (
        <line x1={to} x2={to} y1={y - 34} y2={y + 34} strokeWidth="5" />
      )}
      <line x1={from} x2={to} y1={y - 44} y2={y - 44} strokeWidth="1.5" />
      <line x1={from} x2={from} y1={y - 50} y2={y - 38} strokeWidth="1.5" />
      <line x1={to} x2={to} y1={y - 50} y2={y - 38} strokeWidth="1.5" />
      <Words x={(from + to) / 2 - 24} y={y - 50} words={words} bold />
    </g>
  );
}
