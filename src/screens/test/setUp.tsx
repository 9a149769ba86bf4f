'use client';
import { useState } from 'react';
import type { Protocol } from '../../core/shapes/protocol';
import { walkingAids, type Side, type WalkingAid } from '../../core/shapes/facts';
import { cautions } from '../../catalogue/cautions/cautions';
import { HazardMark } from '../drawing/hazardMark';
import { StateMark } from '../drawing/stateMark';
import { stepHeightCm } from '../../core/intake/cupboard';
import { lengthFigure, sentenceIn, unitsOf } from '../../core/math/units';
import { useRules } from '../frame/rules';
import { useUnits } from '../frame/units';
import { useKeys } from '../frame/keys';
import { Button, ButtonLink } from '../touch/button';
import { FootBar } from '../touch/footBar';
import { Step, useSettled } from '../touch/step';
import { aidWords, deviceName } from '../words';
import { seatSwitchCm } from '../../core/shapes/device';
import { useDevices } from './devices/useDevices';
import { mayWatch, watchedTogether } from '../../core/measure/watchers';
import type { Helper } from '../../core/shapes/helper';
import { ownLaneReasons } from '../../core/intake/ownLane';
import type { Known } from '../../core/intake/known';
import type { Held } from '../../core/intake/mayStart';
import { checksThatStay } from '../../core/intake/readiness';
import { isOffNorm } from '../../core/measure/offNorm';
import type { DayConditions } from '../../core/shapes/day';
import type { EntryContent } from '../../core/shapes/intake';
import { laneLetters } from './lanes';
import type { AtStation, SetUp, StationPerson } from './station';
import { StationPlan } from '../drawing/stationPlan';
import { Choice, TextBox } from '../touch/field';
import { MeasureField } from '../touch/measureField';

/** Somebody about to be tested, and what is known of them. */
export interface Seated {
  readonly person: StationPerson;
  readonly known: Known;
  readonly held: Held | null;
  /** The limiters that hold them, and nothing else. */
  readonly closedBy: readonly string[];
}

interface Props {
  readonly seated: readonly Seated[];
  /** Whether other devices are being asked what they noted. */
  readonly asking: boolean;
  /** Opens the check of the day of somebody once more. */
  readonly checkAgain: (person: StationPerson) => void;
  /** Takes back what was noted of somebody by mistake. */
  readonly takeBack: (person: StationPerson, contents: readonly EntryContent[]) => void;
  readonly protocol: Protocol;
  readonly helpers: readonly Helper[];
  readonly emergencyNumber: string;
  /** From the person before at this station. */
  readonly kept: AtStation;
  /** How somebody is tested on a day that was planned; empty on any other. */
  readonly conditions: (person: StationPerson) => DayConditions;
  /** Fewer tries than usual, in a sentence. */
  readonly tries: string | null;
  readonly start: (setUps: readonly SetUp[], here: AtStation) => void;
  /** Chooses somebody else instead of all, one more beside them, or takes one of several away. */
  readonly back: () => void;
  readonly beside: (() => void) | null;
  readonly without: (person: StationPerson) => void;
}

const shoes = ['flat', 'cushioned', 'barefoot'] as const;

/** What is noted of how somebody is tested today. */
interface Today {
  readonly seat: number | string | null;
  readonly aid: WalkingAid;
  readonly shoes: (typeof shoes)[number];
  readonly side: Side;
  /** Tested beside others although one pair of eyes alone would be better. */
  readonly although: boolean;
  /** Done although something closes it. */
  readonly despite: boolean;
  /** What counts beside the hand; that of their lane where nobody has said, once it is heard. */
  readonly device: string | null | undefined;
}

const sits = ({ seatCm, place = [] }: Protocol): boolean =>
  seatCm !== undefined || place.some((p) => p.what === 'chair');
