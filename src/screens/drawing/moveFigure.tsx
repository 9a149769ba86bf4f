import type { ReactNode } from 'react';
import type { Place, SolvedPair } from '../../core/figure/pose';
import type { Point3, SolvedArm, SolvedLeg, SolvedPose } from '../../core/figure/solved';
import type { PathPoint, PoseProp, RungPoses } from '../../core/shapes/pose';
import type { Pattern } from '../../core/shapes/facts';
import { lookOf } from './patterns';

type View = RungPoses['view'];
type Flat = readonly [x: number, y: number];

/** Metres into the plane of the picture, y up. */
const projections: Readonly<Record<View, (p: Point3) => Flat>> = {
  side: ([x, y]) => [x, y],
  front: ([, y, z]) => [-z, y],
  above: ([x, y]) => [-y, -x],
};

interface Props {
  readonly poses: RungPoses;
  readonly pair: SolvedPair;
  readonly place: Place;
  readonly pattern: Pattern;
  /** What it shows, in words. */
  readonly title: string;
  readonly className?: string;
  /** The end under the start, where there is more height than width. */
  readonly stacked?: boolean;
  /** Only the end, where it is drawn small. */
  readonly endOnly?: boolean;
  /** Whoever may spot, beside and half a step behind. */
  readonly helper: SolvedPose | null;
}

/** From the hip of who moves to whoever helps, in metres: half a step behind; to the side where it is seen from in front. */
const helperAt = { side: [-0.34, 0, -0.3], front: [-0.3, 0, -0.62], above: [0, 0, 0] } as const;

/** Start pale and end in full beside each other, on one floor, with what stands around to scale and one arrow for the path. */
export function MoveFigure({
  poses,
  pair,
  place,
  pattern,
  title,
  className,
  stacked = false,
  endOnly = false,
  helper,
}: Props) {
  const { view, props } = poses;
  const project = projections[view];
  const scene = sceneOf(poses, pair, place);
  const shifted = (pose: SolvedPose) => {
    const [dx, dy, dz] = helperAt[view];
    return ([x, y, z]: Point3): Flat => project([x + pose.hip[0] + dx, y + dy, z + dz]);
  };
  const beside = (pose: SolvedPose): Flat[] => (helper ? pointsOf(helper).map(shifted(pose)) : []);
  const all = endOnly ? [pair.end] : [pair.start, pair.end, ...(pair.then ? [pair.then] : [])];
  const points = all
    .flatMap(pointsOf)
    .map(project)
    .concat(
      scene.flatMap((s) => s.corners),
      all.flatMap(beside),
    );
  const head = 0.07 * place.heightM;
  const [left, right] = [Math.min(...points.map(([x]) => x)) - 0.09, Math.max(...points.map(([x]) => x)) + 0.09];
  const top = Math.max(...points.map(([, y]) => y)) + head + 0.02;
  const bottom = view === 'above' ? Math.min(...points.map(([, y]) => y)) - 0.1 : -0.05;
  const [wide, high] = [right - left, top - bottom];
  const gap = 0.06;
  const [over, under] = stacked ? [0, high + gap] : [wide + gap, 0];
  const more = all.length - 1;
  const tone = lookOf(pattern).tone;
  const standsBy = (pose: SolvedPose) =>
    helper && (
      <g opacity="0.3">
        <Body
          pose={helper}
          project={shifted(pose)}
          heightM={helperM(helper)}
          tone="var(--color-ink-soft)"
          view={view}
        />
      </g>
    );
  const floor =
    view === 'above' ? null : <path d={`M${left} 0H${right}`} stroke="var(--color-ink)" strokeWidth="0.012" />;
  return (
    <svg
      viewBox={`0 0 ${((wide + more * over) * 100).toFixed(1)} ${((high + more * under) * 100).toFixed(1)}`}
      role="img"
      aria-label={title}
      className={className}
    >
      {all.map((pose, i) => {
        const before = all[i - 1];
        return (
          <g key={i} transform={`translate(${(i * over - left) * 100} ${(top + i * under) * 100}) scale(100 -100)`}>
            {floor}
            {scene.map((s) => s.behind)}
            {standsBy(pose)}
            <g opacity={before || endOnly ? undefined : 0.42}>
              <Body pose={pose} project={project} heightM={place.heightM} tone={tone} view={view} />
            </g>
            <Carried pose={pose} {...{ props, project }} heightM={place.heightM} />
            {before && <Arrow from={pathAt(before, poses.path)} to={pathAt(pose, poses.path)} project={project} />}
            {i === 1 && props.includes('three-ways') && (
              <ThreeWays at={project(pose.legs[0].toe)} heightM={place.heightM} />
            )}
          </g>
        );
      })}
    </svg>
  );
}

