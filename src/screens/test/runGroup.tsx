'use client';
import { useEffect, useRef, useState } from 'react';
import { countsFor } from '../../core/measure/phase';
import { seenIn } from '../../core/measure/trial';
import type { Protocol } from '../../core/shapes/protocol';
import { Button } from '../touch/button';
import { useAwake } from './awake';
import { forgetAttempt } from './bench/store';
import { useLanes, type Run, type RunNow } from './bench/useLanes';
import { useDeviceReps } from './devices/useDevices';
import { useFaces, type FaceNow } from './face/channel';
import { asLanes, laneLetters, type LaneNow } from './lanes';
import { Outcome, type Onward } from './outcome';
import { Practice } from './practice';
import { RunScreen } from './runScreen';
import { useNotes } from './useNotes';
import type { StationPerson } from './station';

interface Props {
  readonly runs: readonly Run[];
  /** Under the rules of the attempts. */
  readonly protocol: Protocol;
  readonly people: readonly StationPerson[];
  readonly seatsCm: readonly number[];
  readonly emergencyNumber: string;
  readonly again: (people: readonly StationPerson[]) => void;
  /** Opens the check of the day of somebody who sat down and says they are well again. */
  readonly checkAgain: (person: StationPerson) => void;
  readonly next: () => void;
  /** The one next thing after it, in words; `null` where somebody is to be chosen. */
  readonly onward: Onward | null;
  /** Told once everybody is through. */
  readonly measured: (runs: readonly RunNow[]) => void;
  /** Begins the same anew with the two the other way round; nothing was measured yet. */
  readonly swap: (() => void) | null;
}

/** Everybody who is tested together, from the practice to what came of it. */
export function RunGroup({
  runs,
  protocol,
  people,
  seatsCm,
  emergencyNumber,
  again,
  checkAgain,
  next,
  onward,
  measured,
  swap,
}: Props) {
  const now = useLanes(runs, protocol);
  const [picked, pick] = useState<ReadonlyMap<number, number>>(new Map());
  const lanes = asLanes(now, people, picked);
  const devices = useDeviceReps(now);
  useNotes(now, devices);
  const awake = useAwake();
  useFaces(faceOf(lanes, protocol));
  const over = lanes.every((l) => l.over);
  const told = useRef(false);
  useEffect(() => {
    if (over && !told.current) measured(now);
    told.current = over;
  }, [over, measured, now]);
  const lost = now.find((r) => r.lane.lost);
  if (lost) return <RunElsewhere name={lost.kept.personName} next={next} />;
  const leave = () => {
    // Nothing was measured: there is nothing to keep.
    for (const { kept, lane } of now)
      if (lane.trial.state === 'waiting')
        void forgetAttempt(kept.clientKey).catch((error: unknown) => console.error('Not forgotten here:', error));
    next();
  };
  const practises = countsFor(protocol.capture) !== null;
  if (practises && lanes.every((l) => l.active.lane.trial.state === 'waiting'))
    return <Practice lanes={lanes} protocol={protocol} leave={leave} swap={swap} sleeps={awake === false} />;
  if (!over)
    return (
      <RunScreen
        lanes={lanes}
        protocol={protocol}
        seatsCm={seatsCm}
        devices={devices}
        pickSide={(lane, side) => pick((before) => new Map(before).set(lane, side))}
        leave={leave}
        sleeps={awake === false}
      />
    );
  return (
    <Outcome
      lanes={lanes}
      protocol={protocol}
      emergencyNumber={emergencyNumber}
      again={again}
      checkAgain={checkAgain}
      next={next}
      onward={onward}
    />
  );
}

/** What those who are tested may see: the result only when it is over. */
const faceOf = (lanes: readonly LaneNow[], protocol: Protocol): FaceNow => ({
  kind: 'test',
  title: protocol.title,
  lanes: lanes.map(({ place, short, active, over, runs }) => {
    const { goMs, now } = active.lane;
    const starts =
      goMs === null || now.sinceMs === null ? null : Math.round(performance.timeOrigin + goMs + now.sinceMs);
    const results = runs.flatMap(({ lane }) => (lane.trial.state === 'finished' ? (seenIn(lane.trial) ?? []) : []));
    return {
      letter: lanes.length > 1 ? (laneLetters[place] ?? null) : null,
      name: short,
      goWallMs: over ? null : starts,
      durationS: countsFor(protocol.capture),
      result: over ? (results.length > 0 ? results.join(' · ') : 'done') : null,
    };
  }),
});

/** Two pages of one browser on one test: the newer one counts, this one says so and counts nothing. */
function RunElsewhere({ name, next }: { name: string; next: () => void }) {
  return (
    <div className="mt-6 border-l-8 border-watch bg-board p-5" role="alert">
      <p className="text-xl font-bold">The test of {name} runs on another page of this browser now.</p>
      <p className="mt-2 text-lg">What was counted here is in it. Nothing more is counted on this page.</p>
      <Button className="mt-4" onClick={next}>
        To the people
      </Button>
    </div>
  );
}
