'use client';
import { useState, type ReactNode } from 'react';
import { lengthFigure, unitsOf } from '../../core/math/units';
import { liveEvents } from '../../core/measure/live';
import { allMarks } from '../../core/measure/marks';
import { nextSeatCm } from '../../core/measure/nextSeat';
import type { AttemptEvent } from '../../core/shapes/attempt';
import type { Protocol } from '../../core/shapes/protocol';
import { Feet } from '../drawing/feet';
import { Toes } from '../drawing/toes';
import { useUnits } from '../frame/units';
import { TextBox } from '../touch/field';
import { typedNumber } from '../touch/typed';
import type { RunNow } from './bench/useLanes';
import { Control } from './controls';
import { Running } from './laneClock';

interface Props {
  readonly run: RunNow;
  readonly protocol: Protocol;
  /** Seats that the chairs and pads of the hall make, cm. */
  readonly seatsCm: readonly number[];
}

type StageEvent = Extract<AttemptEvent, { readonly kind: 'stage' }>;

/** One stage after the other: a position held, a touch felt or not, a seat risen from, a pressure read. */
export function StagedBody({ run, protocol, seatsCm }: Props) {
  const { capture } = protocol;
  if (capture.kind !== 'staged') return null;
  if (capture.ends === 'lowest') return <Seats run={run} seatsCm={seatsCm} />;
  if (capture.stages.some((s) => s.holdS !== undefined)) return <Positions run={run} protocol={protocol} />;
  if (capture.stages.some((s) => s.afterS !== undefined)) return <Pressures run={run} protocol={protocol} />;
  return <Touches run={run} protocol={protocol} />;
}

const positionWords: Readonly<Record<string, string>> = {
  sideBySide: 'Feet together',
  semiTandem: 'Instep beside the big toe',
  tandem: 'Heel touching toe',
  oneLeg: 'One leg',
};

function Positions({ run, protocol }: Omit<Props, 'seatsCm'>) {
  const { lane } = run;
  const { now, trial } = lane;
  const stages = protocol.capture.kind === 'staged' ? protocol.capture.stages : [];
  const current = stages[now.nth];
  const runs = now.sinceMs !== null;
  return (
    <div className="relative flex flex-1 flex-col items-center justify-center gap-4 bg-wood-pale p-3">
      <div className="flex flex-wrap items-center justify-center gap-x-10 gap-y-2 rounded-lg border-4 border-ink bg-board px-8 py-3 low:py-1">
        {current && <Feet position={current.id} size={150} />}
        <div className="text-center">
          {runs ? (
            <Running lane={lane} className="num block text-[clamp(56px,24vh,220px)] leading-[1.02] font-bold" />
          ) : (
            <span className="num block text-[clamp(56px,24vh,220px)] leading-[1.02] font-bold" data-testid="clock">
              0.0
            </span>
          )}
          <p className="text-2xl font-bold low:text-lg" data-testid="lane-words">
            {runs
              ? `Tap when ${protocol.taps?.end}`
              : `${positionWords[current?.id ?? '']}: tap when ${protocol.taps?.start}`}
          </p>
        </div>
      </div>
      <ol className="flex flex-wrap justify-center gap-x-6 gap-y-1 text-lg low:hidden">
        {stages.map(({ id, holdS = 0 }, nth) => {
          const held = trial.seconds?.[id as keyof NonNullable<typeof trial.seconds>] ?? 0;
          const words = nth < now.nth ? (held >= holdS ? 'held' : `${held} s`) : nth === now.nth ? 'now' : '–';
          return (
            <li
              key={id}
              className={nth === now.nth ? 'font-bold' : ''}
              aria-current={nth === now.nth ? 'step' : undefined}
            >
              {nth + 1} {positionWords[id]}: <span className="num">{words}</span>
            </li>
          );
        })}
      </ol>
    </div>
  );
}

/** A question to the person, in two big keys. */
function Asked({ picture, words, children }: { picture: ReactNode; words: string; children: ReactNode }) {
  return (
    <div className="flex flex-1 flex-col items-center justify-center gap-4 bg-wood-pale p-4" data-control>
      <div className="flex max-w-4xl flex-wrap items-center justify-center gap-x-10 gap-y-3 rounded-lg border-4 border-ink bg-board px-8 py-4">
        {picture}
        <div className="grid w-72 max-w-full gap-3">
          <p className="text-2xl font-bold" data-testid="lane-words">
            {words}
          </p>
          {children}
        </div>
      </div>
    </div>
  );
}

const toeWords = (id: string): string =>
  `${id.startsWith('L') ? 'Left' : 'Right'} foot, ${{ 1: 'big', 3: 'middle', 5: 'small' }[id.slice(1)] ?? ''} toe`;