/** How tall somebody upright is, by the middle of the head. */
const helperM = ({ head }: SolvedPose): number => head[1] / 0.93;

const pointsOf = ({ head, neck, hip, legs, arms }: SolvedPose): Point3[] => [
  ...[head, neck, hip],
  ...legs.flatMap((l) => [l.knee, l.ankle, l.heel, l.ball, l.toe]),
  ...arms.flatMap((a) => [a.elbow, a.hand]),
];

const line = (...points: readonly Flat[]): string =>
  `M${points.map(([x, y]) => `${x.toFixed(4)} ${y.toFixed(4)}`).join('L')}`;

/** A person of no age in particular: trousers, a shirt in the colour of the pattern, head and hands. */
function Body({
  pose,
  project,
  heightM,
  tone,
  view,
}: {
  pose: SolvedPose;
  project: (p: Point3) => Flat;
  heightM: number;
  tone: string;
  view: View;
}) {
  const [h, at] = [heightM, project];
  const skin = 'var(--color-skin)';
  const stroke = (d: string, width: number, colour: string) => (
    <path d={d} stroke={colour} strokeWidth={width * h} strokeLinecap="round" strokeLinejoin="round" fill="none" />
  );
  const leg = ({ hip, knee, ankle, heel, ball, toe }: SolvedLeg, far: boolean) => (
    <g opacity={far && view === 'side' ? 0.62 : 1}>
      <path
        d={`${line(at(heel), at(ball), at(toe), mid(at(ankle), at(toe), 0.45), at(ankle))}Z`}
        fill="var(--color-ink)"
        stroke="var(--color-ink)"
        strokeWidth={0.012 * h}
        strokeLinejoin="round"
      />
      {stroke(line(at(knee), at(ankle)), 0.05, 'var(--color-ink)')}
      {stroke(line(at(hip), at(knee)), 0.078, 'var(--color-ink)')}
    </g>
  );
  const arm = ({ shoulder, elbow, hand }: SolvedArm, far: boolean) => (
    <g opacity={far && view === 'side' ? 0.6 : 1}>
      {!far && stroke(line(at(shoulder), at(elbow)), 0.062, 'var(--color-board)')}
      {stroke(line(at(shoulder), at(elbow)), 0.046, tone)}
      {stroke(line(at(elbow), at(hand)), 0.036, skin)}
      <circle
        cx={at(hand)[0]}
        cy={at(hand)[1]}
        r={0.025 * h}
        fill={skin}
        stroke="var(--color-ink)"
        strokeWidth={0.005 * h}
      />
    </g>
  );
  const [near, far] = pose.legs;
  const [nearArm, farArm] = pose.arms;
  const [head, neck, hip] = [at(pose.head), at(pose.neck), at(pose.hip)];
  const trunk =
    view === 'front' ? (
      <path
        d={`${line(at(nearArm.shoulder), at(farArm.shoulder), at(far.hip), at(near.hip))}Z`}
        fill={tone}
        stroke={tone}
        strokeWidth={0.06 * h}
        strokeLinejoin="round"
      />
    ) : (
      stroke(line(mid(hip, neck, 0.06), mid(hip, neck, 0.94)), 0.115, tone)
    );
  return (
    <g>
      {view !== 'front' && arm(farArm, true)}
      {leg(far, true)}
      {view === 'front' && leg(near, false)}
      {stroke(line(neck, head), 0.05, skin)}
      {trunk}
      {view !== 'front' && leg(near, false)}
      <circle cx={head[0]} cy={head[1]} r={0.06 * h} fill={skin} stroke="var(--color-ink)" strokeWidth={0.008 * h} />
      {view === 'front' && arm(farArm, false)}
      {arm(nearArm, false)}
    </g>
  );
}

const mid = (a: Flat, b: Flat, share: number): Flat => [a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1])];

/** A foot from in front, three times: toes straight, out and in. */
function ThreeWays({ at: [x, y], heightM: h }: { at: Flat; heightM: number }) {
  return (
    <g fill="none" stroke="var(--color-ink)" strokeWidth={0.008 * h}>
      {[28, 0, -28].map((turn, i) => (
        <ellipse
          key={turn}
          rx={0.022 * h}
          ry={0.05 * h}
          transform={`translate(${x + (i - 1) * 0.085 * h} ${y + 0.15 * h}) rotate(${turn})`}
        />
      ))}
    </g>
  );
}