/** What is read on the seat itself, on its height, or on the floor changes with neither shoes nor aid. */
const shod = ({ station, seatedArms }: Protocol): boolean => station.group > 0 && !seatedArms;
/** Of tests on the way from here to there, or in place, the aid is the one they walk with. */
const walks = ({ station }: Protocol): boolean => station.group === 5 || station.group === 6;
/** From the stands on it is strength, speed and endurance: five minutes of warm-up come before. */
const asksWarmUp = ({ station }: Protocol): boolean => station.group >= 4;

/** What the day has of the first of them, as they share it. */
const dayOf = ([first]: readonly Seated[], of: Props['conditions']): DayConditions => (first ? of(first.person) : {});

/** What is kept with a result of how the hall was that day. */
const pick = ({ floor, assessor }: DayConditions): Pick<DayConditions, 'floor' | 'assessor'> => ({
  ...(floor === undefined ? {} : { floor }),
  ...(assessor === undefined || assessor === '' ? {} : { assessor }),
});

/** What to put up and what to say, read once; then the one big button. */
export function SetUpScreen({
  seated,
  asking,
  checkAgain,
  takeBack,
  protocol,
  helpers,
  emergencyNumber,
  kept,
  conditions,
  tries,
  start,
  back,
  beside,
  without,
}: Props) {
  const [warmUp, setWarmUp] = useState(() => kept.warmUp ?? dayOf(seated, conditions).warmUp ?? null);
  const units = useUnits();
  const [noted, note] = useState<ReadonlyMap<string, Today>>(new Map());
  const todayOf = ({ person, known }: Seated): Today =>
    noted.get(person.id) ?? {
      seat: conditions(person).seatCm ?? kept.seatCm ?? known.intake.seatHeightCm ?? Math.round(protocol.seatCm ?? 43),
      aid: walks(protocol) ? known.intake.aidIndoors : 'none',
      shoes: conditions(person).shoes ?? kept.shoes ?? 'flat',
      side: 'R',
      although: false,
      despite: false,
      device: undefined,
    };
  const change = (one: Seated, more: Partial<Today>) =>
    note((now) => new Map(now).set(one.person.id, { ...todayOf(one), ...more }));
  const many = seated.length > 1;
  const seatFault = ({ seat }: Today) =>
    !sits(protocol) || (typeof seat === 'number' && seat >= 30 && seat <= 60)
      ? null
      : sentenceIn('Write the height of the seat: 30 to 60 cm.', units);
  const alone = (one: Seated): readonly string[] =>
    many ? ownLaneReasons(one.known, one.person.handsLast, protocol.hazards?.includes('one-leg') === true) : [];
  const open = (one: Seated): boolean => alone(one).length > 0 && !todayOf(one).although;
  // Where somebody is held nothing is set up, and no device is listened to.
  const devices = useDevices(seated.some((one) => one.held) ? undefined : protocol.device);
  const deviceOf = (one: Seated): string | null => {
    const { device } = todayOf(one);
    const own = devices.find((d) => d.state === 'heard' && d.id.endsWith(`-${seated.indexOf(one) + 1}`));
    return device === undefined ? (own?.id ?? null) : device;
  };
  const seatOf = (one: Seated): number | null => {
    const { seat } = todayOf(one);
    if (!sits(protocol) || typeof seat !== 'number') return null;
    return seat + (deviceOf(one) !== null && protocol.device === 'seat' ? seatSwitchCm : 0);
  };
  const eyes = useEyes(protocol, helpers, seated, (one) => deviceOf(one) !== null);
  const isHeld = (one: Seated): boolean => one.held !== null && !todayOf(one).despite;
  const ready =
    seated.every((one) => !isHeld(one) && seatFault(todayOf(one)) === null && !open(one)) &&
    eyes.every((pair) => pair.by !== '');
  const settled = useSettled();
  const stays = (): AtStation => {
    const [first] = seated.map(todayOf);
    return {
      seatCm: sits(protocol) && typeof first?.seat === 'number' ? first.seat : kept.seatCm,
      shoes: shod(protocol) ? (first?.shoes ?? null) : kept.shoes,
      warmUp,
    };
  };
  const go = () =>
    start(
      seated.map((one) => {
        const { aid, shoes: shoe, side } = todayOf(one);
        const seat = seatOf(one);
        const reasons = alone(one);
        return {
          person: one.person,
          conditions: {
            ...(seat === null ? {} : { seatHeightCm: seat }),
            ...(shod(protocol) ? { aid, shoes: shoe } : {}),
            ...(one.closedBy.length > 0 ? { despite: one.closedBy.join(', ') } : {}),
            ...(asksWarmUp(protocol) && warmUp !== null ? { warmUp } : {}),
            ...pick(conditions(one.person)),
          },
          side: protocol.sides === 'chosen' ? side : null,
          although: reasons.length > 0 ? reasons.join(', ') : null,
          watchedBy: eyes.find((pair) => pair.lanes.includes(seated.indexOf(one)))?.by ?? null,
          device: deviceOf(one),
        };
      }),
      stays(),
    );
  useKeys('page', (event) => {
    if (event.repeat || !['Space', 'Enter'].includes(event.code) || !ready || !settled()) return false;
    go();
    return true;
  });
  const { readiness } = useRules();
  const held = seated.filter(isHeld);
  return (
    <Step className="pt-4">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
        {seated.map(({ person }, i) => (
          <h1 key={person.id} className="text-3xl font-extrabold">
            {many && `${laneLetters[i] ?? ''} `}
            {person.name}
          </h1>
        ))}
        <p className="text-xl">{protocol.title}</p>
        <span className="ml-auto flex flex-wrap gap-x-2">
          {beside && (
            <Button look="line" onClick={beside}>
              Somebody beside
            </Button>
          )}
          <a
            href="/face"
            target="_blank"
            className="inline-flex min-h-12 items-center px-2 font-semibold underline underline-offset-4"
          >
            A screen for them
          </a>
          <Button look="line" onClick={back}>
            Somebody else
          </Button>
        </span>
      </div>
      {held
        .map((one) => [one, one.person, one.known, one.held] as const)
        .map(([one, person, known, why]) => (
          <HeldBack key={person.id} {...{ person, known, emergencyNumber }} held={why} many={many}>
            {many && (
              <Button look="line" onClick={() => without(person)}>
                Go on without {person.name}
              </Button>
            )}
            {known.dayCheck !== null && (
              <Button look="line" onClick={() => checkAgain(person)}>
                Do the check of today again
              </Button>
            )}
            {one.closedBy.length > 0 && (
              <AllTheSame closedBy={one.closedBy} does={() => change(one, { despite: true })} />
            )}
            <ByMistake
              checks={checksThatStay(known.entries, known.dayCheck?.on ?? '', readiness)}
              takeBack={(back) => takeBack(person, back)}
            />
          </HeldBack>
        ))}
      {held.length === 0 && (
        <>
          {seated.filter(open).map((one) => (
            <div key={one.person.id} className="mt-4 border-l-8 border-watch bg-board p-4" role="status">
              <p className="text-lg font-bold">
                {one.person.name} is better watched alone: {alone(one).join(', ')}.
              </p>
              <div className="mt-2 flex flex-wrap gap-3">
                <Button look="line" onClick={() => without(one.person)}>
                  Alone, afterwards
                </Button>
                <Button look="line" onClick={() => change(one, { although: true })}>
                  Beside all the same; I watch
                </Button>
              </div>
            </div>
          ))}
          <div className="mt-4 grid grid-cols-1 gap-x-8 gap-y-4 lg:grid-cols-[1.15fr_1fr]">
            <section className="min-w-0">
              <StationPlan protocol={protocol} lanes={seated.length} />
              <Head>Put up</Head>
              <ul className="mt-2 list-disc space-y-1 pl-5">
                {protocol.setUp.map((line) => (
                  <li key={line}>{sentenceIn(line, units)}</li>
                ))}
              </ul>
              <Head>Say</Head>
              <p className="mt-2 text-xl font-semibold">
                “{protocol.say}
                {protocol.capture.kind === 'count' && !protocol.say.includes('Stop before') && ` ${cautions.onCount}`}”
              </p>
              <p className="mt-2">
                <b>Practice:</b> {protocol.practice}
              </p>
              <p className="mt-1">
                <b>Does not count:</b> {protocol.notCountedIf.join(', ')}.
              </p>
            </section>
            <section className="min-w-0">
              <Head>How it is done today</Head>
              {tries !== null && <p className="mt-2 border-l-8 border-watch bg-board p-3 text-lg font-bold">{tries}</p>}
              {asksWarmUp(protocol) && <WarmUp warm={warmUp} set={setWarmUp} />}
              {eyes.map((pair) => (
                <PairOfEyes
                  key={pair.lanes.join()}
                  {...pair}
                  spots={protocol.station.staff === 'spots'}
                  seated={seated}
                />
              ))}
              {seated.map((one) => {
                const today = todayOf(one);
                const { id, name } = one.person;
                const mark = protocol.heightMark ? stepHeightCm(one.known.intake) : null;
                return (
                  <div key={id} className="mt-2 flex flex-wrap items-start gap-x-5">
                    {many && <p className="w-full font-bold">{name}</p>}
                    {protocol.heightMark && (
                      <p className="w-full text-lg">
                        {mark === null ? (
                          'Mark on the wall: half-way from kneecap to hip-bone crest. Neither is noted in the intake yet.'
                        ) : (
                          <>
                            Mark on the wall:{' '}
                            <b className="num text-2xl">
                              {lengthFigure(mark, unitsOf[units].length)} {unitsOf[units].length}
                            </b>{' '}
                            from the floor
                          </>
                        )}
                      </p>
                    )}
                    {sits(protocol) && (
                      <MeasureField
                        label="Seat"
                        name={many ? `seat-${id}` : 'seat'}
                        measure="length"
                        value={typeof today.seat === 'number' ? today.seat : null}
                        set={(seat) => change(one, { seat })}
                        fault={seatFault(today) ?? undefined}
                      />
                    )}
                    <OtherSeat protocol={protocol} today={today} intakeCm={one.known.intake.seatHeightCm} />
                    <NormSeat protocol={protocol} today={today} />
                    {shod(protocol) && (
                      <>
                        <Picked
                          label="Aid in the test"
                          value={today.aid}
                          of={walkingAids.map((a) => [a, aidWords[a]] as const)}
                          pick={(aid) => change(one, { aid })}
                        />
                        <Picked
                          label="Shoes"
                          value={today.shoes}
                          of={shoes.map((s) => [s, s] as const)}
                          pick={(shoe) => change(one, { shoes: shoe })}
                        />
                      </>
                    )}
                    {protocol.device && (devices.length > 0 || deviceOf(one) !== null) && (
                      <Picked
                        label="Counts beside you"
                        value={deviceOf(one) ?? ''}
                        of={[
                          ['', 'nothing'],
                          ...devices.map(
                            ({ id: of, state }) =>
                              [of, `${deviceName(of)}${state === 'silent' ? ', silent' : ''}`] as const,
                          ),
                        ]}
                        pick={(device) => change(one, { device: device === '' ? null : device })}
                      />
                    )}
                    {protocol.device === 'seat' && deviceOf(one) !== null && (
                      <p className="w-full">
                        Kept as <b className="num">{sentenceIn(`${String(seatOf(one) ?? '–')} cm`, units)}</b>, with the
                        switch on the seat. What it counts waits for your yes.
                      </p>
                    )}
                    {protocol.sides === 'chosen' && (
                      <Picked
                        label={protocol.seatedArms ? 'Stronger arm' : 'Better side'}
                        value={today.side}
                        of={[
                          ['R', 'right'],
                          ['L', 'left'],
                        ]}
                        pick={(side) => change(one, { side })}
                      />
                    )}
                  </div>
                );
              })}
              <Head>Mind</Head>
              <ul className="mt-2 space-y-1.5">
                {(protocol.hazards ?? []).map((hazard) => (
                  <li key={hazard} className="flex items-center gap-3 font-semibold">
                    <HazardMark hazard={hazard} /> {cautions.byHazard[hazard]}
                  </li>
                ))}
              </ul>
              {seated.map((one) => (
                <Minds
                  key={one.person.id}
                  name={many ? one.person.name : null}
                  lines={mindsOf(one, protocol).map((line) => sentenceIn(line, units))}
                />
              ))}
            </section>
          </div>
          <FootBar>
            <Button
              className="min-h-24 text-2xl max-sm:w-full sm:min-w-96 low:min-h-14 low:text-xl"
              hotkey="Space"
              disabled={!ready}
              onClick={go}
            >
              {asking ? 'One moment …' : protocol.capture.kind === 'count' ? 'To the practice' : 'To the test'}
            </Button>
            <p className="low:hidden">
              Fitness screening, not a diagnosis. Licensed professionals and local rules come first. Emergency:{' '}
              <b className="num">{emergencyNumber}</b>
            </p>
          </FootBar>
        </>
      )}
    </Step>
  );
}

