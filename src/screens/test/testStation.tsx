'use client';
import { useCallback, useEffect, useState } from 'react';
import type { Known } from '../../core/intake/known';
import type { AttemptEvent } from '../../core/shapes/attempt';
import type { IsoDate } from '../../core/shapes/facts';
import type { Entry, EntryContent, PersonRecord } from '../../core/shapes/intake';
import type { Protocol } from '../../core/shapes/protocol';
import {
  keepAttempt,
  keepEntry,
  keptAttempts,
  keptEntries,
  newClientKey,
  type KeptAttempt,
  type KeptEntry,
} from './bench/store';
import type { FieldError } from '../../schemas/parse';
import { useRules } from '../frame/rules';
import { mayStart, type MayStart } from '../../core/intake/mayStart';
import { thisRegister } from '../frame/thisRegister';
import { deviceDay } from '../touch/hallDay';
import { AttemptRun } from './attemptRun';
import { ChoosePerson } from './choosePerson';
import { DayCheck } from './dayCheck';
import { EmergencyNumber } from './emergencyNumber';
import { thisPage } from './bench/pages';
import { SetUpScreen } from './setUp';
import { askHall, askRecord, rulesOf, sendEntry } from './bench/sending';
import type { SetUp, StationPerson } from './station';
import { takeUp } from './bench/takeUp';

