import { amount } from '../../core/math/amount';
import type { Cupboard, UnitSystem } from '../../core/shapes/person';
import type { ClassPlan, ToCarry } from '../../core/train/plan';
import type { SetUp } from '../../core/train/seats/setUp';
import { BackLink } from '../touch/backLink';
import { ButtonLink } from '../touch/button';
import { PrintButton } from '../touch/printButton';
import { dayWords } from '../words';
import { HallPlan, type DrawnPlace } from './hallPlan';
import { carryWords, railWords, seatWords, toldOf, usedOf } from './setUpWords';

interface Props {
  readonly classKey: string;
  readonly plan: ClassPlan;
  readonly setUp: SetUp;
  readonly targets: Readonly<Record<string, number>>;
  readonly cupboard: Cupboard;
  /** What else the plan needs. */
  readonly carry: readonly ToCarry[];
  readonly units: UnitSystem;
}

const kindWords = { rail: 'at the rail', wall: 'chair along the wall', floor: 'on the floor' } as const;

/** What is fixed and no rail comes after it along the wall. */
const whereWords = ({ kind, xM }: DrawnPlace, railM: number): string =>
  kind === 'rail' && xM > railM ? 'at a heavy table or a strap' : kindWords[kind];

/**
 * The hall before a class, for who carries: what to carry, where it stands, and who sits where. What cannot be done stands
 * above the picture, with what would do.
 */
export function SetUpPage({ classKey, plan, setUp, targets, cupboard, carry, units }: Props) {
  const nameOf = (id: string) => plan.who.find((w) => w.id === id)?.short ?? '';
  const used = usedOf(setUp);
  const seatOf = (id: string) => used.seats.find((s) => s.people.includes(id))?.kind ?? null;
  const places = setUp.floor.places.map((p): DrawnPlace => ({
    ...p,
    names: p.people.map(nameOf),
    built: seatOf(p.people[0] ?? ''),
  }));
  const told = toldOf(setUp, targets, nameOf, units);
  const others = carry.filter((c) => !c.isPlaced);
  return (
    <div className="pt-3 print:pt-0">
      <p className="print:hidden">
        <BackLink href="/class">Class</BackLink>
      </p>
      <div className="flex flex-wrap items-baseline gap-x-5 gap-y-2">
        <h1 className="text-2xl font-extrabold">Who sits where</h1>
        <p>
          {plan.title}, {dayWords(plan.day)}
        </p>
        <div className="ml-auto flex gap-3 print:hidden">
          <PrintButton look="line">Print the page</PrintButton>
          <ButtonLink href={`/class/${classKey}`}>To the class</ButtonLink>
        </div>
      </div>
      {told.length > 0 ? (
        <ul className="mt-3 border-l-8 border-lunge bg-board px-4 py-2" data-testid="set-up-told">
          {told.map((words) => (
            <li key={words} className="py-0.5">
              {words}
            </li>
          ))}
        </ul>
      ) : (
        <p className="mt-3 border-l-8 border-ready bg-board px-4 py-2" data-testid="set-up-told">
          Everybody sits at their own height, all at once, and all can hold on at once.
        </p>
      )}
      <div className="mt-4 flex flex-wrap gap-x-8 gap-y-5 print:block">
        <HallPlan floor={setUp.floor} units={units} places={places} rail={railWords(cupboard)} />
        <div className="grid min-w-0 flex-1 basis-96 content-start gap-5 print:mt-4 print:grid-cols-[minmax(0,1fr)_minmax(0,2fr)]">
          <section aria-labelledby="carry-out">
            <h2 id="carry-out" className="border-b-2 border-ink pb-1 text-lg font-bold">
              Carry out
            </h2>
            <ul data-testid="set-up-carry">
              {carryWords(used, units).map((words) => (
                <li key={words} className="border-b border-rule py-1">
                  {words}
                </li>
              ))}
              {others.map((c) => (
                <li key={c.what} className="border-b border-rule py-1">
                  {amount(c.need, c.what)}
                  {c.have < c.need && <b> · {c.have} here</b>}
                </li>
              ))}
              {used.seats.length + others.length === 0 && <li className="py-1">Nothing.</li>}
            </ul>
            <p className="mt-1 text-sm">
              To sit on: back to the wall or to nobody’s path, pads tied. To hold: the seat against the wall, hands push
              down. None that slides.
            </p>
          </section>
          <section aria-labelledby="who-where">
            <h2 id="who-where" className="border-b-2 border-ink pb-1 text-lg font-bold">
              Who where
            </h2>
            <ul data-testid="set-up-places" className="columns-[20rem] gap-x-8 print:columns-2">
              {places.map((p) => (
                <li key={p.n} className="flex break-inside-avoid gap-3 border-b border-rule py-1">
                  <b className="num w-8 shrink-0 text-right">{p.n}</b>
                  <span className="min-w-0">
                    <b>{p.names.join(', then ')}</b>, {whereWords(p, setUp.floor.railM)}
                    {p.built && `, ${seatWords(p.built, units)}`}
                  </span>
                </li>
              ))}
            </ul>
          </section>
        </div>
      </div>
    </div>
  );
}