/** So many things to mind are looked at; the rest are behind one press. */
const mostMinded = 3;

/**
 * What to mind with somebody, the largest first: what a professional wrote, the side, hands and seat, a blood thinner,
 * then the rest, and what the test itself asks.
 */
function mindsOf({ person, known }: Seated, protocol: Protocol): string[] {
  const sides = protocol.plan.on === 'feet' && person.sides.length > 0 ? [person.sides.join('; ')] : [];
  return [
    ...new Set([...known.readiness.limits, ...sides, ...person.cautions, ...careWords(known), ...protocol.cautions]),
  ];
}

function Minds({ name, lines }: { name: string | null; lines: readonly string[] }) {
  const rest = lines.slice(mostMinded);
  const item = (line: string) => (
    <li key={line} className="ml-5 list-item list-disc first-letter:uppercase">
      {line}
    </li>
  );
  return (
    <div data-testid="minds">
      {name !== null && <p className="mt-2 font-bold">{name}</p>}
      <ul className="mt-1.5 space-y-1.5 text-lg">{lines.slice(0, mostMinded).map(item)}</ul>
      {rest.length > 0 && (
        <details>
          <summary className="flex min-h-11 w-fit cursor-pointer items-center font-semibold text-squat underline underline-offset-4">
            {rest.length} more to mind
          </summary>
          <ul className="space-y-1.5">{rest.map(item)}</ul>
        </details>
      )}
    </div>
  );
}

