import { amount } from '../../core/math/amount';
import { shortLengthWords, unitsOf } from '../../core/math/units';
import type { PlaceKind } from '../../core/shapes/hallPlace';
import type { Cupboard, UnitSystem } from '../../core/shapes/person';
import type { FloorPlace, FloorSlot, PlaceFault } from '../../core/train/seats/floor';
import type { HeldAnswer, Short } from '../../core/train/seats/holds';
import type { SeatPlan } from '../../core/train/seats/programme';
import { mostCarries } from '../../core/train/seats/holds';
import { usedOf, type SetUp } from '../../core/train/seats/setUp';
import { namesWords, thingWords, wallWords } from '../seatWords';

const shortWords = ({ what, by }: Short, units: UnitSystem): string => {
  if (what === 'wall') return `${wallWords(by, units)} more of free wall`;
  if (what === 'rail') return by === 1 ? 'one more place at a rail' : `${by} more places at a rail`;
  return by === 1 ? 'one more firm chair' : `${by} more firm chairs`;
};

const heldWords = ({ title, who, atOnce, turns, short }: HeldAnswer, units: UnitSystem): string | null => {
  if (turns === 1) return null;
  const would = short.map((s) => shortWords(s, units)).join(' and ');
  if (turns === null)
    return `${title}: somebody holds on to something fixed, and there is nothing. It needs ${would}; till then it is left out or done seated.`;
  return `${title}: ${amount(who.length, 'people')} hold on, ${atOnce} at once. In ${turns} turns, or with ${would}.`;
};

/** Who holds on first in a block, and who after them in the same places; nothing where all do at once. */
export function turnWords(turns: readonly (readonly string[])[], nameOf: (id: string) => string): string | null {
  const [first, ...then] = turns.map((ids) => namesWords(ids.map(nameOf)));
  if (first === undefined || then.length === 0) return null;
  // A short name ends with its own full stop.
  return `First ${first}; then, in the places of these, ${then.join('; then ')}.`.replace('..', '.');
}

/** What is to be said of a set-up, the gravest first; empty where everything is as it should be. */
export function toldOf(
  {
    seats,
    inTwo,
    oneMore,
    held,
    carries,
    wallUnknown,
  }: Pick<SetUp, 'seats' | 'inTwo' | 'oneMore' | 'held' | 'carries' | 'wallUnknown'>,
  targetOf: (id: string) => number | undefined,
  nameOf: (id: string) => string,
  units: UnitSystem,
): string[] {
  const cm = (n: number) => shortLengthWords(n, unitsOf[units].length);
  const used = usedOf({ seats, inTwo });
  const all = seats.seats.reduce((sum, s) => sum + s.people.length, 0) + seats.unseated.length;
  const over = used.seats.flatMap(({ kind, people }) =>
    people.flatMap((id) => {
      const by = kind.heightCm - (targetOf(id) ?? kind.heightCm);
      return by > 0 ? [`${nameOf(id)} ${cm(by)}`] : [];
    }),
  );
  const more = oneMore && thingWords(oneMore, units);
  return [
    ...(used.waves === 2
      ? [
          `${seats.seats.length} of ${all} sit at once. In two waves: one half sits behind and counts aloud, then they change.`,
        ]
      : []),
    ...(used.unseated.length > 0
      ? [
          `No seat here for ${namesWords(used.unseated.map((id) => `${nameOf(id)} (${cm(targetOf(id) ?? 0)})`))}: nobody sits lower than their level. What is done seated goes on any firm chair.`,
        ]
      : []),
    ...(over.length > 0 ? [`Higher than their level, as their height is not free: ${over.join(', ')}.`] : []),
    ...(more
      ? [
          oneMore.seats > 0
            ? `One ${more} more would seat ${oneMore.seats === 1 ? 'one more' : `${oneMore.seats} more`} at once.`
            : `One ${more} more would bring somebody to their own height.`,
        ]
      : []),
    ...held.flatMap((h) => heldWords(h, units) ?? []),
    ...(carries > mostCarries
      ? [
          `Chairs are carried ${carries} times: put the blocks that sit one after the other, and those that hold chairs after them.`,
        ]
      : []),
    ...(wallUnknown
      ? [
          'Nobody wrote how much free wall there is, so chairs to hold were not checked against it: Library, the cupboard.',
        ]
      : []),
    ...(used.proven ? [] : ['This is the best that was found in the time; a better one may be there.']),
  ];
}

/** What places kept by hand break, in sentences; the gravest first. */
export function faultWords(fault: PlaceFault, nameOf: (id: string) => string, units: UnitSystem): string {
  switch (fault.kind) {
    case 'nothing-to-hold':
      return `${nameOf(fault.personId)} holds on in this class, and at place ${fault.n} there is nothing to hold.`;
    case 'only-a-chair':
      return `${nameOf(fault.personId)} holds on to something fixed in this class: at place ${fault.n} there is only a chair, and a chair is never pulled.`;
    case 'taken':
      return `${nameOf(fault.personId)} holds on in this class and stands at place ${fault.n}: ${nameOf(fault.by)} has the last place for it and needs it less.`;
    case 'apart':
      return `${fault.spotter} stands by ${namesWords(fault.people.map(nameOf))}, who are ${wallWords(fault.metres, units)} apart: nobody reaches both.`;
    case 'gone':
      return `The place kept for ${nameOf(fault.personId)} is not there any more, or somebody else has it: ${nameOf(fault.personId)} stands where the rules put them.`;
  }
}

const kindWords: Readonly<Record<PlaceKind, string>> = {
  ...{ rail: 'at the rail', table: 'at a heavy table', strap: 'at a strap' },
  ...{ wall: 'along the wall', floor: 'on the floor' },
};
/** `at the rail`. */
export const whereWords = ({ kind, seat, hasChair }: Pick<FloorPlace, 'kind' | 'seat' | 'hasChair'>): string =>
  kind === 'wall' && seat === null && hasChair ? 'a chair to hold along the wall' : kindWords[kind];

/** A place in words, for who goes by keys: `rail 2`, `floor 5, free`. */
export const slotWords = ({ id, kind }: Pick<FloorSlot, 'id' | 'kind'>): string =>
  `${kind} ${id.slice(kind.length + 1)}`;

/** What is carried for the seats, chairs first: `6 chairs of 43 cm`. */
export function carryWords({ seats }: SeatPlan, units: UnitSystem): string[] {
  const cm = (n: number) => shortLengthWords(n, unitsOf[units].length);
  const count = (things: readonly string[]) =>
    [...new Set(things)].map((t) => [t, things.filter((u) => u === t).length] as const);
  const chairs = seats.map(({ kind }) => `of ${cm(kind.chairCm)}${kind.arms ? ' with arms' : ''}`);
  const pads = seats.flatMap(({ kind }) => kind.padsCm.map((p) => `of ${cm(p)}`));
  return [
    ...count(chairs).map(([of, n]) => `${amount(n, 'chairs')} ${of}`),
    ...count(pads).map(([of, n]) => `${amount(n, 'pads')} ${of}`),
  ];
}

/** What there is to hold on to, and how many hold on to each: `rail, 4 · heavy tables, 2`. */
export const railWords = ({ railPlaces, tables, straps }: Cupboard): string =>
  [
    ...(railPlaces > 0 ? [`rail, ${railPlaces}`] : []),
    ...(tables > 0 ? [`heavy tables, ${tables}`] : []),
    ...(straps > 0 ? [`straps, ${straps}`] : []),
  ].join(' · ');
