import { lengthShares } from '../../core/body/segments';
import { middleJoints, type Joint } from '../../core/shapes/intake';
import type { Side } from '../../core/shapes/facts';

const half = 95;
const height = 400;
/** How long the figure is drawn, and where its soles stand. */
const long = 372;
const floor = 389;
const { ankle, shank, thigh, trunk, upperArm, reach, shoulderOut, hipOut } = lengthShares;
const up = (share: number): number => Math.round(floor - long * share);
const out = (share: number): number => Math.round(long * share);
const [ankleY, kneeY, hipY, shoulderY] = [
  ankle,
  ankle + shank,
  ankle + shank + thigh,
  ankle + shank + thigh + trunk,
].map(up) as [number, number, number, number];
/** The arms hang a little away from the body. */
const armOut = (8 * Math.PI) / 180;
const armX = (share: number): number => out(shoulderOut + share * Math.sin(armOut));
const armY = (share: number): number => shoulderY + out(share * Math.cos(armOut));
const x = { shoulder: out(shoulderOut), elbow: armX(upperArm), hand: armX(reach), hip: out(hipOut) } as const;
const leg = { knee: x.hip + 2, ankle: x.hip + 5 } as const;

/** Where the joints lie, seen from the front, for a body of the lengths of `core/body`; the person's right is on our left. */
const spots: readonly (readonly [joint: Joint, x: number, y: number])[] = [
  ['neck', 0, shoulderY - 26],
  ['shoulder', x.shoulder, shoulderY],
  ['elbow', x.elbow, armY(upperArm)],
  ['hand', x.hand, armY(reach)],
  ['back', 0, Math.round((shoulderY + hipY) / 2)],
  ['hip', x.hip, hipY],
  ['knee', leg.knee, kneeY],
  ['ankle', leg.ankle, ankleY],
];

interface Props {
  readonly view: 'front' | 'back';
  /** 0 to 10 where it hurts, `?` where nobody has said how much, `undefined` where nothing is noted. */
  readonly levelAt: (joint: Joint, side: Side | null) => number | '?' | undefined;
  readonly tap: (joint: Joint, side: Side | null) => void;
  readonly words: (joint: Joint, side: Side | null) => string;
}

/** A wooden figure to tap on: one big target a joint, with its number where it hurts. */
export function BodyFigure({ view, levelAt, tap, words }: Props) {
  const targets = spots.flatMap(([joint, x, y]): { joint: Joint; side: Side | null; x: number; y: number }[] => {
    if (joint === 'back' && view === 'front') return [];
    if (middleJoints.includes(joint)) return [{ joint, side: null, x: 0, y }];
    const right = view === 'front' ? -1 : 1;
    return [
      { joint, side: 'R', x: right * x, y },
      { joint, side: 'L', x: -right * x, y },
    ];
  });
  return (
    <figure className="relative" style={{ width: 2 * half, height: height + 24 }}>
      <figcaption className="absolute inset-x-0 bottom-0 flex justify-between text-sm text-ink-soft">
        <span>{view === 'front' ? 'right' : 'left'}</span>
        <b>{view}</b>
        <span>{view === 'front' ? 'left' : 'right'}</span>
      </figcaption>
      <svg width={2 * half} height={height} viewBox={`${-half} 0 ${2 * half} ${height}`} aria-hidden>
        <g stroke="var(--color-wood)" strokeLinecap="round" fill="none">
          <path d={`M0 ${shoulderY - 16}V${hipY - 14}`} strokeWidth="52" />
          <path d={`M${12 - x.shoulder} ${shoulderY}H${x.shoulder - 12}`} strokeWidth="26" />
          <path d={`M0 ${shoulderY - 32}v16`} strokeWidth="18" />
          <path d={`M${-x.hip} ${hipY}H${x.hip}`} strokeWidth="30" />
          {[-1, 1].map((s) => (
            <g key={s}>
              <path
                d={`M${x.shoulder * s} ${shoulderY} ${x.elbow * s} ${armY(upperArm)} ${x.hand * s} ${armY(reach)}`}
                strokeWidth="17"
                strokeLinejoin="round"
              />
              <path
                d={`M${x.hip * s} ${hipY} ${leg.knee * s} ${kneeY} ${leg.ankle * s} ${ankleY}`}
                strokeWidth="24"
                strokeLinejoin="round"
              />
              <path d={`M${leg.ankle * s} ${ankleY + 8}h${14 * s}`} strokeWidth="15" />
            </g>
          ))}
        </g>
        <ellipse cx="0" cy={shoulderY - 57} rx="23" ry="28" fill="var(--color-wood)" />
        {view === 'front' ? (
          <path
            d={`M-8 ${shoulderY - 51}q8 7 16 0M-9 ${shoulderY - 63}v3M9 ${shoulderY - 63}v3`}
            stroke="var(--color-wood-dark)"
            strokeWidth="2.5"
            fill="none"
            strokeLinecap="round"
          />
        ) : (
          <path
            d={`M0 ${shoulderY - 6}V${hipY - 18}`}
            stroke="var(--color-wood-dark)"
            strokeWidth="2.5"
            strokeDasharray="2 7"
            strokeLinecap="round"
          />
        )}
      </svg>
      {targets.map(({ joint, side, x, y }) => {
        const level = levelAt(joint, side);
        return (
          <button
            key={`${joint}${side ?? ''}`}
            type="button"
            aria-label={words(joint, side)}
            aria-pressed={level !== undefined}
            onClick={() => tap(joint, side)}
            style={{ left: half + x - 22, top: y - 22 }}
            className="group absolute flex size-11 cursor-pointer items-center justify-center"
          >
            <span
              className={
                level === undefined
                  ? 'size-4 rounded-full border-2 border-wood-dark bg-board group-hover:bg-wood-pale'
                  : 'num flex size-8 items-center justify-center rounded-md border-2 border-ink bg-board font-bold'
              }
            >
              {level}
            </span>
          </button>
        );
      })}
    </figure>
  );
}
