'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { CountRule } from '../../core/measure/countTrial';
import type { AttemptEvent } from '../../core/shapes/attempt';
import type { IsoDate } from '../../core/shapes/facts';
import type { Protocol } from '../../core/shapes/protocol';
import { keepAttempt, keptAttempts, newClientKey, type KeptAttempt } from './attemptStore';
import { AttemptRun } from './attemptRun';
import { ChoosePerson } from './choosePerson';
import { SetUpScreen } from './setUp';
import type { SetUp, StationPerson } from './station';
import { takeUp, thisTab } from './useAttempt';

interface Props {
  readonly people: readonly StationPerson[];
  readonly protocol: Protocol;
  readonly today: IsoDate;
  readonly emergencyNumber: string;
  readonly firstPersonId: string | null;
}

type Phase =
  | { readonly kind: 'looking' }
  | { readonly kind: 'choose' }
  | { readonly kind: 'set-up'; readonly person: StationPerson }
  | { readonly kind: 'run'; readonly kept: KeptAttempt; readonly events: readonly AttemptEvent[] };

/**
 * A station day is one page: people, protocol and norms came with it, moving between persons is state, and nothing
 * here needs the server until a result is sent.
 */
export function TestStation({ people, protocol, today, emergencyNumber, firstPersonId }: Props) {
  const [phase, setPhase] = useState<Phase>({ kind: 'looking' });
  const rule = useMemo(() => ruleOf(protocol), [protocol]);

  const choose = useCallback(
    (person: StationPerson | null) => {
      window.history.pushState(null, '', person ? `/test?person=${person.id}` : '/test');
      setPhase(person ? { kind: 'set-up', person } : { kind: 'choose' });
    },
    [setPhase],
  );

  useEffect(() => {
    let live = true;
    void keptAttempts()
      .then(takeUp)
      .then((found) => {
        if (!live) return;
        const first = people.find((p) => p.id === firstPersonId);
        setPhase(found ? { kind: 'run', ...found } : first ? { kind: 'set-up', person: first } : { kind: 'choose' });
      });
    return () => {
      live = false;
    };
  }, [people, firstPersonId]);

  useEffect(() => {
    const back = () => {
      const id = new URLSearchParams(window.location.search).get('person');
      const person = people.find((p) => p.id === id);
      setPhase((now) => (now.kind === 'run' ? now : person ? { kind: 'set-up', person } : { kind: 'choose' }));
    };
    window.addEventListener('popstate', back);
    return () => {
      window.removeEventListener('popstate', back);
    };
  }, [people]);

  const start = async ({ person, conditions }: SetUp) => {
    const kept: KeptAttempt = {
      clientKey: newClientKey(),
      tab: thisTab(),
      personId: person.id,
      personName: person.name,
      test: protocol.id,
      protocolVersion: protocol.version,
      sittingDate: today,
      side: null,
      conditions,
      goWallMs: null,
      beatWallMs: performance.timeOrigin + performance.now(),
      closed: false,
      acknowledged: 0,
      refused: null,
    };
    await keepAttempt(kept);
    setPhase({ kind: 'run', kept, events: [] });
  };

  switch (phase.kind) {
    case 'looking':
      return <p className="py-10">Looking for a test that was cut off …</p>;
    case 'choose':
      return <ChoosePerson people={people} choose={choose} />;
    case 'set-up':
      return (
        <SetUpScreen
          key={phase.person.id}
          person={phase.person}
          protocol={protocol}
          emergencyNumber={emergencyNumber}
          start={(setUp) => void start(setUp)}
          back={() => {
            choose(null);
          }}
        />
      );
    case 'run':
      return (
        <AttemptRun
          key={phase.kept.clientKey}
          kept={phase.kept}
          earlier={phase.events}
          rule={rule}
          protocol={protocol}
          person={people.find((p) => p.id === phase.kept.personId)}
          emergencyNumber={emergencyNumber}
          again={(person) => {
            setPhase({ kind: 'set-up', person });
          }}
          next={() => {
            choose(null);
          }}
        />
      );
  }
}

function ruleOf(protocol: Protocol): CountRule {
  if (protocol.capture.kind !== 'count') throw new RangeError(`TestStation: ${protocol.id} is not counted`);
  return { durationS: protocol.capture.durationS, handsMakeZero: protocol.handsMakeZero === true };
}
