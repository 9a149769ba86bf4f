import type { Beside } from '../../core/level/accessories';
import { formChecks } from '../../catalogue/form-checks/formChecks';
import type { CardFigure } from '../../core/card/cards';
import type { Coached } from '../../core/level/coaching';
import type { Level } from '../../core/level/answer';
import { isOpen, trainedLevel, type Standing } from '../../core/level/standing';
import { ofKind } from '../../core/intake/entries';
import { sentencesIn } from '../../core/math/units';
import type { PersonView } from '../../core/view/personView';
import type { OwnExercise } from '../../core/shapes/own';
import type { Ladder, LevelRules } from '../../core/shapes/ladder';
import { CourtLine } from '../drawing/patterns';
import { ShortBars } from '../drawing/shortBars';
import { dayWords } from '../words';
import { wordProps, type WordsOn } from './bayWords';
import { LastWord } from './lastWord';
import type { ShortBay } from './levelBays';
import { Figure } from './figure';
import { Detail, NextRung } from './levelDetail';
import { Noticing } from './noticing';
import type { Say } from './saying';
import { SeenClean, type Note } from './seenClean';
import { LeaveOwn, TakeIn } from './takeIn';

/** One ladder beside the four, or one item of the set, with what may be said of it. */
export type BesideOn = Beside & { readonly words: WordsOn };

interface Props {
  readonly beside: readonly BesideOn[];
  readonly view: PersonView;
  readonly say: Say;
  readonly note: Note;
}
interface Shown {
  readonly rules: LevelRules;
  readonly coached: readonly Coached[];
  readonly figureOf: (level: Level) => CardFigure | null;
}

const keyOf = ({ ladder, item, own }: Beside): string => own?.id ?? `${ladder.pattern}${item ?? ''}`;
const titleOf = ({ ladder, item }: Beside): string =>
  item === null ? ladder.title : (ladder.rungs[0]?.name ?? ladder.title);

/** In force, or set aside by nobody: what is shown as a bay of its own. */
const isTaken = ({ standing }: Beside): boolean => standing.inForce !== null && standing.state !== 'aside';
const isShown = (beside: Beside): boolean => isTaken(beside) || beside.offeredFor !== null;

const aboutOf = ({ ladder, item, own, words }: BesideOn) => ({
  ...{ pattern: ladder.pattern, item, ...(own ? { own: own.id } : {}) },
  seen: isOpen(words.given) ? words.given.code : '',
});

/** Short bays at the side of the four: what somebody trains beside them, then what is offered, each with why. */
export function besideBays({ beside, view, rules, coached, say, note, figureOf }: Props & Shown): ShortBay[] {
  return beside.filter(isShown).map((one): ShortBay => {
    const { ladder, item, own, standing, offeredFor } = one;
    const level = shownOn(standing);
    const at = level && (item === null && !own ? level.rung : 1);
    const title = titleOf(one);
    return {
      key: keyOf(one),
      face: (
        <>
          <span className="flex items-baseline gap-2 px-1">
            <span className="text-xl leading-7 font-extrabold text-ink-soft">{ladder.pattern}</span>
            <span className="font-bold">{title}</span>
          </span>
          <CourtLine pattern={ladder.pattern} />
          <span className="flex items-start gap-2 px-1">
            <ShortBars rungs={ladder.rungs.length} at={at} />
            <span className="min-w-0 text-sm leading-5">
              {item === null && !own && <b>{level ? `${level.rung} ${level.name}` : 'none open today'}</b>}
              <span className="block">{noteOf(one)}</span>
            </span>
          </span>
        </>
      ),
      detail: (
        <OneBeside {...{ one, view, rules, coached, say, note, figureOf }} key={keyOf(one)} offeredFor={offeredFor} />
      ),
    };
  });
}

/** What somebody’s word holds under the rules; else what they give, with today’s reasons. */
function shownOn({ ceiling, state, inForce }: Standing): Level | null {
  const held = state === 'holds' ? (inForce?.level ?? null) : null;
  if (!isOpen(ceiling)) return held;
  return held && held.code !== ceiling.code ? held : ceiling;
}

/** What stands beside its name: in force, or why it is offered. */
function noteOf({ standing: { state, inForce }, offeredFor, ladder }: Beside): string {
  if (!inForce || state === 'aside') return offeredFor === null ? '' : `offered: ${offeredFor}`;
  if (state === 'over' || state === 'closed') return 'not to be trained on today';
  return state === 'holds' || ladder.rungs.length === 1 ? 'taken in' : 'taken in; the rules say more';
}

