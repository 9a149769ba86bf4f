import Link from 'next/link';
import { leadWords } from '../scores/lead';
import { StateMark } from '../drawing/stateMark';
import { Pages, type HallPage } from '../frame/pages';
import { dayWords } from '../words';
import { RetestWeeks } from './weeks';

/** Who is due when, by rule. */
export function HallRetests({ people, pages, dueOn, today }: HallPage & { dueOn: readonly string[]; today: string }) {
  const dated = people.flatMap((p) => (p.due ? [{ ...p, due: p.due }] : []));
  return (
    <div className="pt-5">
      <h1 className="text-2xl font-extrabold">Retest</h1>
      {dated.length === 0 ? (
        <p className="py-8 text-lg">The dates follow from the first results.</p>
      ) : (
        <div className="mt-3 grid gap-10 lg:grid-cols-[1fr_1.4fr]">
          <section aria-labelledby="weeks">
            <h2 id="weeks" className="border-b-2 border-ink pb-1 text-lg font-bold">
              By week
            </h2>
            <div className="pt-3">
              <RetestWeeks dueOn={dueOn} today={today} />
            </div>
            <p className="mt-3">
              12 weeks after a test; 8 past a watch line or with care; 4 while somebody is not well, or a question is
              open with a licensed professional.
            </p>
            <p className="text-sm text-ink-soft">Common practice, no published source.</p>
          </section>
          <section aria-labelledby="who">
            <h2 id="who" className="border-b-2 border-ink pb-1 text-lg font-bold">
              Who and why
            </h2>
            <ul>
              {dated.map((p) => (
                <li key={p.person.id} className="flex min-h-12 flex-wrap items-center gap-x-3 border-b border-rule">
                  {p.due.on <= today ? <StateMark state="due" silent /> : <span className="w-5" />}
                  <Link
                    href={`/people/${p.person.id}/retest`}
                    className="flex min-h-11 min-w-44 items-center font-bold"
                  >
                    {p.person.name}
                  </Link>
                  <span>
                    {p.due.on <= today ? 'due since ' : ''}
                    {dayWords(p.due.on)}
                  </span>
                  <span className="text-sm text-ink-soft">
                    {p.due.weeks} weeks: {p.due.why}
                  </span>
                  <span className="num ml-auto">{leadWords(p)}</span>
                </li>
              ))}
            </ul>
          </section>
        </div>
      )}
      <Pages {...pages} />
    </div>
  );
}