/** Asked before strength; what is said holds for those who come after. */
function WarmUp({ warm, set }: { warm: boolean | null; set: (warm: boolean) => void }) {
  return (
    <div role="group" aria-label="Warmed up for five minutes?" className="mt-2 flex flex-wrap items-center gap-2">
      <b className="flex-1">Warmed up for five minutes?</b>
      {([true, false] as const).map((yes) => (
        <Button
          key={String(yes)}
          look={warm === yes ? 'main' : 'line'}
          aria-pressed={warm === yes}
          onClick={() => set(yes)}
        >
          {yes ? 'Yes' : 'Not yet'}
        </Button>
      ))}
      {warm === false && <p className="w-full font-semibold">Five minutes of easy walking and arm circles first.</p>}
    </div>
  );
}

/** Another chair than theirs makes another test of it. */
function OtherSeat({ protocol, today, intakeCm }: { protocol: Protocol; today: Today; intakeCm: number | null }) {
  const units = useUnits();
  if (!sits(protocol) || intakeCm === null || today.seat === intakeCm) return null;
  return (
    <p className="w-full font-semibold">
      Their own seat in the intake is {sentenceIn(`${intakeCm} cm`, units)}; on another one it is not like for like.
    </p>
  );
}

/** The norms are of one height: another one is said beside it, and the test goes on. */
function NormSeat({ protocol: { seatCm, norms }, today: { seat } }: { protocol: Protocol; today: Today }) {
  const units = useUnits();
  if (seatCm === undefined || !norms || typeof seat !== 'number' || !isOffNorm(seat, seatCm)) return null;
  return (
    <p className="w-full font-semibold" data-testid="norm-seat">
      {sentenceIn(`The norms assume a seat of ${seatCm} cm.`, units)} On another one the count is kept with its height,
      and read with care.
    </p>
  );
}

