import Link from 'next/link';
import { amount } from '../../core/math/amount';
import type { IsoDate } from '../../core/shapes/facts';
import type { ClassListed } from '../../core/train/plan';
import { ButtonLink } from '../touch/button';
import { dayWords } from '../words';

interface Props {
  readonly classes: readonly ClassListed[];
  readonly groups: readonly { readonly id: string; readonly name: string; readonly today: boolean }[];
  readonly today: IsoDate;
  /** Classes of earlier days that nobody had ended, and that ended themselves just now. */
  readonly forgotten: number;
}

const stateWords = { planned: 'planned', running: 'runs', closed: 'held' } as const;

/** Classes: one to plan for each group, those of today first, and what was held. */
export function ClassList({ classes, groups, today, forgotten }: Props) {
  const inOrder = [...groups].sort((a, b) => Number(b.today) - Number(a.today));
  return (
    <div className="pt-5">
      <h1 className="text-2xl font-extrabold">Class</h1>
      {forgotten > 0 && (
        <p className="mt-3 border-l-8 border-lunge bg-board px-4 py-2" role="status">
          {forgotten === 1 ? 'A class of an earlier day was' : `${forgotten} classes of earlier days were`} still open.
          It ends at its last line, and says so.
        </p>
      )}
      <section aria-labelledby="plan" className="mt-4">
        <h2 id="plan" className="border-b-2 border-ink pb-1 text-lg font-bold">
          Plan one
        </h2>
        {groups.length === 0 ? (
          <p className="py-4 text-lg">
            A class is for a group: make one, such as “Tuesday 10:00”, and put people into it.{' '}
            <Link href="/people/groups" className="text-squat underline underline-offset-4">
              Groups
            </Link>
          </p>
        ) : (
          <ul>
            {inOrder.map((g) => (
              <li key={g.id} className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule py-2">
                <span className="min-w-40 text-lg font-bold">{g.name}</span>
                {g.today && <span>comes today</span>}
                <Link
                  href={`/class/weeks?group=${g.id}`}
                  className="ml-auto inline-flex min-h-11 items-center text-squat underline underline-offset-4"
                >
                  Its weeks
                </Link>
                <ButtonLink look={g.today ? 'main' : 'line'} href={`/class/plan?group=${g.id}`}>
                  Plan its class
                </ButtonLink>
              </li>
            ))}
            <li className="py-2">
              <Link
                href="/class/plan"
                className="inline-flex min-h-11 items-center text-squat underline underline-offset-4"
              >
                For who sits in today, whatever their group
              </Link>
            </li>
          </ul>
        )}
      </section>
      {classes.length > 0 && (
        <section aria-labelledby="held" className="mt-6">
          <h2 id="held" className="border-b-2 border-ink pb-1 text-lg font-bold">
            Planned and held
          </h2>
          <ul>
            {classes.map((c) => (
              <li key={c.key} className="flex flex-wrap items-center gap-x-5 border-b border-rule">
                <Link
                  href={c.state === 'closed' ? `/class/${c.key}/after` : `/class/${c.key}`}
                  className="flex min-h-12 min-w-0 flex-1 flex-wrap items-center gap-x-5"
                >
                  <span className="num w-32">{c.day === today ? 'today' : dayWords(c.day)}</span>
                  <span className="min-w-0 flex-1 font-semibold underline decoration-rule underline-offset-4">
                    {c.title}
                  </span>
                  <span>{groups.find((g) => g.id === c.groupId)?.name}</span>
                  <span>{amount(c.people, 'people')}</span>
                  <b className="w-20">{stateWords[c.state]}</b>
                </Link>
                {c.state !== 'closed' && (
                  <Link
                    href={`/class/${c.key}/set-up`}
                    className="inline-flex min-h-11 items-center text-squat underline underline-offset-4"
                  >
                    Who sits where
                  </Link>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
