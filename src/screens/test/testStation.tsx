'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { toBeChecked, wellToday } from '../../core/intake/dayCheck';
import type { Known } from '../../core/intake/known';
import type { IsoDate } from '../../core/shapes/facts';
import type { Entry, EntryContent, PersonRecord } from '../../core/shapes/intake';
import type { Protocol } from '../../core/shapes/protocol';
import {
  keepAttempt,
  keepEntry,
  keepEvents,
  keptAttempts,
  keptEntries,
  newClientKey,
  type KeptAttempt,
  type KeptEntry,
} from './bench/store';
import type { FieldError } from '../../schemas/parse';
import { useRules } from '../frame/rules';
import { knownWith, mayStart, type MayStart } from '../../core/intake/mayStart';
import { thisRegister } from '../frame/thisRegister';
import { deviceDay } from '../touch/hallDay';
import { lanesAtOnce, mostLanes } from '../../core/measure/watchers';
import type { Helper } from '../../core/shapes/helper';
import { coreTests, protocolById, protocols } from '../../catalogue/protocols';
import { daySets } from '../../catalogue/testing-day/daySets';
import type { Board, boardAt } from '../../core/measure/day/board';
import { conditionsFor } from '../../core/measure/day/dayState';
import { guestOf } from '../../core/measure/day/guest';
import { triesToday } from '../../core/measure/day/sitting';
import { readTrial, ruledBy } from '../../core/measure/readTrial';
import type { DayStaff, DayTest } from '../../core/shapes/day';
import type { Run, RunNow } from './bench/useLanes';
import { ChoosePerson } from './choosePerson';
import { ChooseTest } from './chooseTest';
import type { DayBoard } from './day/dayBoard';
import { differing } from './day/differing';
import { useMine } from './day/useMine';
import { asDayAttempt, useTestingDay } from './day/useTestingDay';
import { DayCheck } from './dayCheck';
import type { Onward } from './outcome';
import { EmergencyNumber } from './emergencyNumber';
import { RoomCheck } from './roomCheck';
import type { RunGroup } from './runGroup';
import { thisPage } from './bench/pages';
import { SetUpScreen } from './setUp';
import { askHall, askRecord, rulesOf, sendAttempt, sendEntry, type DayNow } from './bench/sending';
import type { AtStation, SetUp, StationPerson } from './station';
import { takeUp } from './bench/takeUp';
import { nextUp } from './whoNext';

interface Props {
  readonly people: readonly StationPerson[];
  /** Tests whose figures the hall changed; the page has the others. */
  readonly ownNorms: readonly Protocol[];
  readonly today: IsoDate;
  /** Set when the day is pretended, for demonstrations and pictures. */
  readonly pretended: IsoDate | null;
  /** Empty while the hall has none: it is asked for before the first test. */
  readonly emergencyNumber: string;
  readonly saveNumber: (number: string) => Promise<{ kind: string; errors?: readonly FieldError[] }>;
  readonly firstTest: string | null;
  readonly firstPeople: readonly string[];
  /** A sitting was put together for today, and these are its people. */
  readonly sitting: boolean;
  /** Seats that the chairs and pads of the hall make, cm. */
  readonly seatsCm: readonly number[];
  readonly helpers: readonly Helper[];
  /** What was noted and measured today so far, tests with the seconds they take here, and who may stand at a station. */
  readonly dayNow: DayNow;
  readonly dayTests: readonly DayTest[];
  readonly staff: readonly DayStaff[];
}

/** What comes after the page shows, and before anybody may begin. */
interface Parts {
  readonly RunGroup: typeof RunGroup;
  readonly DayBoard: typeof DayBoard;
  readonly boardAt: typeof boardAt;
}

type Phase =
  | { readonly kind: 'looking' }
  /** Not all of the page came. */
  | { readonly kind: 'broken' }
  /** `beside`: those who sit there already. */
  | { readonly kind: 'choose'; readonly beside: readonly StationPerson[]; readonly byName?: true }
  /** The signs of the day are read to the whole room. */
  | { readonly kind: 'room' }
  | { readonly kind: 'set-up'; readonly people: readonly StationPerson[] }
  | { readonly kind: 'run'; readonly runs: readonly Run[] };