function Touches({ run, protocol }: Omit<Props, 'seatsCm'>) {
  const stages = protocol.capture.kind === 'staged' ? protocol.capture.stages : [];
  const { nth } = run.lane.now;
  const current = stages[nth];
  if (!current) return null;
  const say = (held: boolean) => () =>
    run.press({ do: 'mark', mark: { kind: 'stage', id: current.id, held } }, 'touch');
  return (
    <Asked picture={<Toes toe={current.id} size={230} />} words={toeWords(current.id)}>
      <p className="num text-lg">
        {nth + 1} of {stages.length}
      </p>
      <Control main hotkey="Y" press={say(true)}>
        Felt, right side said
      </Control>
      <Control hotkey="N" press={say(false)}>
        Not felt
      </Control>
    </Asked>
  );
}

function Seats({ run, seatsCm }: { run: RunNow; seatsCm: readonly number[] }) {
  const { lane, press } = run;
  const units = useUnits();
  const said = allMarks(liveEvents(lane.events)).filter((e): e is StageEvent => e.kind === 'stage');
  const proposed = nextSeatCm(said, seatsCm);
  const [chosen, choose] = useState<number | null>(null);
  const seat = chosen ?? proposed;
  const id = String(lane.now.nth + 1);
  const say = (held: boolean) => () => {
    press({ do: 'mark', mark: { kind: 'stage', id, held, seatCm: seat } }, 'touch');
    choose(null);
  };
  const by = (cm: number) => () => choose(Math.min(60, Math.max(30, seat + cm)));
  return (
    <Asked
      picture={
        <div className="flex items-center gap-3">
          <div className="grid w-24">
            <Control press={by(-1)} label="One centimetre lower">
              –
            </Control>
          </div>
          <p className="text-center">
            <span className="num block text-[120px] leading-none font-bold" data-testid="seat">
              {lengthFigure(seat, unitsOf[units].length)}
            </span>
            <span className="text-xl font-semibold">{unitsOf[units].length}, measured with them seated</span>
          </p>
          <div className="grid w-24">
            <Control press={by(1)} label="One centimetre higher">
              +
            </Control>
          </div>
        </div>
      }
      words={`Stand ${id} of at most 6`}
    >
      <Control main hotkey="Y" press={say(true)}>
        Stood, hands free
      </Control>
      <Control hotkey="N" press={say(false)}>
        Hands, a drop, or not
      </Control>
      <p className="text-lg" data-testid="tries">
        {said
          .map((s) => `${lengthFigure(s.seatCm ?? 0, unitsOf[units].length)} ${s.held ? 'stood' : 'not'}`)
          .join(' · ')}
      </p>
    </Asked>
  );
}

function Pressures({ run, protocol }: Omit<Props, 'seatsCm'>) {
  const { lane, press } = run;
  const stages = protocol.capture.kind === 'staged' ? protocol.capture.stages : [];
  const stage = stages[lane.now.nth];
  const [typed, setTyped] = useState({ systolic: '', diastolic: '' });
  const [asked, setAsked] = useState(false);
  const [systolic, diastolic] = [typed.systolic, typed.diastolic].map((t) => typedNumber(t, null));
  const fits =
    typeof systolic === 'number' &&
    typeof diastolic === 'number' &&
    systolic >= 60 &&
    systolic <= 260 &&
    diastolic >= 30 &&
    diastolic < systolic;
  if (!stage) return null;
  const standsUp = stage.afterS !== undefined && lane.now.sinceMs === null;
  const keep = () => {
    setAsked(!fits);
    if (!fits) return;
    press({ do: 'mark', mark: { kind: 'stage', id: stage.id, answer: systolic, second: diastolic } }, 'touch');
    setTyped({ systolic: '', diastolic: '' });
  };
  const box = (key: 'systolic' | 'diastolic', label: string) => (
    <label className="flex flex-col gap-1 text-lg font-semibold">
      {label}
      <TextBox
        size="big"
        num
        name={key}
        inputMode="numeric"
        className="w-36 text-center text-4xl!"
        value={typed[key]}
        aria-invalid={asked && !fits}
        onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
        onKeyDown={(event) => {
          if (event.key === 'Enter') keep();
        }}
      />
    </label>
  );
  return (
    <Asked
      picture={
        <div className="text-center">
          {lane.now.sinceMs === null ? (
            <span className="num block text-7xl font-bold">{stage.afterS === undefined ? 'seated' : 'up'}</span>
          ) : (
            <Running lane={lane} className="num block text-7xl font-bold" />
          )}
          <span className="text-xl">{stage.afterS === undefined ? 'after 5 minutes' : `read at ${stage.id}`}</span>
        </div>
      }
      words={
        stage.afterS === undefined ? 'Pressure seated' : standsUp ? 'Tap when they stand' : `Pressure at ${stage.id}`
      }
    >
      {standsUp ? (
        <Control main hotkey="Space" press={(t) => press({ do: 'tap' }, 'touch', t)}>
          They stand now
        </Control>
      ) : (
        <>
          <div className="flex gap-3">
            {box('systolic', 'Upper')}
            {box('diastolic', 'Lower')}
          </div>
          <p className="min-h-6 font-bold" role={asked && !fits ? 'alert' : undefined}>
            {asked && !fits ? 'Write both figures: upper 60 to 260, lower 30 and more, under the upper.' : ''}
          </p>
          <Control main hotkey="Enter" press={keep}>
            Keep this reading
          </Control>
        </>
      )}
    </Asked>
  );
}