/** What is carried in the hands. */
function Carried({
  pose,
  props,
  project,
  heightM,
}: {
  pose: SolvedPose;
  props: readonly PoseProp[];
  project: (p: Point3) => Flat;
  heightM: number;
}) {
  const [a, b] = [project(pose.arms[0].hand), project(pose.arms[1].hand)];
  if (props.includes('band'))
    return <path d={line(a, b)} stroke="var(--color-stop)" strokeWidth={0.014 * heightM} fill="none" />;
  if (props.includes('strap'))
    return (
      <path
        d={line(b, project(pose.legs[1].ankle))}
        stroke="var(--color-stop)"
        strokeWidth={0.014 * heightM}
        fill="none"
      />
    );
  if (!props.includes('weight')) return null;
  return (
    <circle
      cx={a[0]}
      cy={a[1]}
      r={0.042 * heightM}
      fill="var(--color-ink-soft)"
      stroke="var(--color-ink)"
      strokeWidth={0.008 * heightM}
    />
  );
}

function pathAt(pose: SolvedPose, point: PathPoint): Point3 {
  const [near, far] = pose.legs;
  return {
    hip: pose.hip,
    shoulder: pose.neck,
    knee: near.knee,
    hand: pose.arms[0].hand,
    heel: near.heel,
    otherFoot: far.ball,
    otherKnee: far.knee,
  }[point];
}

/** One arrow for the way a point goes; nothing where it hardly moves. */
function Arrow({ from, to, project }: { from: Point3; to: Point3; project: (p: Point3) => Flat }) {
  const [a, b] = [project(from), project(to)];
  const far = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (far < 0.03) return null;
  const [ux, uy] = [(b[0] - a[0]) / far, (b[1] - a[1]) / far];
  // Short ways are drawn a little longer, so that they are seen.
  const long = Math.max(far, 0.16);
  const tip: Flat = [b[0], b[1]];
  const tail: Flat = [b[0] - ux * long, b[1] - uy * long];
  const wing = (turn: number): Flat => [
    tip[0] - 0.075 * (ux * Math.cos(turn) - uy * Math.sin(turn)),
    tip[1] - 0.075 * (uy * Math.cos(turn) + ux * Math.sin(turn)),
  ];
  const d = `${line(tail, tip)}${line(wing(0.5), tip, wing(-0.5))}`;
  return (
    <g fill="none" strokeLinecap="round" strokeLinejoin="round">
      <path d={d} stroke="var(--color-board)" strokeWidth="0.05" />
      <path d={d} stroke="var(--color-stop)" strokeWidth="0.026" />
    </g>
  );
}

interface Piece {
  readonly behind: ReactNode;
  readonly corners: readonly Flat[];
}

const wood = { fill: 'var(--color-wood-pale)', stroke: 'var(--color-wood)', strokeWidth: 0.012 } as const;
const block = (key: string, x: number, y: number, width: number, height: number): Piece => ({
  behind: <rect key={key} x={x} y={y} width={width} height={height} rx="0.01" {...wood} />,
  corners: [
    [x, y],
    [x + width, y + height],
  ],
});
const sticks = (key: string, d: string, corners: readonly Flat[], width = 0.03): Piece => ({
  behind: (
    <path
      key={key}
      d={d}
      stroke="var(--color-wood)"
      strokeWidth={width}
      fill="none"
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  ),
  corners,
});
const wall = (x: number, toRight: boolean): Piece => ({
  behind: (
    <g key={`wall${x}`}>
      <rect x={toRight ? x : x - 0.05} y={0} width={0.05} height={1.1} fill="var(--color-rule)" />
      <path d={`M${x} 0V1.1`} stroke="var(--color-ink)" strokeWidth="0.012" />
    </g>
  ),
  corners: [[toRight ? x + 0.05 : x - 0.05, 1.1]],
});

/** A chair from the side: its front edge, and which way it is turned. */
function chair(front: number, seatM: number, back: 'left' | 'right', againstWall: boolean): Piece[] {
  const sign = back === 'left' ? -1 : 1;
  const rear = front + sign * 0.42;
  const top = seatM + 0.42;
  const [from, to] = [Math.min(front, rear), Math.max(front, rear)];
  return [
    sticks(`legs${front}`, `M${front - sign * -0.02} 0V${seatM - 0.03}M${rear} 0V${top}`, [
      [front, 0],
      [rear, top],
    ]),
    block(`seat${front}`, from, seatM - 0.045, to - from, 0.045),
    ...(againstWall ? [wall(rear + sign * 0.03, back === 'right')] : []),
  ];
}

