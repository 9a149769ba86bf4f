import Link from 'next/link';
import type { Weeks } from '../../core/train/weeks';
import { BackLink } from '../touch/backLink';
import { Heading } from '../touch/heading';
import { dayWords } from '../words';
import { WeeksChart } from './weeksChart';

interface Props extends Weeks {
  /** Of one person: their page; of a group: the classes. */
  readonly back: readonly [href: string, words: string];
  readonly ofGroup: boolean;
}

/** Twelve weeks of a group or of a person: who was there, for how long, how much was clean. */
export function WeeksPage({ whose, weeks, people, back: [href, words], ofGroup }: Props) {
  const held = weeks.reduce((sum, w) => sum + w.classes, 0);
  return (
    <div className="pt-3">
      <BackLink href={href}>{words}</BackLink>
      <h1 className="text-2xl font-extrabold">Twelve weeks of {whose}</h1>
      {held === 0 ? (
        <p className="mt-4 border-l-8 border-squat bg-board p-4 text-lg">
          No class was logged in these weeks: plan one on{' '}
          <Link href="/class" className="text-squat underline underline-offset-4">
            Class
          </Link>
          .
        </p>
      ) : (
        <div className={`mt-3 grid gap-x-8 gap-y-6 ${ofGroup ? 'lg:grid-cols-[minmax(0,1fr)_26rem]' : ''}`}>
          <WeeksChart weeks={weeks} />
          {ofGroup && (
            <section aria-labelledby="people">
              <Heading id="people">Who came</Heading>
              <ul className="mt-1">
                {people.map((p) => (
                  <li key={p.id} className="flex min-h-11 items-center gap-x-3 border-b border-rule">
                    <Link
                      href={`/class/weeks?person=${p.id}`}
                      className="inline-flex min-h-11 min-w-0 flex-1 items-center font-semibold underline decoration-rule underline-offset-4"
                    >
                      {p.name}
                    </Link>
                    <span className="flex flex-wrap gap-1" aria-hidden>
                      {p.classes.map((c, i) => (
                        <span key={i} title={dayWords(c.day)}>
                          {c.came ? '●' : '–'}
                        </span>
                      ))}
                    </span>
                    <span className="num whitespace-nowrap">
                      {p.classes.filter((c) => c.came).length} of {p.classes.length}
                    </span>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
      )}
    </div>
  );
}