/**
 * A station day is one page: people, tests and norms came with it, moving between persons and tests is state, and
 * nothing here needs the server until a result is sent. Before each start the server is asked what other devices noted;
 * where it does not answer within a second, what this page knows decides.
 */
export function TestStation({
  people,
  ownNorms,
  today,
  pretended,
  emergencyNumber,
  saveNumber,
  firstTest,
  firstPeople,
  sitting,
  seatsCm,
  helpers,
  dayNow,
  dayTests,
  staff,
}: Props) {
  const testOf = useCallback(
    (id: string | null): Protocol => {
      const found = ownNorms.find((p) => p.id === id) ?? protocolById(id ?? '') ?? protocolById(coreTests[0] ?? '');
      if (!found) throw new RangeError('TestStation: the catalogue has no core test');
      return found;
    },
    [ownNorms],
  );
  const [phase, setPhase] = useState<Phase>({ kind: 'looking' });
  const [parts, setParts] = useState<Parts | null>(null);
  const [protocol, setProtocol] = useState(() => testOf(firstTest));
  const [day, newDay] = useHallDay(today, pretended, phase.kind === 'run');
  // What was noted at this station since the page came, what still waits in this browser, and what others noted.
  const [noted, setNoted] = useState<readonly Entry[]>([]);
  const [records, setRecords] = useState<ReadonlyMap<string, PersonRecord>>(new Map());
  // Who was at which test here, so that the next one is somebody else.
  const [had, setHad] = useState<ReadonlySet<string>>(new Set());
  // The chair and the floor stay where they are for the next person.
  const [kept, keep] = useState<AtStation>({ seatCm: null, shoes: null, warmUp: null });
  const [checkAgain, setCheckAgain] = useState<string | null>(null);
  const [asking, setAsking] = useState(false);
  const [number, setNumber] = useState(emergencyNumber);
  const rules = useRules();
  const testing = useTestingDay(dayNow, day);
  const { state: dayStands } = testing;
  const [mine, beAt] = useMine();
  const startOf = (person: StationPerson, record = records.get(person.id) ?? person.record, on = day): MayStart => {
    const answer = mayStart({ id: person.id, record }, protocol, on, noted, rules, dayStands.held);
    if (!answer) throw new RangeError(`TestStation: nothing is noted of ${person.id}`);
    return answer;
  };

  const guests = useMemo(
    () =>
      people.flatMap((person) => {
        const record = records.get(person.id) ?? person.record;
        const known = knownWith({ id: person.id, record }, day, noted, rules);
        return known ? [guestOf(person, known, protocols, rules, day, dayStands.held)] : [];
      }),
    [people, records, day, noted, rules, dayStands.held],
  );
  const board =
    testing.on && parts
      ? parts.boardAt(
          dayStands,
          { guests, results: testing.results, tests: dayTests, staff, sets: daySets },
          Math.max(testing.nowMs, dayStands.beganWallMs ?? 0),
        )
      : null;

  const go = useCallback((test: Protocol, seated: readonly StationPerson[], beside: readonly StationPerson[] = []) => {
    setCheckAgain(null);
    setProtocol(test);
    window.history.pushState(null, '', addressOf(test, seated));
    setPhase(seated.length > 0 ? { kind: 'set-up', people: seated } : { kind: 'choose', beside });
  }, []);
  const choose = (seated: readonly StationPerson[]) => go(protocol, seated);

  useEffect(() => {
    let live = true;
    // A browser that can keep nothing has nothing to take up either.
    const nothing = (error: unknown): never[] => {
      console.error('What this browser keeps cannot be read:', error);
      return [];
    };
    const open = async () => {
      const attempts = await keptAttempts().catch(nothing);
      // A test that was cut off waits for nothing; and it is taken up only when it can go on at once.
      if (attempts.every((a) => a.closed)) await pageShown();
      const [{ RunGroup }, { DayBoard }, { boardAt }] = await Promise.all([
        import('./runGroup'),
        import('./day/dayBoard'),
        import('../../core/measure/day/board'),
      ]);
      const waiting = await keptEntries().catch(nothing);
      return { parts: { RunGroup, DayBoard, boardAt }, waiting, found: await takeUp(attempts).catch(nothing) };
    };
    void open().then(
      ({ parts: came, waiting, found }) => {
        if (!live) return;
        setParts(came);
        setNoted(waiting.filter((e) => !e.open).map(toEntry));
        const [run] = found;
        const first = inOrder(people, firstPeople);
        if (run) setProtocol(testOf(run.kept.test));
        setPhase(
          run
            ? { kind: 'run', runs: found }
            : first.length > 0
              ? { kind: 'set-up', people: first }
              : { kind: 'choose', beside: [] },
        );
      },
      (error: unknown) => {
        console.error('A part of the page did not come:', error);
        if (live) setPhase({ kind: 'broken' });
      },
    );
    return () => {
      live = false;
    };
  }, [people, firstPeople, testOf]);

  useEffect(() => {
    const back = () => {
      const said = new URLSearchParams(window.location.search);
      const ids = said.getAll('person');
      const seated = inOrder(people, ids);
      setPhase((now) => {
        if (now.kind === 'run') return now;
        setProtocol(testOf(said.get('test')));
        return seated.length > 0 ? { kind: 'set-up', people: seated } : { kind: 'choose', beside: [] };
      });
    };
    window.addEventListener('popstate', back);
    return () => {
      window.removeEventListener('popstate', back);
    };
  }, [people, testOf]);

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
    setCheckAgain(null);
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

  const start = async (setUps: readonly SetUp[], here: AtStation) => {
    if (asking) return;
    keep(here);
    for (const put of differing(setUps, dayStands)) testing.note(put);
    setAsking(true);
    const asked = await Promise.all(setUps.map(({ person }) => latest(person)));
    setAsking(false);
    // What came to light is drawn with the next paint: held, or the check of a new day.
    const all = (a: MayStart, setUp: SetUp | undefined) =>
      a.may || (a.closedBy.length > 0 && a.known.dayCheck !== null && setUp?.conditions.despite !== undefined);
    if (!asked.every((a, i) => all(a, setUps[i]))) return;
    const on = asked[0]?.on ?? day;
    await begin(setUps.flatMap((setUp, lane) => attemptsOf(setUp, lane, protocol, on)));
  };
  const begin = async (runs: readonly Run[]) => {
    for (const { kept } of runs)
      await keepAttempt(kept).catch((error: unknown) => console.error('Not kept here, only sent:', error));
    setHad((now) => new Set([...now, ...runs.map(({ kept }) => placeOf(kept.test, kept.personId))]));
    setPhase({ kind: 'run', runs });
  };

  /** Not tried is a result, kept and sent as one that was timed. */
  const decline = async (person: StationPerson, test: Protocol, why: string) => {
    const sides = test.sides === 'both' ? (['L', 'R'] as const) : ([null] as const);
    for (const side of sides) {
      const setUp = { person, conditions: {}, side, although: null, watchedBy: null, device: null };
      const [run] = attemptsOf(setUp, 0, { ...test, sides: 'none' }, day);
      if (!run) continue;
      const wallMs = Date.now();
      const stamp = { atMs: 0, wallMs, by: 'hand' } as const;
      const events = [
        { ...stamp, seq: 0, kind: 'note', text: why === '' ? 'not said' : why },
        { ...stamp, seq: 1, kind: 'entered', value: null, handsUsed: false, outcome: 'not-tried' },
      ] as const;
      const kept = { ...run.kept, side, closed: true };
      testing.measured([asDayAttempt(kept, events, readTrial(test, events))]);
      await keepAttempt(kept).catch((error: unknown) => console.error('Not kept here, only sent:', error));
      await keepEvents(kept.clientKey, events).catch((error: unknown) => console.error('Not kept here:', error));
      await sendAttempt(kept, { events });
    }
  };
  const { measured: tellDay } = testing;
  const measured = useCallback(
    (of: readonly RunNow[]) => tellDay(of.map(({ kept, lane }) => asDayAttempt(kept, lane.events, lane.trial))),
    [tellDay],
  );
  /** The rest of the call these people are at; else the board, where the next ones are called. */
  const onwardOf = ({ stations }: Board, runs: readonly Run[]): Onward => {
    const ids = new Set(runs.map(({ kept }) => kept.personId));
    const call = stations.find((s) => s.now?.people.some((id) => ids.has(id)))?.now;
    const [rest] = call?.open ?? [];
    const who = people.filter((p) => call?.people.includes(p.id));
    if (rest !== undefined && who.length > 0)
      return {
        words: `${testOf(rest).short}, ${who.map((p) => p.name).join(', ')}`,
        go: () => go(testOf(rest), who),
        main: true,
      };
    return { words: 'the board', go: () => choose([]), main: true };
  };

  /** A room is who sits together today. */
  const unchecked = () =>
    sitting
      ? people
          .map((person) => ({ person, ...startOf(person) }))
          .filter(({ held, known }) => held === null && known.dayCheck === null)
      : [];
  if (number === '' && (phase.kind === 'choose' || phase.kind === 'set-up' || phase.kind === 'room'))
    return <EmergencyNumber save={saveNumber} saved={setNumber} />;
  switch (phase.kind) {
    case 'looking':
      return (
        <div data-looking className="py-5">
          <h1 className="text-2xl font-extrabold">Test</h1>
          <p className="py-5">Looking for a test that was cut off …</p>
        </div>
      );
    case 'broken':
      return (
        <div className="py-5">
          <h1 className="text-2xl font-extrabold">Test</h1>
          <p role="alert" className="py-5 text-lg font-bold">
            A part of this page did not come from the server. Nothing is lost; load the page again.
          </p>
        </div>
      );
    case 'room':
      return (
        <RoomCheck
          people={unchecked()}
          save={(well) => {
            setPhase({ kind: 'choose', beside: [] });
            void (async () => {
              for (const person of well) await note(person, [wellToday]);
            })();
          }}
          back={() => setPhase({ kind: 'choose', beside: [] })}
          warmUp={dayStands.hall.warmUp ?? kept.warmUp}
          sayWarm={(warmUp) => {
            keep((now) => ({ ...now, warmUp }));
            if (testing.on) testing.note({ kind: 'conditions', put: { warmUp } });
          }}
        />
      );
    case 'choose': {
      const { beside, byName } = phase;
      if (board && parts && beside.length === 0 && byName !== true)
        return (
          <parts.DayBoard
            day={testing}
            board={board}
            people={people}
            staff={staff}
            helpers={helpers}
            mine={board.stations.some((s) => s.staff === mine) ? mine : (board.stations[0]?.staff ?? mine)}
            beAt={beAt}
            test={(id, who) => go(testOf(id), who)}
            decline={(person, test, why) => void decline(person, testOf(test), why)}
            byName={() => setPhase({ kind: 'choose', beside: [], byName: true })}
            readOut={unchecked().length > 1 ? () => setPhase({ kind: 'room' }) : null}
          />
        );
      return (
        <ChoosePerson
          people={people}
          holds={(person) => startOf(person).held}
          sitting={sitting}
          beside={beside}
          readOut={beside.length === 0 && unchecked().length > 1 ? () => setPhase({ kind: 'room' }) : null}
          toBoard={board ? () => setPhase({ kind: 'choose', beside: [] }) : null}
          pickTest={beside.length === 0 && <ChooseTest protocol={protocol} choose={(test) => go(test, [])} />}
          search={(id) => addressOf(protocol, [...beside, { id }])}
          choose={(person) => choose([...beside, person])}
        />
      );
    }
    case 'set-up': {
      const seated = phase.people.map((person) => ({ person, ...startOf(person) }));
      const toCheck = seated.find(
        ({ person, known, held }) => (!held && toBeChecked(known, day)) || checkAgain === person.id,
      );
      if (toCheck)
        return (
          <DayCheck
            key={`${toCheck.person.id} ${day}`}
            name={toCheck.person.name}
            known={toCheck.known}
            today={day}
            first={firstReading(toCheck.known)}
            save={(contents) => void note(toCheck.person, contents)}
            back={() => choose([])}
          />
        );
      const others = seated.length < lanesAtOnce(protocol.station, helpers);
      return (
        <SetUpScreen
          key={seated.map((s) => s.person.id).join(' ')}
          seated={seated}
          asking={asking}
          checkAgain={(person) => setCheckAgain(person.id)}
          takeBack={(person, contents) => void note(person, contents)}
          protocol={protocol}
          helpers={helpers}
          emergencyNumber={number}
          kept={kept}
          conditions={(person) => conditionsFor(dayStands, person.id)}
          tries={triesToday(protocol.id, dayStands, daySets.drops)}
          start={(setUps, here) => void start(setUps, here)}
          back={() => choose([])}
          beside={others ? () => setPhase({ kind: 'choose', beside: phase.people }) : null}
          without={(person) => choose(phase.people.filter((p) => p !== person))}
        />
      );
    }
    case 'run': {
      const { runs } = phase;
      const [first] = runs;
      if (!first || !parts) throw new RangeError('TestStation: nothing runs');
      const lanes = new Set(runs.map((r) => r.kept.lane));
      const hadThis = new Set(people.flatMap((p) => (had.has(placeOf(first.kept.test, p.id)) ? [p.id] : [])));
      for (const { kept } of runs) hadThis.add(kept.personId);
      const following = nextUp(people, (p) => startOf(p).held !== null, hadThis, lanes.size);
      const onward: Onward | null = board
        ? onwardOf(board, runs)
        : following.length > 0
          ? { words: following.map((p) => p.name).join(', '), go: () => choose(following) }
          : null;
      return (
        <parts.RunGroup
          key={runs.map((r) => r.kept.clientKey).join(' ')}
          runs={runs}
          protocol={rulesIn(protocol, first.kept) ?? protocol}
          people={people}
          seatsCm={seatsCm}
          emergencyNumber={number}
          again={(who) => choose(who)}
          checkAgain={(person) => {
            setPhase({ kind: 'set-up', people: [person] });
            setCheckAgain(person.id);
          }}
          next={() => choose([])}
          onward={onward}
          measured={measured}
          swap={lanes.size === 2 && runs.length === 2 ? () => void begin(swapped(runs)) : null}
        />
      );
    }
  }
}