/** Somebody shown how to count a minute ago, who is on no list. */
const shownToday = 'somebody shown how today';

interface Eyes {
  /** Lanes they watch, from 0. */
  readonly lanes: readonly number[];
  /** Empty while nobody is chosen. */
  readonly by: string;
  readonly of: readonly string[];
  readonly pick: (by: string) => void;
}

/** Each pair of eyes beside the instructor’s: who it is, of those who may, each once; a lane a device counts needs none. */
function useEyes(
  protocol: Protocol,
  helpers: readonly Helper[],
  seated: readonly Seated[],
  counted: (one: Seated) => boolean,
): Eyes[] {
  const [picked, pick] = useState<ReadonlyMap<number, string>>(new Map());
  const { station } = protocol;
  const names = mayWatch(station, helpers).map((h) => h.name);
  const pairs = watchedTogether(station, seated.length).slice(1);
  const taken: string[] = [];
  return pairs.flatMap((lanes, k): Eyes[] => {
    if (lanes.every((place) => seated[place] && counted(seated[place]))) return [];
    const free = names.filter((n) => !taken.includes(n));
    const of = station.staff === 'counts' ? [...free, shownToday] : free;
    const chosen = picked.get(k);
    const by = chosen !== undefined && of.includes(chosen) ? chosen : (free[0] ?? '');
    taken.push(by);
    return [{ lanes, by, of, pick: (next) => pick((now) => new Map(now).set(k, next)) }];
  });
}

