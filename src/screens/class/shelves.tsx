import { shelves, type Shelf } from '../../core/shapes/class';
import { sentenceIn, shortLengthWords, unitsOf } from '../../core/math/units';
import type { UnitSystem } from '../../core/shapes/person';
import { isVariant, type Doing } from '../../core/train/variant';
import { handsAreNamed, handWords, loadWords } from '../levels/levelWords';
import type { ClassPlan } from '../../core/train/plan';
import type { WrittenLine } from '../../core/shapes/classLog';
import { standing } from '../../core/train/log';
import { lineWords } from './lineWords';

const shelfWords: Readonly<Record<Shelf, string>> = { A: 'A, at the wall', B: 'B, beside', C: 'C, free' };

/** Who is on what, where they stand; what was tapped of them stands beside the name. */
export function Shelves({
  plan,
  units,
  there,
  of,
  lines,
  choose,
  withWhom,
}: {
  plan: ClassPlan;
  units: UnitSystem;
  there: ReadonlySet<string>;
  of: (id: string) => Doing | null;
  lines: readonly WrittenLine[];
  choose: (id: string) => void;
  /** The name of who helps them, on the tablet of who leads. */
  withWhom: (id: string) => string | null;
}) {
  const noted = new Map<string, string>();
  for (const l of standing(lines)) {
    const words = lineWords(l);
    if (l.personId !== null && words !== null) noted.set(l.personId, words);
  }
  const people = plan.who.filter((w) => there.has(w.id));
  /** In a block without a movement nobody stands on a shelf. */
  const works = people.some((w) => of(w.id) !== null);
  const rows = shelves.map((shelf) => ({
    shelf,
    people: people.filter((w) => {
      const doing = of(w.id);
      return doing && isVariant(doing) ? doing.shelf === shelf : shelf === 'A';
    }),
  }));
  return (
    <section aria-label="Who does what" className="grid content-start gap-3">
      {rows.map(
        ({ shelf, people: these }) =>
          these.length > 0 && (
            <div key={shelf}>
              <h2 className="border-b-2 border-ink font-bold">{works ? shelfWords[shelf] : 'Everybody'}</h2>
              <ul>
                {these.map((w) => {
                  const doing = of(w.id);
                  return (
                    <li key={w.id} className="border-b border-rule">
                      <button
                        type="button"
                        className="flex min-h-12 w-full cursor-pointer items-baseline gap-3 py-1 text-left"
                        onClick={() => choose(w.id)}
                      >
                        <span className="w-32 shrink-0 text-lg font-bold">{w.short}</span>
                        <span className="min-w-0 text-base leading-5">
                          {doing && <DoingWords doing={doing} units={units} />}
                          {withWhom(w.id) !== null && <span className="block">with {withWhom(w.id)}</span>}
                          {noted.has(w.id) && <b className="block">{noted.get(w.id)}</b>}
                        </span>
                      </button>
                    </li>
                  );
                })}
              </ul>
            </div>
          ),
      )}
    </section>
  );
}

function DoingWords({ doing, units }: { doing: Doing; units: UnitSystem }) {
  if (!isVariant(doing)) return doing.why;
  const { name, much, targetCm, support, loadKg, carried, spotter, turn, why, folded } = doing;
  const how = [
    ...(much === undefined ? [] : [sentenceIn(much, units)]),
    ...(targetCm === null ? [] : [shortLengthWords(targetCm, unitsOf[units].length)]),
    // What is said beside the name says it already.
    ...(handsAreNamed(name) || folded === 'held' ? [] : [handWords[support]]),
    ...(loadKg === null ? [] : [loadWords({ loadKg, carried }, units)]),
    ...(spotter === null
      ? []
      : [`${spotter} beside${turn === undefined ? '' : turn === 1 ? ', rounds 1, 3 …' : ', rounds 2, 4 …'}`]),
    ...(why === null ? [] : [why]),
  ];
  return `${name}${how.length > 0 ? `, ${how.join(', ')}` : ''}`;
}
