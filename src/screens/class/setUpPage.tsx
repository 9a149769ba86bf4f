'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { placeFor, usualHeightCm, withHands } from '../../core/figure/held';
import { amount } from '../../core/math/amount';
import { shortLengthWords, unitsOf } from '../../core/math/units';
import type { KeptPlace, PlaceId } from '../../core/shapes/hallPlace';
import type { RungPoses } from '../../core/shapes/pose';
import type { Cupboard, PersonId, UnitSystem } from '../../core/shapes/person';
import { doneAtOnce, spottedIn, type ClassPlan, type ToCarry } from '../../core/train/plan';
import { turnsOn, type FloorSlot } from '../../core/train/seats/floor';
import { usedOf, type SetUp } from '../../core/train/seats/setUp';
import { isVariant, type Variant } from '../../core/train/variant';
import { SolvedFigure } from '../drawing/solvedFigure';
import { BackLink } from '../touch/backLink';
import { Button, ButtonLink } from '../touch/button';
import { Choice } from '../touch/field';
import { PrintButton } from '../touch/printButton';
import { dayWords } from '../words';
import type { DrawnPlace } from './hallPicture';
import { HallPlan } from './hallPlan';
import { carryWords, faultWords, railWords, slotWords, toldOf, turnWords, whereWords } from './setUpWords';
import { seatWords } from '../seatWords';
import { useStale } from './useStale';
import { usePlaces, type Keep } from './usePlaces';

interface Props {
  readonly classKey: string;
  readonly plan: ClassPlan;
  readonly setUp: SetUp;
  /** The height of each one’s level, and the firm step under their feet; nothing of who sits on none. */
  readonly sat: Readonly<Record<PersonId, { readonly targetCm: number; readonly stepCm: number }>>;
  /** Where people were put by hand. */
  readonly kept: readonly KeptPlace[];
  readonly keep: Keep;
  /** Whether the cupboard is still as it is shown. */
  readonly isStill: () => Promise<boolean>;
  readonly cupboard: Cupboard;
  /** What else the plan needs. */
  readonly carry: readonly ToCarry[];
  readonly posesBy: Readonly<Record<string, RungPoses>>;
  readonly units: UnitSystem;
  readonly closed: boolean;
}

/** With more places than these the page on paper is set small, so that it stays one. */
const crowdedFrom = 12;

/**
 * The hall before a class, for who carries: what to carry, where it stands, and who sits where; then block by block what each
 * does there. What cannot be done stands above the picture, with what would do, and so does what a place given by hand breaks.
 */