function PairOfEyes({ lanes, by, of, pick, spots, seated }: Eyes & { spots: boolean; seated: readonly Seated[] }) {
  const whose = lanes.map((place) => laneLetters[place] ?? '').join(' and ');
  if (of.length === 0)
    return (
      <p className="mt-2 border-l-8 border-watch bg-board p-3 font-semibold" role="status">
        {seated[lanes[0] ?? 0]?.person.name} has no spotter: nobody else is ticked <i>may spot</i> (Hall, Helpers). Test
        one after the other.
      </p>
    );
  return (
    <div className="mt-2">
      <Picked
        label={`${whose} ${spots ? 'spotted by' : 'watched by'}`}
        value={by}
        of={[...(by === '' ? [['', 'choose'] as const] : []), ...of.map((name) => [name, name] as const)]}
        pick={pick}
      />
    </div>
  );
}

function Head({ children }: { children: string }) {
  return <h2 className="mt-4 border-b-2 border-ink pb-1 text-lg font-bold first:mt-0">{children}</h2>;
}

function Picked<V extends string>({
  label,
  value,
  of,
  pick,
}: {
  label: string;
  value: V;
  of: readonly (readonly [V, string])[];
  pick: (value: V) => void;
}) {
  return (
    <label className="font-semibold">
      {label}
      <Choice
        className="mt-1 block"
        value={value}
        onChange={(event) => {
          const found = of.find(([v]) => v === event.target.value);
          if (found) pick(found[0]);
        }}
      >
        {of.map(([v, words]) => (
          <option key={v} value={v}>
            {words}
          </option>
        ))}
      </Choice>
    </label>
  );
}

