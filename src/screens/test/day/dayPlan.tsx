'use client';
import { Heading } from '../../touch/heading';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { protocolById } from '../../../catalogue/protocols';
import type { StationChairs } from '../../../core/measure/day/chairs';
import { dayState } from '../../../core/measure/day/dayState';
import { isOffNorm } from '../../../core/measure/offNorm';
import { sentenceIn } from '../../../core/math/units';
import { floors, type Floor } from '../../../core/shapes/attempt';
import { instructor, type DayConditions, type DayEvent, type DayNote, type DayStaff } from '../../../core/shapes/day';
import type { IsoDate } from '../../../core/shapes/facts';
import type { Helper } from '../../../core/shapes/helper';
import { SignMark } from '../../drawing/stateMark';
import { useUnits } from '../../frame/units';
import { SeatGroup } from '../../today/seatGroup';
import { Button, ButtonLink } from '../../touch/button';
import { Choice, Field, TextField, TickBox } from '../../touch/field';
import { FootBar } from '../../touch/footBar';
import { MeasureField } from '../../touch/measureField';
import { useOneAtATime } from '../../touch/useOneAtATime';
import { dayWords, longDay } from '../../words';
import { ChairsOut } from './chairsOut';
import { mayWords, staffName, testsWords, testWord } from './dayWords';
import { noteDay } from './noteDay';
import type { FindChairs } from './useChairs';

type SetId = 'full' | 'first' | 'rest' | 'battery';

/** A set of tests as it would go. */
interface SetShown {
  readonly id: SetId;
  readonly tests: readonly string[];
  readonly minutes: number;
  readonly leastMinutes: number;
  readonly longestWaitMinutes: number;
  readonly unstaffed: readonly string[];
  readonly chairs: readonly StationChairs[];
}

interface Named {
  readonly id: string;
  readonly name: string;
}

interface Props {
  readonly day: IsoDate;
  readonly notes: readonly DayNote[];
  readonly groups: readonly (Named & { readonly people: number; readonly today: boolean })[];
  readonly seat: (groupId: string) => Promise<void>;
  readonly sitting: readonly Named[];
  readonly planned: number;
  readonly notPlanned: readonly (Named & { readonly why: 'held' | 'no-age'; readonly words: string })[];
  readonly proposed: SetId;
  /** Minutes of core three with one more who may spot; `null` where somebody beside the instructor may. */
  readonly withSpotter: number | null;
  readonly sets: readonly SetShown[];
  readonly staff: readonly DayStaff[];
  readonly helpers: readonly Helper[];
  /** Who of them is there, and for how long; as it stands in the address. */
  readonly here: readonly string[];
  readonly minutes: number;
  /** Tests whose seconds are this hall’s own. */
  readonly own: readonly string[];
  readonly further: readonly {
    readonly test: string;
    readonly opens: readonly { readonly personId: string; readonly rungs: readonly string[] }[];
  }[];
  readonly leftOver: {
    readonly day: IsoDate;
    readonly people: readonly (Named & { readonly tests: readonly string[] })[];
  } | null;
  readonly seatsCm: readonly number[];
  readonly findChairs: FindChairs;
  /** Another day was asked for than today. */
  readonly otherDay: 'past' | 'to-come' | null;
}

const setNames: Readonly<Record<SetId, string>> = {
  full: 'Core five',
  first: 'Core three today, two on the next class day',
  rest: 'The other two, after core three',
  battery: 'Three-part battery',
};

/**
 * The plan of a testing day, made in a minute while people come in: who is here, which tests, whose stations, which chair.
 * What is proposed can be begun as it stands.
 */