/** What stands around both poses, to scale. */
function sceneOf(poses: RungPoses, { start, end, then, placed }: SolvedPair, place: Place): Piece[] {
  const { props, view } = poses;
  const has = (p: PoseProp) => props.includes(p);
  const low = start.hip[1] <= end.hip[1] ? start : end;
  const pieces: Piece[] = [];
  const h = place.heightM;
  if (view === 'front') {
    if (has('chair'))
      pieces.push(
        block('seat', -0.22, place.seatM - 0.05, 0.44, 0.05),
        sticks('legs', `M-0.2 0V${place.seatM - 0.05}M0.2 0V${place.seatM - 0.05}`, []),
      );
    if (placed.rail !== undefined)
      pieces.push(
        sticks(
          'rail',
          `M-0.55 ${place.railM}H0.55`,
          [
            [-0.55, place.railM],
            [0.55, place.railM],
          ],
          0.035,
        ),
      );
    if (has('mat')) {
      const across = [...pointsOf(start), ...pointsOf(end)].map(([, , z]) => -z);
      const left = Math.min(...across) - 0.1;
      pieces.push(block('mat', left, -0.022, Math.max(...across) + 0.1 - left, 0.022));
    }
    return pieces;
  }
  if (view === 'above') {
    if (has('mat')) pieces.push(block('mat', -1.04 * h, -0.3, 1.1 * h, 0.62));
    return pieces;
  }
  const spans = [start, end, ...(then ? [then] : [])].flatMap(pointsOf).map(([x]) => x);
  const [from, to] = [Math.min(...spans) - 0.08, Math.max(...spans) + 0.06];
  const sideRail = [poses.start, poses.end].some(
    (pose) => pose.root !== 'side-elbow' && 'to' in pose.hands && pose.hands.to === 'side-rail',
  );
  const railM = place.railM + (poses.start.root === 'foot-on-step' ? place.stepM : 0);
  if (has('wall-behind')) pieces.push(wall(Math.min(...pointsOf(low).map(([x]) => x)) - 0.09, false));
  if (has('chair')) pieces.push(...chair(low.hip[0] + 0.13, place.seatM, 'left', true));
  if (has('chair-turned')) pieces.push(...chair((placed['chair-back'] ?? 0) - 0.42, place.seatM, 'right', false));
  else if (placed['chair-back'] !== undefined) {
    const x = placed['chair-back'];
    const seat = place.chairBackM - 0.42;
    pieces.push(
      sticks('back', `M${x} 0V${place.chairBackM}M${x + 0.42} 0V${seat - 0.03}`, [
        [x, place.chairBackM],
        [x + 0.42, 0],
      ]),
      block('backseat', x, seat - 0.045, 0.42, 0.045),
      wall(x + 0.45, true),
    );
  }
  if (placed['chair-seat'] !== undefined) pieces.push(...chair(placed['chair-seat'] - 0.1, place.seatM, 'right', true));
  if (placed.rail !== undefined) {
    const x = placed.rail;
    pieces.push(sticks('post', `M${x + 0.015} 0V${place.railM}`, [[x + 0.04, place.railM]], 0.028));
    pieces.push({
      behind: <circle key="bar" cx={x + 0.01} cy={place.railM} r="0.03" {...wood} />,
      corners: [],
    });
  }
  if (sideRail)
    pieces.push(
      sticks('side-rail', `M${from} ${railM}H${to + 0.3}M${from + 0.1} 0V${railM}M${to + 0.2} 0V${railM}`, [
        [to + 0.3, railM],
      ]),
    );
  if (placed.wall !== undefined) pieces.push(wall(placed.wall + 0.025, true));
  if (has('step')) {
    const [near] = end.legs;
    pieces.push(block('step', near.heel[0] - 0.05, 0, near.toe[0] - near.heel[0] + 0.12, place.stepM));
  }
  if (has('surface'))
    pieces.push(
      block('surface', from, place.surfaceM - 0.09, to - from, 0.09),
      sticks('surface-legs', `M${from + 0.06} 0V${place.surfaceM - 0.1}M${to - 0.06} 0V${place.surfaceM - 0.1}`, []),
    );
  if (has('mat')) pieces.push(block('mat', from, -0.022, to - from, 0.022));
  if (has('plate')) pieces.push(block('plate', end.legs[1].ball[0] - 0.12, -0.012, 0.22, 0.014));
  if (has('pad'))
    pieces.push(
      block('pad', end.legs[1].knee[0] - 0.14, 0, 0.28, Math.max(0.02, Math.min(0.1, end.legs[1].knee[1] - 0.035 * h))),
    );
  if (has('box')) {
    const [x, y] = end.arms[0].hand;
    pieces.push(block('box', x - 0.16, y - 0.24, 0.32, 0.22));
    if (y - 0.24 > 0.02) pieces.push(block('stand', x - 0.2, 0, 0.4, y - 0.24));
  }
  if (has('towel')) {
    const [near] = start.legs;
    pieces.push(block('towel', near.knee[0] - 0.06, 0, 0.12, Math.max(0.02, near.knee[1] - 0.04 * h)));
  }
  return pieces;
}