/** Asked once: what a limiter closes is done only by who says so, and is kept as such. */
function AllTheSame({ closedBy, does }: { closedBy: readonly string[]; does: () => void }) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <Button look="plain" onClick={() => setOpen(true)}>
        Do it all the same
      </Button>
    );
  return (
    <div className="w-full" role="status">
      <p className="font-semibold">
        Closed by {closedBy.join(', ')}. Done all the same it is kept as such: it opens no level, and stands on paper
        without praise.
      </p>
      <Button look="line" className="mt-2" onClick={does}>
        Do it; I stay beside them
      </Button>
    </div>
  );
}

interface ByMistakeProps {
  readonly checks: ReturnType<typeof checksThatStay>;
  readonly takeBack: (contents: readonly EntryContent[]) => void;
}

/**
 * A sign that asks for help is taken back only as ticked by mistake, with a word why, from every check of the day; then
 * the check is made anew.
 */
function ByMistake({ checks, takeBack }: ByMistakeProps) {
  const [open, setOpen] = useState(false);
  const [why, setWhy] = useState('');
  if (checks.length === 0) return null;
  if (!open)
    return (
      <Button look="plain" onClick={() => setOpen(true)}>
        Ticked by mistake
      </Button>
    );
  const written = why.trim().length >= 3;
  return (
    <form
      className="w-full"
      onSubmit={(event) => {
        event.preventDefault();
        if (!written) return;
        takeBack(checks.map(({ entryId }) => ({ kind: 'withdrawn', entryId, reason: why.trim() })));
      }}
    >
      <label className="font-semibold">
        “{[...new Set(checks.map((c) => c.why))].join(', ')}” was ticked by mistake, because
        <TextBox
          className="mt-1 block w-full max-w-xl"
          maxLength={200}
          value={why}
          onChange={(e) => setWhy(e.target.value)}
        />
      </label>
      <Button className="mt-2" type="submit" look="line" disabled={!written}>
        Take it back
      </Button>
    </form>
  );
}

function HeldBack({
  person,
  known,
  held,
  many,
  emergencyNumber,
  children,
}: {
  person: StationPerson;
  known: Known;
  held: Held | null;
  many: boolean;
  emergencyNumber: string;
  children: React.ReactNode;
}) {
  if (!held) return null;
  return (
    <div className="mt-6 border-l-8 border-stop bg-board p-5">
      <p className="flex items-center gap-3 text-xl font-bold">
        <StateMark state="held" silent /> {many && `${person.name}: `}
        {held.what}
      </p>
      <p className="mt-2 text-lg">{held.nextStep}</p>
      <p className="mt-2">If somebody is unwell now, seat them, stay with them and call {emergencyNumber}.</p>
      <div className="mt-4 flex flex-wrap gap-4">
        {known.readiness.asked !== 'current' && known.readiness.outcome === 'ask-first' ? (
          <ButtonLink href={`/people/${person.id}/readiness`} hard>
            Ask the questions
          </ButtonLink>
        ) : (
          <ButtonLink look="line" href={`/people/${person.id}/readiness`} hard>
            See what is noted
          </ButtonLink>
        )}
        {known.readiness.outcome !== 'not-today' && (
          <ButtonLink look="line" href={`/people/${person.id}/tests`} hard>
            What stays open
          </ButtonLink>
        )}
        {children}
      </div>
    </div>
  );
}

/** What to do for somebody who is ready, with care. */
function careWords({ readiness, dayCheck }: Known): string[] {
  // Of falls it says already that they have an own spotter.
  const care = readiness.reasons
    .filter((r) => r.outcome === 'ready-with-care' && r.id !== 'falls')
    .map((r) => `${r.text}: ${r.nextStep}`);
  const skipped = dayCheck?.content.skippedBecause ?? null;
  return [...care, ...(skipped === null ? [] : [`The check of today was left out: ${skipped}.`])];
}
