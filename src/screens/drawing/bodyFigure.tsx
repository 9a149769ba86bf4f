import { middleJoints, type Joint } from '../../core/shapes/intake';
import type { Side } from '../../core/shapes/facts';

/** Where the joints lie on a figure 190 wide and 400 high, seen from the front; the person's right is on our left. */
const spots: readonly (readonly [joint: Joint, x: number, y: number])[] = [
  ['neck', 0, 62],
  ['shoulder', 46, 92],
  ['elbow', 62, 152],
  ['hand', 78, 212],
  ['back', 0, 150],
  ['hip', 25, 206],
  ['knee', 27, 292],
  ['ankle', 30, 374],
];
const half = 95;
const height = 400;

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
          <path d="M0 74V190" strokeWidth="52" />
          <path d="M-34 92H34" strokeWidth="26" />
          <path d="M0 60v16" strokeWidth="18" />
          <path d="M-24 206H24" strokeWidth="30" />
          {[-1, 1].map((s) => (
            <g key={s}>
              <path d={`M${46 * s} 92 ${62 * s} 152 ${78 * s} 212`} strokeWidth="17" strokeLinejoin="round" />
              <path d={`M${25 * s} 206 ${27 * s} 292 ${30 * s} 374`} strokeWidth="24" strokeLinejoin="round" />
              <path d={`M${30 * s} 384h${14 * s}`} strokeWidth="15" />
            </g>
          ))}
        </g>
        <ellipse cx="0" cy="30" rx="23" ry="29" fill="var(--color-wood)" />
        {view === 'front' ? (
          <path
            d="M-8 36q8 7 16 0M-9 24v3M9 24v3"
            stroke="var(--color-wood-dark)"
            strokeWidth="2.5"
            fill="none"
            strokeLinecap="round"
          />
        ) : (
          <path
            d="M0 84V186"
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