interface Props {
  readonly people: readonly StationPerson[];
  readonly protocol: Protocol;
  readonly today: IsoDate;
  /** Set when the day is pretended, for demonstrations and pictures. */
  readonly pretended: IsoDate | null;
  /** Empty while the hall has none: it is asked for before the first test. */
  readonly emergencyNumber: string;
  readonly saveNumber: (number: string) => Promise<{ kind: string; errors?: readonly FieldError[] }>;
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
 * here needs the server until a result is sent. Before each start the server is asked what other devices noted; where
 * it does not answer within a second, what this page knows decides.
 */
export function TestStation({
  people,
  protocol,
  today,
  pretended,
  emergencyNumber,
  saveNumber,
  firstPersonId,
  sitting,
}: Props) {
  const [phase, setPhase] = useState<Phase>({ kind: 'looking' });
  const [day, newDay] = useHallDay(today, pretended, phase.kind === 'run');
  // What was noted at this station since the page came, what still waits in this browser, and what others noted.
  const [noted, setNoted] = useState<readonly Entry[]>([]);
  const [records, setRecords] = useState<ReadonlyMap<string, PersonRecord>>(new Map());
  const [checkAgain, setCheckAgain] = useState(false);
  const [asking, setAsking] = useState(false);
  const [number, setNumber] = useState(emergencyNumber);
  const rules = useRules();
  const startOf = (person: StationPerson, record = records.get(person.id) ?? person.record, on = day): MayStart => {
    const answer = mayStart({ id: person.id, record }, protocol, on, noted, rules);
    if (!answer) throw new RangeError(`TestStation: nothing is noted of ${person.id}`);
    return answer;
  };

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
    // A browser that can keep nothing has nothing to take up either.
    const nothing = (error: unknown): never[] => {
      console.error('What this browser keeps cannot be read:', error);
      return [];
    };
    void Promise.all([
      keptAttempts()
        .then(takeUp)
        .catch((error: unknown) => {
          nothing(error);
          return null;
        }),
      keptEntries().catch(nothing),
    ]).then(([found, waiting]) => {
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
      on: day,
      content,
      register: thisRegister(),
      open: false,
      refused: null,
    }));
    setNoted((now) => [...now, ...kept.map(toEntry)]);
    setCheckAgain(false);
    for (const entry of kept)
      await keepEntry(entry).catch((error: unknown) => console.error('Not kept here, only sent:', error));
    for (const entry of kept) await sendEntry(entry);
  };

  /** What other devices noted, and the day there; what this page knows where nobody answers. */
  const latest = async (person: StationPerson): Promise<MayStart & { readonly on: IsoDate }> => {
    const said = await askRecord(person.id);
    const theirs = said?.registerId === thisRegister() ? said : null;
    if (theirs) setRecords((now) => new Map(now).set(person.id, theirs.record));
    const on = newDay(theirs?.today ?? null);
    const record = theirs?.record ?? records.get(person.id) ?? person.record;
    return { ...startOf(person, record, on), on };
  };

  const start = async ({ person, conditions }: SetUp) => {
    if (asking) return;
    setAsking(true);
    const { may, on } = await latest(person);
    setAsking(false);
    // What came to light is drawn with the next paint: held, or the check of a new day.
    if (!may) return;
    const kept: KeptAttempt = {
      clientKey: newClientKey(),
      page: thisPage,
      register: thisRegister(),
      personId: person.id,
      personName: person.name,
      test: protocol.id,
      protocolVersion: protocol.version,
      sittingDate: on,
      side: null,
      conditions,
      goWallMs: null,
      beatWallMs: performance.timeOrigin + performance.now(),
      closed: false,
      acknowledged: 0,
      refused: null,
    };
    await keepAttempt(kept).catch((error: unknown) => console.error('Not kept here, only sent:', error));
    setPhase({ kind: 'run', kept, events: [] });
  };

  if (number === '' && phase.kind !== 'run' && phase.kind !== 'looking')
    return <EmergencyNumber save={saveNumber} saved={setNumber} />;
  switch (phase.kind) {
    case 'looking':
      return <p className="py-10">Looking for a test that was cut off …</p>;
    case 'choose':
      return (
        <ChoosePerson people={people} holds={(person) => startOf(person).held} sitting={sitting} choose={choose} />
      );
    case 'set-up': {
      const { person } = phase;
      const { known, held } = startOf(person);
      if ((!held && known.dayCheck === null) || checkAgain)
        return (
          <DayCheck
            key={`${person.id} ${day}`}
            name={person.name}
            known={known}
            first={firstReading(known)}
            save={(contents) => void note(person, contents)}
            back={() => choose(null)}
          />
        );
      return (
        <SetUpScreen
          key={person.id}
          person={person}
          known={known}
          held={held}
          asking={asking}
          checkAgain={known.dayCheck === null ? null : () => setCheckAgain(true)}
          protocol={protocol}
          emergencyNumber={number}
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
          protocol={rulesOf(phase.kept) ?? protocol}
          person={people.find((p) => p.id === phase.kept.personId)}
          emergencyNumber={number}
          again={(person) => {
            setPhase({ kind: 'set-up', person });
          }}
          checkAgain={(person) => {
            setCheckAgain(true);
            setPhase({ kind: 'set-up', person });
          }}
          next={() => {
            choose(null);
          }}
        />
      );
  }
}

/**
 * The day of the hall for a page that may stay open overnight: asked on waking and on looking back at it, told by the
 * server where it answers, else by the clock of this device.
 * @returns the day, and how to set it from an answer (or none) that came otherwise
 */
function useHallDay(
  today: IsoDate,
  pretended: IsoDate | null,
  busy: boolean,
): [IsoDate, (said: IsoDate | null) => IsoDate] {
  const [day, setDay] = useState(today);
  const put = useCallback(
    (said: IsoDate | null): IsoDate => {
      const on = said ?? pretended ?? deviceDay();
      setDay(on);
      return on;
    },
    [pretended],
  );
  useEffect(() => {
    const look = async () => {
      if (document.visibilityState === 'hidden' || busy) return;
      const hall = await askHall();
      const ours = hall?.registerId === thisRegister() ? hall : null;
      const on = put(ours?.today ?? null);
      // With the server there, the people of the new day come with a new page.
      if (on !== today && ours) window.location.reload();
    };
    const onLook = () => void look();
    document.addEventListener('visibilitychange', onLook);
    window.addEventListener('focus', onLook);
    return () => {
      document.removeEventListener('visibilitychange', onLook);
      window.removeEventListener('focus', onLook);
    };
  }, [busy, put, today]);
  return [day, put];
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
