'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Known } from '../../core/intake/known';
import type { CountRule } from '../../core/measure/countTrial';
import type { AttemptEvent } from '../../core/shapes/attempt';
import type { IsoDate } from '../../core/shapes/facts';
import type { Entry, EntryContent } from '../../core/shapes/intake';
import type { Protocol } from '../../core/shapes/protocol';
import {
  keepAttempt,
  keepEntry,
  keptAttempts,
  keptEntries,
  newClientKey,
  type KeptAttempt,
  type KeptEntry,
} from './attemptStore';
import { AttemptRun } from './attemptRun';
import { ChoosePerson } from './choosePerson';
import { DayCheck } from './dayCheck';
import { SetUpScreen } from './setUp';
import { sendEntry } from './sending';
import { heldBecause, knownHere, type SetUp, type StationPerson } from './station';
import { takeUp, thisTab } from './useAttempt';

interface Props {
  readonly people: readonly StationPerson[];
  readonly protocol: Protocol;
  readonly today: IsoDate;
  readonly emergencyNumber: string;
  readonly firstPersonId: string | null;
  /** A sitting was put together for today, and these are its people. */
  readonly sitting: boolean;
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
export function TestStation({ people, protocol, today, emergencyNumber, firstPersonId, sitting }: Props) {
  const [phase, setPhase] = useState<Phase>({ kind: 'looking' });
  // What was noted at this station since the page came, and what still waits in this browser.
  const [noted, setNoted] = useState<readonly Entry[]>([]);
  const [checkAgain, setCheckAgain] = useState(false);
  const rule = useMemo(() => ruleOf(protocol), [protocol]);

  const choose = useCallback(
    (person: StationPerson | null) => {
      setCheckAgain(false);
      window.history.pushState(null, '', person ? `/test?person=${person.id}` : '/test');
      setPhase(person ? { kind: 'set-up', person } : { kind: 'choose' });
    },
    [setPhase],
  );

  useEffect(() => {
    let live = true;
    void Promise.all([keptAttempts().then(takeUp), keptEntries()]).then(([found, waiting]) => {
      if (!live) return;
      setNoted(waiting.filter((e) => !e.open).map(toEntry));
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

  const note = async (person: StationPerson, contents: readonly EntryContent[]) => {
    const kept = contents.map((content): KeptEntry => ({
      key: newClientKey(),
      personId: person.id,
      personName: person.name,
      on: today,
      content,
      open: false,
      refused: null,
    }));
    for (const entry of kept) await keepEntry(entry);
    setNoted((now) => [...now, ...kept.map(toEntry)]);
    setCheckAgain(false);
    for (const entry of kept) await sendEntry(entry);
  };

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
      return (
        <ChoosePerson
          people={people}
          known={(person) => knownHere(person, noted, today)}
          protocol={protocol}
          sitting={sitting}
          choose={choose}
        />
      );
    case 'set-up': {
      const { person } = phase;
      const known = knownHere(person, noted, today);
      const held = heldBecause(known, protocol);
      if ((!held && known.dayCheck === null) || checkAgain)
        return (
          <DayCheck
            key={person.id}
            name={person.name}
            known={known}
            first={firstReading(known)}
            save={(contents) => void note(person, contents)}
            back={() => choose(null)}
          />
        );
      return (
        <SetUpScreen
          key={phase.person.id}
          person={phase.person}
          known={known}
          held={held}
          checkAgain={known.dayCheck === null ? null : () => setCheckAgain(true)}
          protocol={protocol}
          emergencyNumber={emergencyNumber}
          start={(setUp) => void start(setUp)}
          back={() => {
            choose(null);
          }}
        />
      );
    }
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

/** What was just noted here, stamped so that it comes after all that the page brought along. */
function toEntry({ key, personId, on, content }: KeptEntry): Entry {
  return { id: key, personId, on, savedAt: new Date().toISOString(), content };
}

/** A first high reading that waits for its second. */
function firstReading({ dayCheck }: Known) {
  const pressure = dayCheck?.content.pressures.length === 1 ? dayCheck.content.pressures[0] : undefined;
  return dayCheck && pressure ? { pressure, atMs: Date.parse(dayCheck.savedAt) } : null;
}

function ruleOf(protocol: Protocol): CountRule {
  if (protocol.capture.kind !== 'count') throw new RangeError(`TestStation: ${protocol.id} is not counted`);
  return { durationS: protocol.capture.durationS, handsMakeZero: protocol.handsMakeZero === true };
}