export function DayPlanScreen(props: Props) {
  const { day, notes, sitting, planned, proposed, sets, staff, helpers, here, minutes, own, further, leftOver } = props;
  const router = useRouter();
  const units = useUnits();
  const state = dayState(notes);
  const running = state.plan;
  const [picked, pick] = useState<SetId | null>(null);
  const [also, setAlso] = useState<ReadonlySet<string>>(new Set());
  const [hall, setHall] = useState<DayConditions>({ shoes: 'flat', ...usualSeat(props.seatsCm), ...state.hall });
  const set = sets.find((s) => s.id === (picked ?? idOf(running?.tests, sets) ?? proposed));
  const seatFault =
    hall.seatCm !== undefined && hall.seatCm >= 30 && hall.seatCm <= 60
      ? undefined
      : 'Write the height of the chair: 30 to 60 cm.';
  const normCm = protocolById('chair-stand-30s')?.seatCm ?? 0;
  const off = hall.seatCm !== undefined && isOffNorm(hall.seatCm, normCm);
  const none = !props.seatsCm.some((cm) => !isOffNorm(cm, normCm));
  const to = (more: { readonly here?: readonly string[]; readonly minutes?: number }) => {
    const query = new URLSearchParams([
      ...(more.here ?? here).map((id) => ['staff', id]),
      ['minutes', String(more.minutes ?? minutes)],
    ]);
    router.replace(`/test/day?${query.toString()}`, { scroll: false });
  };
  const begin = useOneAtATime(async () => {
    if (!set) return true;
    const events: DayEvent[] = [
      { kind: 'conditions', put: hall },
      { kind: 'plan', tests: set.tests, staff: here, minutes },
      ...further
        .filter((f) => also.has(f.test))
        .flatMap((f) => f.opens.map(({ personId }): DayEvent => ({ kind: 'also', personId, tests: [f.test] }))),
    ];
    await Promise.all(events.map((event) => noteDay(day, event).sent));
    window.location.assign('/test');
    return false;
  });
  return (
    <div className="pt-5" data-testid="day-plan">
      <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h1 className="text-2xl font-extrabold">{running ? 'The plan of today' : 'Plan a testing day'}</h1>
        <p>{longDay(day)}</p>
        <span className="ml-auto flex flex-wrap gap-x-2">
          <ButtonLink look="plain" href="/people/sheet/blank">
            Station sheets
          </ButtonLink>
          <ButtonLink look="plain" href="/people/leaf">
            Leaves for the door
          </ButtonLink>
          <ButtonLink look="plain" href="/people/emergency">
            Emergency sheet
          </ButtonLink>
        </span>
      </div>
      {props.otherDay !== null && (
        <p role="status" className="mt-2 border-l-8 border-watch bg-board p-3 font-semibold">
          {props.otherDay === 'past'
            ? 'That day is over and is not planned any more; what it left is below. This is today.'
            : 'A day is planned on its own morning, when it is known who came. This is today.'}
        </p>
      )}
      {leftOver && leftOver.people.length > 0 && !running && <LeftOver {...leftOver} />}
      <div className="mt-3 grid grid-cols-1 gap-x-10 gap-y-6 lg:grid-cols-[0.85fr_1.3fr_1.1fr]">
        <section aria-labelledby="who">
          <Heading id="who">Who is here: {sitting.length}</Heading>
          <div className="mt-2 flex flex-wrap gap-2">
            {props.groups
              .filter((g) => g.today)
              .map((g) => (
                <SeatGroup key={g.id} group={g} seat={props.seat} />
              ))}
          </div>
          {sitting.length === 0 && (
            <p className="py-3 text-lg">
              Nobody sits yet. Seat a group with one press, or choose people in the{' '}
              <ButtonLink look="plain" href="/people">
                register
              </ButtonLink>
              .
            </p>
          )}
          <OtherGroup {...props} />
          <ul className="mt-2 columns-2 gap-4">
            {sitting.slice(0, 24).map((p) => (
              <li key={p.id} className="truncate py-0.5">
                {p.name}
              </li>
            ))}
          </ul>
          {sitting.length > 24 && <p>and {sitting.length - 24} more</p>}
          {props.notPlanned.length > 0 && (
            <ul className="mt-2 border-t-2 border-ink">
              {props.notPlanned.map((p) => (
                <li key={p.id} className="flex min-h-11 flex-wrap items-center gap-x-3 border-b border-rule">
                  <SignMark sign={p.why === 'held' ? 'stop' : 'unknown'} />
                  <b>{p.name}</b>
                  <ButtonLink
                    look="plain"
                    className="min-h-11"
                    href={`/people/${p.id}/${p.why === 'held' ? 'readiness' : 'intake'}`}
                  >
                    {p.words}
                  </ButtonLink>
                </li>
              ))}
            </ul>
          )}
          <p className="mt-2">
            <ButtonLink look="plain" href="/people/walk-in">
              Somebody walked in
            </ButtonLink>
          </p>
        </section>
        <section aria-labelledby="tests" className="min-w-0">
          <Heading id="tests">Which tests</Heading>
          <label className="flex items-center gap-3 pt-1 font-semibold">
            Minutes there are
            <Choice size="line" value={minutes} onChange={(event) => to({ minutes: Number(event.target.value) })}>
              {[30, 45, 60, 75, 90, 120].map((m) => (
                <option key={m}>{m}</option>
              ))}
            </Choice>
          </label>
          <div role="radiogroup" aria-labelledby="tests" className="mt-1">
            {sets.map((s) => (
              <label
                key={s.id}
                className={`flex min-h-16 cursor-pointer items-start gap-3 border-b border-rule px-1 py-2 ${s === set ? 'bg-board' : ''}`}
              >
                <TickBox
                  type="radio"
                  name="set"
                  className="mt-1"
                  checked={s === set}
                  onChange={() => pick(s.id)}
                  aria-describedby={`set-${s.id}`}
                />
                <span className="min-w-0 flex-1">
                  <b className="text-lg">{setNames[s.id]}</b>
                  {s.id === proposed && (
                    <span className="ml-2 border-2 border-ink px-1.5 text-sm font-bold">proposed</span>
                  )}
                  <span className="block">{testsWords(s.tests)}</span>
                </span>
                <span id={`set-${s.id}`} className="shrink-0 text-right">
                  <b className="num text-xl">{s.minutes} min</b>
                  <span className="block text-sm">
                    {s.minutes > minutes ? `${s.minutes - minutes} over` : `${minutes - s.minutes} to spare`}
                  </span>
                </span>
              </label>
            ))}
          </div>
          {set && (
            <p className="mt-2" data-testid="plan-says">
              {setWords(set, own)}
            </p>
          )}
          {set && set.unstaffed.length > 0 && (
            <p role="status" className="mt-2 border-l-8 border-watch bg-board p-3 font-semibold">
              Nobody of those ticked may run {testsWords(set.unstaffed)}: tick <i>may spot</i> for a helper who can hold
              somebody, or leave these tests out today.
            </p>
          )}
          {further.length > 0 && (
            <fieldset className="mt-4">
              <legend className="w-full border-b-2 border-ink pb-1 text-lg font-bold">
                Further, only where it decides something
              </legend>
              {further.slice(0, 4).map((f) => (
                <label key={f.test} className="flex min-h-12 cursor-pointer items-center gap-3 border-b border-rule">
                  <TickBox
                    checked={also.has(f.test)}
                    onChange={(event) =>
                      setAlso(
                        (now) =>
                          new Set(event.target.checked ? [...now, f.test] : [...now].filter((t) => t !== f.test)),
                      )
                    }
                  />
                  <b>{testWord(f.test)}</b>
                  <span>{opensWords(f.opens)}</span>
                </label>
              ))}
            </fieldset>
          )}
        </section>
        <section aria-labelledby="stations">
          <Heading id="stations">Stations are people</Heading>
          <ul>
            {staff.map((s) => (
              <li key={s.id} className="border-b border-rule">
                <label className="flex min-h-12 cursor-pointer items-center gap-3">
                  <TickBox
                    checked={here.includes(s.id)}
                    disabled={s.id === instructor}
                    onChange={(event) =>
                      to({ here: event.target.checked ? [...here, s.id] : here.filter((id) => id !== s.id) })
                    }
                  />
                  <span className="min-w-0 flex-1 py-1 leading-tight">
                    <b>{staffName(s.id, helpers)}</b> {mayWords(s)}
                    {sinceWords(s.id, helpers)}
                  </span>
                </label>
              </li>
            ))}
          </ul>
          {props.withSpotter !== null && planned > 0 && (
            <p role="status" className="mt-2 border-l-8 border-watch bg-board p-3" data-testid="no-spotter">
              <b>Nobody here but you may spot:</b> the balance tests are your line alone. With one more who can hold
              somebody, core three takes {props.withSpotter} min.
            </p>
          )}
          <ButtonLink look="plain" href="/hall">
            Who may spot
          </ButtonLink>
          <div className="mt-4">
            <Heading id="chair">How everybody is tested</Heading>
            <div className="mt-2 flex flex-wrap items-start gap-x-4">
              <MeasureField
                label="Seat"
                name="day-seat"
                measure="length"
                value={hall.seatCm ?? null}
                set={(seat) =>
                  setHall(({ seatCm: _, ...rest }) => (typeof seat === 'number' ? { ...rest, seatCm: seat } : rest))
                }
                fault={seatFault}
              />
              <Pick
                label="With pads"
                value={String(hall.pads ?? 0)}
                of={['0', '1', '2']}
                set={(pads) => setHall((h) => ({ ...h, pads: Number(pads) }))}
              />
              <Pick
                label="Shoes"
                value={hall.shoes ?? 'flat'}
                of={['flat', 'cushioned', 'barefoot']}
                set={(shoes) => setHall((h) => ({ ...h, shoes: shoes as NonNullable<DayConditions['shoes']> }))}
              />
              <Pick
                label="Floor"
                value={hall.floor ?? ''}
                of={['', ...floors]}
                set={(floor) =>
                  setHall(({ floor: _, ...rest }) => (floor === '' ? rest : { ...rest, floor: floor as Floor }))
                }
              />
              <TextField
                label="Who measures"
                name="assessor"
                className="w-40"
                maxLength={80}
                value={hall.assessor ?? ''}
                onChange={(event) => setHall((h) => ({ ...h, assessor: event.target.value }))}
              />
            </div>
            {(off || none) && (
              <p
                role="status"
                className="mt-1 border-l-8 border-watch bg-board p-3 font-semibold"
                data-testid="off-norm"
              >
                {off &&
                  sentenceIn(
                    `The norms assume a seat of ${normCm} cm: on this one a count is kept with its height and read with care.`,
                    units,
                  )}
                {none &&
                  sentenceIn(
                    ` No chair of the cupboard makes ${normCm} cm, with pads or without: add one that does under Library, Cupboard, or go on with this one.`,
                    units,
                  )}
              </p>
            )}
          </div>
          {set && set.chairs.length > 0 && hall.seatCm !== undefined && seatFault === undefined && (
            <ChairsOut
              chairs={set.chairs}
              seatCm={hall.seatCm}
              pads={hall.pads ?? 0}
              helpers={helpers}
              find={props.findChairs}
            />
          )}
        </section>
      </div>
      <FootBar>
        <Button
          className="min-h-16 text-xl whitespace-normal! max-sm:w-full"
          hotkey="B"
          disabled={!set || planned === 0 || seatFault !== undefined || set.unstaffed.length === set.tests.length}
          onClick={() => begin()}
        >
          {running ? 'Keep the plan, to the board' : 'Begin: to the board'}
        </Button>
        <p className="text-lg">
          {planned} {planned === 1 ? 'person' : 'people'}
          {set && (
            <>
              , {testsWords(set.tests)}: <b className="num">{set.minutes} min</b>
            </>
          )}
        </p>
      </FootBar>
    </div>
  );
}

