import type { Level } from '../../core/level/answer';
import type { SwapAnswer } from '../../core/level/swap';
import type { Side } from '../../core/shapes/facts';
import type { Ladder, LoadedJoint } from '../../core/shapes/ladder';
import type { PersonView } from '../../core/view/personView';
import { sentenceIn } from '../../core/math/units';
import { CourtLine, lookOf } from '../drawing/patterns';
import { doWords } from '../levels/levelDetail';
import { SwapFlow, type OfferShown, type ToldAnswer } from './swapFlow';
import type { SaveSwap } from './keepingSwap';
import { KeptSwap } from './keptSwap';
import { BackLink } from '../touch/backLink';

interface Props {
  readonly view: PersonView;
  readonly asked: string;
  readonly swaps:
    | {
        readonly kind: 'swaps';
        readonly level: Level;
        readonly answers: Readonly<Record<LoadedJoint, Readonly<Record<'0-2' | '3-4', SwapAnswer>>>>;
        readonly swappedToday: readonly LoadedJoint[];
      }
    | { readonly kind: 'closed'; readonly why: readonly string[] };
  readonly nothingWhen: Readonly<Record<LoadedJoint, readonly string[]>>;
  readonly ladders: readonly Ladder[];
  readonly save: SaveSwap;
}

/** A movement hurts: where, how much, and what is done instead today. */
export function SwapScreen(props: Props) {
  const { person } = props.view;
  const back = `/people/${person.id}/levels`;
  return (
    <>
      <p className="flex flex-wrap items-baseline gap-x-4 pt-3">
        <BackLink href={back}>Levels of {person.name}</BackLink>
        <span className="text-ink-soft">for today; the level stays</span>
      </p>
      <KeptSwap back={back}>
        {props.swaps.kind === 'closed' ? (
          <Closed {...props} why={props.swaps.why} />
        ) : (
          <Open {...props} swaps={props.swaps} />
        )}
      </KeptSwap>
    </>
  );
}

function Closed({ asked, why, view: { units } }: Pick<Props, 'asked' | 'view'> & { why: readonly string[] }) {
  return (
    <>
      <h1 className="text-2xl font-extrabold">{asked || 'This movement'} is not open today</h1>
      <p className="mt-2 text-lg first-letter:uppercase">{sentenceIn(why.join('; '), units)}.</p>
      <p className="mt-2">There is nothing to swap: leave it out, and note a pain at its joint.</p>
    </>
  );
}

function Open({
  view: { units, known },
  swaps: { level, answers, swappedToday },
  nothingWhen,
  ladders,
  save,
}: Omit<Props, 'swaps'> & { swaps: Extract<Props['swaps'], { kind: 'swaps' }> }) {
  const shown = (answer: SwapAnswer): ToldAnswer =>
    answer.kind === 'nothing'
      ? answer
      : {
          kind: 'offers',
          offers: answer.offers.map((o): OfferShown => {
            const ladder = ladders.find((l) => l.pattern === o.level.pattern);
            return {
              ...{ code: o.level.code, name: o.level.name, pattern: o.level.pattern, rung: o.level.rung, why: o.why },
              changes: o.changes,
              told: o.changes.map((c) => sentenceIn(c, units)),
              does: ladder ? doWords(o.level, ladder, units) : '',
            };
          }),
        };
  const byJoint = Object.fromEntries(
    Object.entries(answers).map(([joint, of]) => [joint, { '0-2': shown(of['0-2']), '3-4': shown(of['3-4']) }]),
  ) as Record<LoadedJoint, Record<'0-2' | '3-4', ToldAnswer>>;
  return (
    <>
      <h1 className="flex flex-wrap items-baseline gap-x-4 text-2xl font-extrabold">
        <span className={`num ${lookOf(level.pattern).words}`}>
          {level.pattern}
          {level.rung}
        </span>
        {level.name} hurts
      </h1>
      <CourtLine pattern={level.pattern} />
      <SwapFlow
        about={{ pattern: level.pattern, rung: level.rung }}
        {...{ byJoint, swappedToday, nothingWhen, save }}
        knownSides={sidesOf(known.limiters)}
      />
    </>
  );
}

/** The side of a joint that is known to hurt, where it is one. */
function sidesOf(limiters: PersonView['known']['limiters']): Partial<Record<LoadedJoint, Side>> {
  const of = (joint: string) => [
    ...new Set(limiters.flatMap((l) => (l.kind === `${joint}-pain` && l.side ? [l.side] : []))),
  ];
  return Object.fromEntries(
    ['knee', 'hip', 'ankle', 'shoulder'].flatMap((joint) => {
      const [side, other] = of(joint);
      return side && !other ? [[joint, side]] : [];
    }),
  );
}
