'use client';
import { clockMs } from '../../core/measure/phase';
import type { AttemptEvent } from '../../core/shapes/attempt';
import type { Protocol } from '../../core/shapes/protocol';
import { Button } from '../touch/button';
import type { KeptAttempt } from './bench/store';
import { useLane } from './bench/useLane';
import { Lane } from './lane';
import { Outcome } from './outcome';
import { Practice } from './practice';
import type { StationPerson } from './station';

interface Props {
  readonly kept: KeptAttempt;
  readonly earlier: readonly AttemptEvent[];
  /** Under the rules of the attempt. */
  readonly protocol: Protocol;
  readonly person: StationPerson | undefined;
  readonly emergencyNumber: string;
  readonly again: (person: StationPerson) => void;
  /** Opens the check of the day of somebody who sat down and says they are well again. */
  readonly checkAgain: (person: StationPerson) => void;
  readonly next: () => void;
}

/** One attempt from the practice to what came of it. */
export function AttemptRun({ kept, earlier, protocol, person, emergencyNumber, again, checkAgain, next }: Props) {
  const { lane, press } = useLane(kept, protocol, earlier);
  const { trial } = lane;
  if (lane.lost) return <RunElsewhere name={kept.personName} next={next} />;
  if (trial.state === 'waiting')
    return <Practice press={press} name={kept.personName} protocol={protocol} leave={next} />;
  if (trial.state === 'running' || trial.state === 'half-way-open')
    return (
      <Lane
        lane={lane}
        press={press}
        personId={kept.personId}
        name={kept.personName}
        bloodThinners={person?.record.intakes.at(-1)?.bloodThinners === true}
        protocol={protocol}
        row={person?.row ?? null}
      />
    );
  return (
    <Outcome
      trial={trial}
      durationS={(clockMs(protocol) ?? 0) / 1000}
      kept={kept}
      emergencyNumber={emergencyNumber}
      again={person && (() => again(person))}
      checkAgain={person && (() => checkAgain(person))}
      keeping={lane.keeping}
      next={next}
      reopen={() => press({ do: 'reopen' }, 'touch')}
    />
  );
}

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