/** The set that a plan in force has. */
const idOf = (tests: readonly string[] | undefined, sets: readonly SetShown[]): SetId | undefined =>
  tests && sets.find((s) => s.tests.join() === tests.join())?.id;

/** The chair of the hall that is nearest to that of the norms. */
function usualSeat(seatsCm: readonly number[]): { readonly seatCm?: number } {
  const normCm = protocolById('chair-stand-30s')?.seatCm ?? 0;
  const [nearest] = [...seatsCm].sort((a, b) => Math.abs(a - normCm) - Math.abs(b - normCm));
  return nearest === undefined ? {} : { seatCm: nearest };
}

/** How good the plan is, and where its times come from. */
function setWords({ id, minutes, leastMinutes, longestWaitMinutes, tests }: SetShown, own: readonly string[]): string {
  const over = minutes === leastMinutes ? 'no plan is shorter' : `no plan is shorter than ${leastMinutes} min`;
  const from = tests.every((t) => own.includes(t))
    ? 'Times are this hall’s own'
    : own.some((t) => tests.includes(t))
      ? 'Times are partly this hall’s own'
      : 'Times are the usual ones; this hall’s own replace them after its first day';
  const shared =
    id === 'battery' ? ' The four positions are taken once, and stand for the battery and for themselves.' : '';
  return `Check, warm-up and closing are in it; ${over}; the longest wait between two tests is ${longestWaitMinutes} min. ${from}.${shared}`;
}

