import Link from 'next/link';
import type { ReactNode } from 'react';
import { protocols } from '../../catalogue/protocols';
import { protocolIn } from '../../core/score/shownUnits';
import { moreIsBetter, scoredValue } from '../../core/score/scoreResult';
import { isWatched, type NewestTest } from '../../core/view/testView';
import type { PersonScores } from '../../core/view/personView';
import type { Protocol } from '../../core/shapes/protocol';
import { tinyMarks } from '../drawing/tinyMarks';
import { TinyRail } from '../drawing/tinyRail';
import { StateMark } from '../drawing/stateMark';
import { Pages, type HallPage } from '../frame/pages';
import { PrintButton } from '../touch/printButton';
import { resultWords, standingWords } from './testWords';

/** How many tests stand side by side before the small rails say nothing any more. */
const columns = 7;

export interface HallOrder {
  readonly sort: string;
  readonly pastOnly: boolean;
}

/** The same list otherwise sorted or filtered. */
const linkTo = (order: HallOrder, more: Partial<HallOrder>): string => {
  const { sort, pastOnly } = { ...order, ...more };
  return `/scores?sort=${sort}${pastOnly ? '&past=1' : ''}`;
};

/** What stands over the grid and needs nobody to be looked up: it shows at once. */
export function HallScores({ order, children }: { order: HallOrder; children: ReactNode }) {
  return (
    <div className="wide-paper pt-5">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <h1 className="text-2xl font-extrabold">Scores of the hall</h1>
        <Link
          href={linkTo(order, { pastOnly: !order.pastOnly })}
          className={`flex min-h-11 items-center rounded-md border-2 border-ink px-4 font-semibold print:hidden ${order.pastOnly ? 'bg-ink text-board' : 'bg-board'}`}
          aria-current={order.pastOnly ? 'true' : undefined}
        >
          Past a watch line only
        </Link>
        <span className="ml-auto print:hidden">
          <PrintButton look="line" />
        </span>
      </div>
      <p className="text-ink-soft">
        Each rail is that person’s own norm row, the middle halves under each other. Diamonds are watch lines, filled
        where the newest result is past.
      </p>
      {children}
    </div>
  );
}

/** Everybody’s newest results as a grid of small rails: a row a person, a column a test, better to the right. */
export function HallScoresGrid({ people, pages, order }: HallPage<PersonScores> & { order: HallOrder }) {
  const shown = protocols.filter((p) => people.some((v) => v.tests.some((t) => t.test === p.id))).slice(0, columns);
  const link = (more: Partial<HallOrder>) => linkTo(order, more);
  return (
    <>
      {people.length === 0 ? (
        <p className="py-8 text-lg">
          {order.pastOnly ? 'Nobody is past a watch line. ' : 'No results yet. '}
          <a href={order.pastOnly ? link({ pastOnly: false }) : '/test'} className="text-squat underline">
            {order.pastOnly ? 'Show everybody' : 'Start testing'}
          </a>
        </p>
      ) : (
        <table className="mt-3 w-full table-fixed text-left max-xl:screen:cards">
          <thead className="text-sm">
            <tr className="border-b-2 border-ink">
              <Head to={link({ sort: 'name' })} on={order.sort === 'name'} className="w-48">
                Name
              </Head>
              <Head to={link({ sort: 'past' })} on={order.sort === 'past'} sorted="descending" className="w-20">
                To watch
              </Head>
              {shown.map((p) => (
                <Head key={p.id} to={link({ sort: p.id })} on={order.sort === p.id}>
                  {p.short}
                </Head>
              ))}
            </tr>
          </thead>
          <tbody>
            {people.map((view) => (
              <Row key={view.person.id} view={view} shown={shown} />
            ))}
          </tbody>
        </table>
      )}
      <Pages {...pages} />
    </>
  );
}

function Head({
  to,
  on,
  sorted = 'ascending',
  className = '',
  children,
}: {
  to: string;
  on: boolean;
  /** Which way the lines go when sorted by it. */
  sorted?: 'ascending' | 'descending';
  className?: string;
  children: ReactNode;
}) {
  return (
    <th className={`pr-3 align-bottom font-semibold ${className}`} aria-sort={on ? sorted : undefined}>
      <Link href={to} className="flex min-h-11 items-end pb-1">
        <span className={on ? 'underline decoration-2 underline-offset-4' : ''}>{children}</span>
        {on && <span aria-hidden>&nbsp;{sorted === 'ascending' ? '▴' : '▾'}</span>}
      </Link>
    </th>
  );
}

function Row({ view, shown }: { view: PersonScores; shown: readonly Protocol[] }) {
  return (
    <tr className="border-b border-rule">
      <th className="font-normal">
        <Link
          href={`/people/${view.person.id}/scores`}
          className="flex min-h-11 items-center font-bold underline decoration-rule underline-offset-4"
        >
          {view.person.name}
        </Link>
      </th>
      <td className={view.toWatch === 0 ? 'max-xl:screen:hidden!' : ''} data-head="To watch">
        {view.toWatch > 0 && (
          <span className="num flex items-center gap-2 font-bold">
            <StateMark state="to-watch" silent /> {view.toWatch}
          </span>
        )}
      </td>
      {shown.map((protocol) => (
        <Cell
          key={protocol.id}
          protocol={protocolIn(view.units, protocol)}
          test={view.tests.find((t) => t.test === protocol.id)}
        />
      ))}
    </tr>
  );
}

function Cell({ protocol, test }: { protocol: Protocol; test: NewestTest | undefined }) {
  const newest = test?.series[0]?.results[0];
  if (!test || !newest) return <td className="pr-3 text-sm text-ink-soft max-xl:screen:hidden!">–</td>;
  const { score } = newest;
  const words = resultWords(protocol, newest);
  const value = score.value === null || score.handsUsed ? null : scoredValue(protocol, score.value);
  const marks = tinyMarks(score, moreIsBetter(protocol), value);
  return (
    <td className="pr-3" data-head={protocol.short}>
      <div className="min-w-0">
        <span className={`num flex items-center gap-1 text-sm ${isWatched(test) ? 'font-bold' : ''}`}>
          {isWatched(test) && <StateMark state="to-watch" />}
          {words}
        </span>
        {marks && <TinyRail {...marks} label={`${protocol.short}: ${words}, ${standingWords(score)}`} />}
      </div>
    </td>
  );
}