export function SetUpPage(props: Props) {
  const { classKey, plan, setUp, sat, cupboard, carry, posesBy, units, closed } = props;
  const { floor, faults, kept, fault, isKept, again, move, letGo } = usePlaces(setUp, props.kept, props.keep);
  const router = useRouter();
  const isStale = useStale(props.isStill);
  const [picked, pick] = useState<PlaceId | null>(null);
  const [shown, show] = useState<string | null>(null);
  const nameOf = (id: string) => plan.who.find((w) => w.id === id)?.short ?? '';
  const used = usedOf(setUp);
  const seatOf = (id: string) => used.seats.find((s) => s.people.includes(id))?.kind ?? null;
  const block = plan.laid.find((b) => b.id === shown);
  // Of a block in which one movement follows another the first is drawn.
  const doing = block && (doneAtOnce(plan, block)[0] ?? []).filter(isVariant);
  const places = floor.places.map((p): DrawnPlace => {
    const mine = doing ? p.people.flatMap((id) => doing.find((v) => v.personId === id) ?? []) : [];
    return {
      ...p,
      names: p.people.map(nameOf),
      built: seatOf(p.people[0] ?? ''),
      stepCm: Math.max(0, ...p.people.map((id) => sat[id]?.stepCm ?? 0)),
      spotter: mine.find((v) => v.spotter !== null)?.spotter ?? null,
      doing: block ? drawnDoing(mine[0], posesBy) : null,
    };
  });
  const beside = (doing ? spottedIn(doing) : setUp.spotted).map(({ people }) =>
    places.filter((p) => p.people.some((id) => people.includes(id))),
  );
  const told = toldOf(setUp, (id) => sat[id]?.targetCm, nameOf, units);
  const broken = faults.map((f) => faultWords(f, nameOf, units));
  const movements = plan.laid.filter((b) => b.parts);
  const holding = setUp.held.find((h) => h.title === block?.title)?.who ?? [];
  const turns = turnWords(turnsOn(floor, holding), nameOf);
  const chosen = places.find((p) => p.id === picked);
  return (
    <div className="group pt-3 print:pt-0" data-crowded={places.length > crowdedFrom ? '' : undefined}>
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
      {isStale && (
        <p
          role="status"
          className="mt-3 flex flex-wrap items-center gap-3 border-l-8 border-stop bg-board px-4 py-2 print:hidden"
        >
          The cupboard was changed since this was worked out: chairs, pads or places may be gone.
          <Button look="line" onClick={() => router.refresh()}>
            Work it out again
          </Button>
        </p>
      )}
      {told.length > 0 ? (
        <ul
          className="mt-3 border-l-8 border-lunge bg-board px-4 py-2 print:text-sm print:group-data-crowded:text-xs"
          data-testid="set-up-told"
        >
          {told.map((words) => (
            <li key={words} className="py-0.5 print:group-data-crowded:py-0">
              {words}
            </li>
          ))}
        </ul>
      ) : (
        <p className="mt-3 border-l-8 border-ready bg-board px-4 py-2" data-testid="set-up-told">
          Everybody sits at their own height, all at once
          {broken.length > 0 ? '; where the rules say, all can hold on at once too.' : ', and all can hold on at once.'}
        </p>
      )}
      <div role="status" data-testid="set-up-broken">
        {broken.length > 0 && (
          <ul className="mt-2 border-l-8 border-stop bg-board px-4 py-2 print:group-data-crowded:text-xs">
            {broken.map((words) => (
              <li key={words} className="py-0.5 font-semibold">
                {words}
              </li>
            ))}
          </ul>
        )}
      </div>
      {fault && (
        <p role="alert" className="mt-2 flex flex-wrap items-center gap-3 border-l-8 border-stop bg-board px-4 py-2">
          {fault.words}
          {fault.isRefused ? (
            <Button look="line" onClick={() => window.location.reload()}>
              Open the page again
            </Button>
          ) : (
            <Button look="line" onClick={() => void again()}>
              Try again
            </Button>
          )}
        </p>
      )}
      <div
        className="mt-3 flex flex-wrap gap-2 max-sm:hidden print:hidden"
        role="group"
        aria-label="What the picture shows"
      >
        {[{ id: null, title: 'Seats' }, ...movements].map(({ id, title }) => (
          <button
            key={id ?? 'seats'}
            type="button"
            aria-pressed={shown === id}
            onClick={() => show(id)}
            className="min-h-11 cursor-pointer rounded-md border-2 border-ink px-3 font-semibold aria-pressed:bg-ink aria-pressed:text-board"
          >
            {title}
          </button>
        ))}
      </div>
      {turns !== null && (
        <p className="mt-2 max-sm:hidden print:hidden" data-testid="set-up-turns">
          {turns}
        </p>
      )}
      {!closed && (
        <p className="mt-2 min-h-12 max-sm:hidden print:hidden" data-testid="set-up-move">
          {chosen ? (
            <>
              <b>{chosen.names.join(' and ')}</b> goes where you tap next.{' '}
              {chosen.kept && (
                <Button
                  look="line"
                  onClick={() => {
                    letGo(chosen.people);
                    pick(null);
                  }}
                >
                  Not kept: as the rules say
                </Button>
              )}{' '}
              <Button look="line" onClick={() => pick(null)}>
                Stays there
              </Button>
            </>
          ) : (
            `${isKept ? 'Kept. ' : ''}Somebody stands elsewhere? Drag them, or tap them and then the place; by keys: Enter, arrows, Enter. It stays so for this class.`
          )}
        </p>
      )}
      <div className="mt-2 flex flex-wrap gap-x-8 gap-y-5 print:block">
        <HallPlan
          {...{ floor, units, places, beside, picked, pick }}
          rail={railWords(cupboard)}
          move={(from, to) => {
            const [who] = floor.places.find((p) => p.id === from)?.people ?? [];
            if (who !== undefined) move(who, to);
          }}
          fixed={closed}
        />
        <div className="grid min-w-0 flex-1 basis-96 content-start gap-5 print:mt-3 print:text-sm print:grid-cols-[minmax(0,1fr)_minmax(0,2fr)] print:group-data-crowded:contents print:group-data-crowded:text-xs">
          <CarryOut {...{ setUp, carry, sat, cupboard, units }} />
          <section
            aria-labelledby="who-where"
            className="print:group-data-crowded:clear-both print:group-data-crowded:pt-2"
          >
            <div className="flex flex-wrap items-center justify-between border-b-2 border-ink pb-1">
              <h2 id="who-where" className="text-lg font-bold">
                {block ? `Who where: ${block.title}` : 'Who where'}
              </h2>
              {kept.length > 0 && !closed && (
                <Button
                  look="plain"
                  className="min-h-11! print:hidden"
                  onClick={() => letGo(kept.map((k) => k.personId))}
                >
                  Let all go
                </Button>
              )}
            </div>
            <ul
              data-testid="set-up-places"
              className="columns-[20rem] gap-x-8 print:columns-2 print:group-data-crowded:columns-3"
            >
              {places.map((p) => (
                <li
                  key={p.n}
                  className="flex break-inside-avoid gap-3 border-b border-rule py-1 print:group-data-crowded:py-0.5"
                >
                  <b className="num w-8 shrink-0 text-right">{p.n}</b>
                  <span className="min-w-0">
                    <b>{p.names.join(', then ')}</b>, {whereWords(p)}
                    {p.built && !block && `, ${seatWords(p.built, units)}`}
                    {p.stepCm > 0 &&
                      !block &&
                      `, a firm step of ${shortLengthWords(p.stepCm, unitsOf[units].length)} under the feet`}
                    {block && `: ${doneWords(p, doing ?? [], nameOf)}`}
                    {p.spotter !== null && `; ${p.spotter} stands by`}
                    {p.kept && '; put there by hand'}
                    {!closed && (
                      <Elsewhere
                        place={p}
                        slots={[...places, ...floor.free]}
                        isOpen={picked === p.id}
                        open={() => pick(picked === p.id ? null : p.id)}
                        to={(id) => {
                          const [who] = p.people;
                          if (who !== undefined) move(who, id);
                          pick(null);
                        }}
                      />
                    )}
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

/** Another place out of a list, on a screen too narrow for the picture. */
function Elsewhere({
  place,
  slots,
  isOpen,
  open,
  to,
}: {
  place: DrawnPlace;
  slots: readonly (FloorSlot | DrawnPlace)[];
  isOpen: boolean;
  open: () => void;
  to: (id: PlaceId) => void;
}) {
  const names = place.names.join(' and ');
  return (
    <span className="block sm:hidden print:hidden">
      <Button look="plain" className="min-h-11!" aria-expanded={isOpen} onClick={open}>
        {isOpen ? 'Stays there' : 'Elsewhere'}
        <span className="sr-only"> {names}</span>
      </Button>
      {isOpen && (
        <Choice
          size="line"
          className="block max-w-full"
          aria-label={`Where ${names} stands`}
          value={place.id}
          onChange={(event) => {
            const slot = slots.find((one) => one.id === event.target.value);
            if (slot) to(slot.id);
          }}
        >
          {slots.map((slot) => (
            <option key={slot.id} value={slot.id}>
              {slotWords(slot)}
              {'names' in slot ? `, ${slot.names.join(' and ')}` : ', free'}
            </option>
          ))}
        </Choice>
      )}
    </span>
  );
}

function drawnDoing(variant: Variant | undefined, posesBy: Props['posesBy']): DrawnPlace['doing'] {
  if (!variant) return { figure: null, code: 'counts', onMat: false };
  const poses = posesBy[`${variant.pattern}${variant.rung}`];
  return {
    code: `${variant.pattern}${variant.rung}`,
    onMat: poses?.props.includes('mat') === true,
    figure: poses && (
      <SolvedFigure
        poses={withHands(poses, variant.support)}
        place={placeFor(usualHeightCm, variant)}
        pattern={variant.pattern}
        title={variant.name}
        endOnly
        className="size-full"
      />
    ),
  };
}

const doneWords = ({ people }: DrawnPlace, doing: readonly Variant[], nameOf: (id: string) => string): string =>
  people
    .map((id) => {
      const words = doing.find((v) => v.personId === id)?.name ?? 'sits and counts aloud';
      return people.length > 1 ? `${nameOf(id)} ${words}` : words;
    })
    .join('; ');

/** What is carried, against what there is. */
function CarryOut({
  setUp,
  carry,
  sat,
  cupboard,
  units,
}: Pick<Props, 'setUp' | 'carry' | 'sat' | 'cupboard' | 'units'>) {
  const used = usedOf(setUp);
  const others = carry.filter((c) => !c.isPlaced);
  const cm = (n: number) => shortLengthWords(n, unitsOf[units].length);
  const seated = used.seats.map((s) => Math.max(0, ...s.people.map((id) => sat[id]?.stepCm ?? 0)));
  const steps = [...new Set(seated)]
    .filter((stepCm) => stepCm > 0)
    .map((stepCm) => ({
      stepCm,
      need: seated.filter((n) => n === stepCm).length,
      have: cupboard.steps.reduce((sum, s) => sum + (s.heightCm === stepCm ? s.count : 0), 0),
    }));
  return (
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
        {steps.map(({ stepCm, need, have }) => (
          <li key={stepCm} className="border-b border-rule py-1">
            {amount(need, 'firm steps')} of {cm(stepCm)}, under the feet
            {have < need && <b> · {have} here</b>}
          </li>
        ))}
        {others.map((c) => (
          <li key={c.what} className="border-b border-rule py-1">
            {amount(c.need, c.what)}
            {c.have < c.need && <b> · {c.have} here</b>}
          </li>
        ))}
        {used.seats.length + steps.length + others.length === 0 && <li className="py-1">Nothing.</li>}
      </ul>
      <p className="mt-1 text-sm">
        To sit on: back to the wall or to nobody’s path, pads tied. To hold: the seat against the wall, hands push down.
        None that slides.
      </p>
    </section>
  );
}
