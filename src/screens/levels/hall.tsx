import Link from 'next/link';
import { waitingLevels } from '../../core/level/standing';
import { lookOf } from '../drawing/patterns';
import { StateMark, StateWord } from '../drawing/stateMark';
import { Stool } from '../drawing/stool';
import { Pages, type HallPage } from '../frame/pages';
import { levelWords } from './levelWords';
import { levelsShown, waitWords } from './levelsShown';

/** Everybody’s levels in the order given: those that wait for a yes first. */
export function HallLevels({ people: order, pages }: HallPage) {
  return (
    <div className="pt-5">
      <h1 className="text-2xl font-extrabold">Levels</h1>
      <p className="text-ink-soft">
        Behind the words the code: pattern and rung, seat height in cm, hands (2 both, 1 one, f fingertips, h hovering,
        0 free); behind @ what to start with.
      </p>
      {order.length === 0 && <p className="py-8 text-lg">Levels follow from the first test.</p>}
      <ul className="mt-4 grid gap-x-10 md:grid-cols-2 xl:grid-cols-3">
        {order.map((p) => {
          const waits = waitingLevels(p.standings).length;
          const levels = levelsShown(p);
          if (levels.length === 0 && !p.levels.refused) return null;
          const seat = levels.find((l) => l.targetCm !== null);
          return (
            <li key={p.person.id} className="border-t border-rule">
              <Link href={`/people/${p.person.id}/levels`} className="flex items-center gap-4 py-2">
                <Stool heightCm={seat?.targetCm ?? null} support={seat?.support ?? '0'} units={p.units} size={84} />
                <span className="min-w-0 flex-1">
                  <span className="block font-bold">{p.person.name}</span>
                  {levels.map((l) => (
                    <span key={l.pattern} className="block">
                      <span className={`font-semibold ${lookOf(l.pattern).words}`}>{levelWords(l, p.units)}</span>{' '}
                      <span className="num text-sm whitespace-nowrap text-ink-soft">{l.code}</span>
                      {l.byHand && <span className="text-sm"> set by hand</span>}
                    </span>
                  ))}
                  <span className="flex items-center gap-2 text-sm">
                    {p.levels.refused ? (
                      <StateWord state="not-today" />
                    ) : (
                      <>
                        {waits > 0 && <StateMark state="waits" silent />} {waitWords(p)}
                      </>
                    )}
                  </span>
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
      <Pages {...pages} />
    </div>
  );
}