/** Once the browser has shown what came first. */
const pageShown = (): Promise<void> =>
  document.readyState === 'complete'
    ? Promise.resolve()
    : new Promise((shown) => window.addEventListener('load', () => shown(), { once: true }));

const placeOf = (test: string, personId: string): string => `${test} ${personId}`;

/** People as they were asked for, from left to right. */
const inOrder = (people: readonly StationPerson[], ids: readonly string[]): StationPerson[] =>
  ids.flatMap((id) => people.find((p) => p.id === id) ?? []).slice(0, mostLanes);

/** Where the station is to be found with these people at this test. */
const addressOf = (test: Protocol, seated: readonly { readonly id: string }[]): string =>
  `/test?${new URLSearchParams([
    ...(test.id === coreTests[0] ? [] : [['test', test.id]]),
    ...seated.map((p) => ['person', p.id]),
  ]).toString()}`.replace(/\?$/, '');

/** The test as the hall has it, under the rules its attempt was begun with. */
const rulesIn = (test: Protocol, kept: KeptAttempt): Protocol | undefined =>
  test.id === kept.test ? ruledBy(test, kept.protocolVersion) : rulesOf(kept);

/** What is begun for somebody: one attempt, or one a side. */
function attemptsOf(
  { person, conditions, side, although, watchedBy, device }: SetUp,
  lane: number,
  test: Protocol,
  on: IsoDate,
): Run[] {
  const wallMs = performance.timeOrigin + performance.now();
  const sides = test.sides === 'both' ? (['L', 'R'] as const) : [side];
  return sides.map((of): Run => {
    const kept: KeptAttempt = {
      clientKey: newClientKey(),
      page: thisPage,
      register: thisRegister(),
      personId: person.id,
      personName: person.name,
      lane,
      test: test.id,
      protocolVersion: test.version,
      sittingDate: on,
      side: of,
      conditions,
      although,
      watchedBy,
      device,
      goWallMs: null,
      beatWallMs: wallMs,
      stopAskedWallMs: null,
      closed: false,
      acknowledged: 0,
      refused: null,
    };
    return { kept, events: [] };
  });
}

/** The same two the other way round, as attempts of their own: nothing was measured of these. */
const swapped = (runs: readonly Run[]): Run[] =>
  [...runs].reverse().map(({ kept }, lane) => ({ kept: { ...kept, clientKey: newClientKey(), lane }, events: [] }));

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
