import type { IsoDate, Side } from '../shapes/facts';
import type { DaySign, EntryContent, Joint, Pressure } from '../shapes/intake';
import type { Known } from './known';
import type { PainNow } from './pains';

export interface SorePlace {
  readonly joint: Joint;
  readonly side: Side | null;
}

/** What is said of a fall since last time; `null` while nobody has said. */
export interface FallSaid {
  readonly fellOn: IsoDate | null;
  readonly lookedAt: boolean | null;
  readonly hurt: boolean | null;
  readonly headStruck: boolean | null;
}

/** The answers of a check of the day as they stand on the screen. */
export interface CheckSaid {
  readonly signs: readonly DaySign[];
  /** How much sore places hurt, by `placeKey`, 0 to 10; one that is left out was not asked. */
  readonly levels: Readonly<Record<string, number>>;
  readonly fall: FallSaid;
  /** The joint that is hot or swollen; `null` while nobody has said which. */
  readonly hot: SorePlace | null;
}

export type Unsaid =
  { readonly kind: 'fall' } | { readonly kind: 'hot-joint' } | { readonly kind: 'pain'; readonly pain: PainNow };

/** Nothing of it today. */
export const wellToday: EntryContent = {
  ...{ kind: 'day-check', signs: [], pulse: null, pressures: [], skippedBecause: null },
};

export const placeKey = ({ joint, side }: SorePlace): string => `${joint}/${side ?? ''}`;

/** What was asked of sore places on this day already. */
export const askedToday = ({ pains }: Known, today: IsoDate): Readonly<Record<string, number>> =>
  Object.fromEntries(pains.flatMap((p) => (p.askedOn === today ? [[placeKey(p), p.level]] : [])));

/** Sore places nobody has said a number of, in the order they are asked. */
export const painsUnsaid = ({ pains }: Known, { levels }: Pick<CheckSaid, 'levels'>): PainNow[] =>
  pains.filter((p) => levels[placeKey(p)] === undefined);

/**
 * Whether somebody is asked before they start: nobody checked them today, or the signs were read to the room and their
 * sore places are still to be asked. Left out with a reason, nothing more is asked.
 */
export function toBeChecked(known: Known, today: IsoDate): boolean {
  const { dayCheck } = known;
  if (dayCheck === null) return true;
  return (
    dayCheck.content.skippedBecause === null && painsUnsaid(known, { levels: askedToday(known, today) }).length > 0
  );
}

/** A sign that no earlier check of the day has: what belongs to it is asked. */
export const isNewSign = (id: DaySign, { dayCheck }: Known, { signs }: Pick<CheckSaid, 'signs'>): boolean =>
  signs.includes(id) && dayCheck?.content.signs.includes(id) !== true;

/** What was ticked and not said to the end, in the order it is asked; `null` where nothing is left. */
export function unsaid(known: Known, said: CheckSaid): Unsaid | null {
  if (isNewSign('fall', known, said) && Object.values(said.fall).includes(null)) return { kind: 'fall' };
  if (isNewSign('hot-joint', known, said) && said.hot === null) return { kind: 'hot-joint' };
  const [pain] = painsUnsaid(known, said);
  return pain ? { kind: 'pain', pain } : null;
}

/**
 * What a check of the day notes, in this order: how much each sore place hurts today, *the same* with its day like any
 * number; a fall; the check itself. A fall somebody looked at is a fall, and no sign of the day.
 * @param measured what was measured seated, and why the questions were left out where they were
 */
export function contentsOfCheck(
  known: Known,
  said: CheckSaid,
  measured: {
    readonly pulse: number | null;
    readonly pressures: readonly Pressure[];
    readonly skippedBecause: string | null;
  },
  today: IsoDate,
  hotJointPain: number,
): EntryContent[] {
  const { fall, signs } = said;
  const fell: EntryContent[] =
    isNewSign('fall', known, said) && fall.fellOn !== null
      ? [
          {
            ...{ kind: 'fall', fellOn: fall.fellOn, hurt: fall.hurt === true, lookedAt: fall.lookedAt === true },
            ...{ headStruck: fall.headStruck === true, unexplained: false },
          },
        ]
      : [];
  const seen = fell.length > 0 && fall.lookedAt === true;
  return [
    ...painsSaid(known, said, today, hotJointPain),
    ...fell,
    { kind: 'day-check', signs: signs.filter((id) => id !== 'fall' || !seen), ...measured },
  ];
}

/** An answer that was given today already is not noted twice; a hot joint counts as so much, or as more where it is said. */
function painsSaid(known: Known, said: CheckSaid, today: IsoDate, hotJointPain: number): EntryContent[] {
  const before = askedToday(known, today);
  const hot = isNewSign('hot-joint', known, said) ? said.hot : null;
  const asked = known.pains.flatMap((p) => {
    const level = said.levels[placeKey(p)];
    return level === undefined || level === before[placeKey(p)] ? [] : [{ ...p, level }];
  });
  const isHot = (p: SorePlace): boolean => hot !== null && placeKey(p) === placeKey(hot);
  const answers = [
    ...asked.filter((p) => !isHot(p)),
    ...(hot
      ? [
          {
            ...hot,
            level: Math.max(hotJointPain, said.levels[placeKey(hot)] ?? 0),
            since: known.pains.find(isHot)?.since ?? null,
          },
        ]
      : []),
  ];
  return answers.map(({ joint, side, level, since }) => ({ kind: 'pain', joint, side, level, since }));
}