function OneBeside({
  one,
  offeredFor,
  view: { units, known, person },
  rules: { house },
  coached,
  say,
  note,
  figureOf,
}: { one: BesideOn; offeredFor: string | null } & Shown & Omit<Props, 'beside'>) {
  const { ladder, item, standing, words } = one;
  const { ceiling, state, inForce } = standing;
  const trained = trainedLevel(standing);
  const shown = shownOn(standing);
  const word = one.own ? null : wordProps([words], standing, ladder, units);
  const blockers = sentencesIn(ceiling.blockers, units);
  const about = aboutOf(one);
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        {inForce && state !== 'aside' ? (
          <p className="font-bold">
            Taken in {dayWords(inForce.decidedOn)} ({inForce.by}): <span className="num">{inForce.level.code}</span>
          </p>
        ) : (
          offeredFor !== null && (
            <p>
              <b>Offered for:</b> {offeredFor}.
            </p>
          )
        )}
        {isOpen(ceiling) && state !== 'holds' && (
          <TakeIn
            about={about}
            say={say}
            words={trained || state === 'over' ? 'As the rules give it now' : 'Take it in'}
          />
        )}
        {(state === 'over' || state === 'closed') && (
          <p className="font-semibold text-stop">What was taken in is not to be trained on today.</p>
        )}
      </div>
      {shown ? (
        <Detail
          ladder={ladder}
          level={sentencesIn(shown, units)}
          house={house}
          units={units}
          personId={person.id}
          coached={coached}
          figure={<Figure of={figureOf} level={shown} />}
        >
          {one.own && <OwnTaught own={one.own} />}
          {word && <LastWord key={word.seen} {...word} say={say} />}
          {one.own && inForce && state !== 'aside' && <LeaveOwn about={about} say={say} />}
          {trained && !one.own && (
            <SeenClean
              pattern={ladder.pattern}
              rung={trained.rung}
              holdsS={holdsAskedOf(ladder, trained.rung)}
              ticks={ofKind(known.entries, 'shown').filter(
                (e) => e.content.pattern === ladder.pattern && (item === null || e.content.rung === item),
              )}
              note={note}
            />
          )}
        </Detail>
      ) : (
        <NextRung from={0} blockers={blockers} ladder={ladder} />
      )}
    </>
  );
}

/** What was written of a movement of the hall's own: what it trains and what to look at. */
function OwnTaught({ own: { trains, checks } }: { own: OwnExercise }) {
  const looked = formChecks.filter((check) => checks.includes(check.code));
  return (
    <>
      {trains !== '' && (
        <p className="mt-2">
          <b>Trains:</b> {trains}
        </p>
      )}
      {looked.length > 0 && (
        <p className="mt-2">
          <b>Look at:</b> {looked.map(({ seen, cue }) => `${seen}: “${cue}”`).join(' ')}
        </p>
      )}
    </>
  );
}

/** How long a hold of a rung must last to open another of its ladder; none where it opens none. */
const holdsAskedOf = (ladder: Ladder, rung: number): number[] => [
  ...new Set(
    ladder.rungs.flatMap((r) =>
      r.needs.flatMap((n) =>
        'held' in n && n.held.pattern === ladder.pattern && n.held.rung === rung ? [n.held.seconds] : [],
      ),
    ),
  ),
];

/** All others beside the four: what is open, to be taken in with one press, and what keeps the rest. */
export function MoreBeside({ beside, view, say, note }: Props) {
  const others = beside.filter((one) => !isShown(one));
  const open = others.filter(({ standing }) => isOpen(standing.ceiling));
  const closed = others.filter(({ standing }) => !isOpen(standing.ceiling));
  return (
    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[1.3fr_1fr_1fr] xl:grid-cols-1">
      <div>
        <h2 className="border-b-2 border-ink pb-0.5 font-bold">Open, and not offered by anything known</h2>
        <ul className="divide-y divide-rule">
          {open.map((one) => {
            const { ceiling } = one.standing;
            const name = isOpen(ceiling) ? ceiling.name : titleOf(one);
            return (
              <li key={keyOf(one)} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-1.5">
                <span className="min-w-0 flex-1">
                  <b>
                    {one.ladder.pattern} {titleOf(one)}
                  </b>
                  {one.own && <span className="block text-sm">the hall’s own: {one.own.does}</span>}
                  {one.item === null && !one.own && <span className="block text-sm">{name}</span>}
                </span>
                <TakeIn about={aboutOf(one)} say={say} named={name} look="line" />
              </li>
            );
          })}
          {open.length === 0 && <li className="py-2">None.</li>}
        </ul>
      </div>
      <div>
        <h2 className="border-b-2 border-ink pb-0.5 font-bold">Closed today</h2>
        <ul className="divide-y divide-rule">
          {closed.map((one) => (
            <li key={keyOf(one)} className="py-1.5">
              <b>
                {one.ladder.pattern} {titleOf(one)}
              </b>
              <span className="block text-sm first-letter:uppercase">
                {sentencesIn(one.standing.ceiling.blockers, view.units)
                  .filter((b) => one.own !== undefined || b.rung === (one.item ?? 1))
                  .map((b) => b.text)
                  .join('; ')}
              </span>
            </li>
          ))}
          {closed.length === 0 && <li className="py-2">None.</li>}
        </ul>
      </div>
      <Noticing entries={ofKind(view.known.entries, 'noticed')} note={note} />
    </div>
  );
}