function opensWords(opens: Props['further'][number]['opens']): string {
  const rungs = [...new Set(opens.flatMap((o) => o.rungs))].sort();
  return `would decide ${rungs.join(', ')} for ${opens.length}`;
}

function sinceWords(id: string, helpers: readonly Helper[]) {
  const may = helpers.find((h) => h.id === id)?.may;
  const said = may?.spot ?? may?.count;
  return said ? (
    <span className="block text-sm text-ink-soft">
      since {dayWords(said.day)}, on the word of {said.by}
    </span>
  ) : null;
}

function Pick({
  label,
  value,
  of,
  set,
}: {
  label: string;
  value: string;
  of: readonly string[];
  set: (value: string) => void;
}) {
  const name = `day-${label.toLowerCase().replace(/\W+/g, '-')}`;
  return (
    <Field label={label} name={name}>
      <Choice id={name} className="mt-1 block" value={value} onChange={(event) => set(event.target.value)}>
        {of.map((v) => (
          <option key={v} value={v}>
            {v === '' ? 'not said' : v}
          </option>
        ))}
      </Choice>
    </Field>
  );
}

/** A group that does not come on this day of the week, seated all the same. */
function OtherGroup({ groups, seat }: Pick<Props, 'groups' | 'seat'>) {
  const others = groups.filter((g) => !g.today && g.people > 0);
  const [id, setId] = useState('');
  const group = others.find((g) => g.id === id);
  if (others.length === 0) return null;
  return (
    <div className="mt-2 flex flex-wrap items-center gap-2">
      <Choice size="line" aria-label="Another group" value={id} onChange={(event) => setId(event.target.value)}>
        <option value="">another group …</option>
        {others.map((g) => (
          <option key={g.id} value={g.id}>
            {g.name}
          </option>
        ))}
      </Choice>
      {group && <SeatGroup key={group.id} group={group} seat={seat} />}
    </div>
  );
}

/** What the last testing day left, so that nothing stays on a clipboard. */
function LeftOver({ day, people }: NonNullable<Props['leftOver']>) {
  return (
    <details className="mt-2 border-l-8 border-ink bg-board px-4 py-1" data-testid="left-over">
      <summary className="flex min-h-11 cursor-pointer items-center font-bold">
        {people.length} {people.length === 1 ? 'person has' : 'people have'} tests left from {dayWords(day)}
      </summary>
      <ul className="gap-8 pb-2 sm:columns-2">
        {people.map((p) => (
          <li key={p.id} className="py-0.5">
            <b>{p.name}</b> {testsWords(p.tests)}
          </li>
        ))}
      </ul>
    </details>
  );
}
