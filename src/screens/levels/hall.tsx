import Link from 'next/link';
import { StateMark } from '../drawing/stateMark';
import { Stool } from '../drawing/stool';
import { Pages, type HallPage } from '../frame/pages';
import { dayWords } from '../words';

/** Squat levels in the order given: those that wait for a yes first. */
export function HallLevels({ people: order, pages }: HallPage) {
  return (
    <div className="pt-5">
      <h1 className="text-2xl font-extrabold">Squat levels</h1>
      <p className="text-ink-soft">Rung, seat height and hands; the number behind @ is what to start with.</p>
      {order.length === 0 && <p className="py-8 text-lg">A level follows from the first chair stand test.</p>}
      <ul className="mt-4 grid gap-x-10 md:grid-cols-2 xl:grid-cols-3">
        {order.map((p) => {
          const confirmed = p.confirmed.at(-1);
          const level = p.levelWaiting ?? confirmed?.level;
          if (!level) return null;
          return (
            <li key={p.person.id} className="border-t border-rule">
              <Link href={`/people/${p.person.id}/levels`} className="flex items-center gap-4 py-2">
                <Stool heightCm={level.targetCm} support={level.support} size={84} />
                <span>
                  <span className="block font-bold">{p.person.name}</span>
                  <span className="num block text-lg font-bold text-squat">{level.code}</span>
                  <span className="block">{level.name}</span>
                  <span className="flex items-center gap-2 text-sm">
                    <StateMark mark={p.levelWaiting ? 'unknown' : 'ready'} silent />
                    {p.levelWaiting ? 'waits for your yes' : `confirmed ${dayWords(confirmed?.confirmedOn ?? '')}`}
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
