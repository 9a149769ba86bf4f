import Link from 'next/link';
import { protocols } from '../../catalogue/protocols';
import { protocolIn } from '../../core/score/shownUnits';
import { moreIsBetter, scoredValue } from '../../core/score/scoreResult';
import { attentionOf, type TestView } from '../../core/view/testView';
import type { PersonView } from '../../core/view/personView';
import type { Protocol } from '../../core/shapes/protocol';
import { StackRail, type StackFlag } from '../drawing/stackRail';
import { StateMark } from '../drawing/stateMark';
import { Pages, type HallPage } from '../frame/pages';
import { PrintButton } from '../touch/printButton';
import { Wide } from '../touch/wide';
import { resultWords, standingWords } from './testWords';

/** How many tests stand side by side before the small rails say nothing any more. */
const columns = 7;

export interface HallOrder {
  readonly sort: string;
  readonly pastOnly: boolean;
}

/** Everybody’s newest results as a grid of small rails: a row a person, a column a test, better to the right. */
export function HallScores({ people, pages, order }: HallPage & { order: HallOrder }) {
  const shown = protocols.filter((p) => people.some((v) => v.tests.some((t) => t.test === p.id))).slice(0, columns);
  const link = (more: Partial<HallOrder>) => {
    const { sort, pastOnly } = { ...order, ...more };
    return `/scores?sort=${sort}${pastOnly ? '&past=1' : ''}`;
  };
  return (
    <div className="pt-5">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <h1 className="text-2xl font-extrabold">Scores of the hall</h1>
        <Link
          href={link({ pastOnly: !order.pastOnly })}
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
      {people.length === 0 ? (
        <p className="py-8 text-lg">
          {order.pastOnly ? 'Nobody is past a watch line. ' : 'No results yet. '}
          <a href={order.pastOnly ? link({ pastOnly: false }) : '/test'} className="text-squat underline">
            {order.pastOnly ? 'Show everybody' : 'Start testing'}
          </a>
        </p>
      ) : (
        <Wide label="Scores of everybody">
          <table className="mt-3 w-full min-w-[1100px] table-fixed text-left print:min-w-0">
            <thead className="text-sm">
              <tr className="border-b-2 border-ink">
                <Head to={link({ sort: 'name' })} on={order.sort === 'name'} className="w-48">
                  Name
                </Head>
                <Head to={link({ sort: 'past' })} on={order.sort === 'past'} className="w-20">
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
        </Wide>
      )}
      <Pages {...pages} />
    </div>
  );
}

function Head({
  to,
  on,
  className = '',
  children,
}: {
  to: string;
  on: boolean;
  className?: string;
  children: React.ReactNode;
}) {
  return (
    <th className={`pr-3 align-bottom font-semibold ${className}`} aria-sort={on ? 'ascending' : undefined}>
      <Link href={to} className="flex min-h-11 items-end pb-1">
        <span className={on ? 'underline decoration-2 underline-offset-4' : ''}>{children}</span>
        {on && <span aria-hidden>&nbsp;▾</span>}
      </Link>
    </th>
  );
}

function Row({ view, shown }: { view: PersonView; shown: readonly Protocol[] }) {
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
      <td>
        {view.toWatch > 0 && (
          <span className="num flex items-center gap-2 font-bold">
            <StateMark mark="watch" silent /> {view.toWatch}
          </span>
        )}
      </td>
      {shown.map((protocol) => (
        <td key={protocol.id} className="pr-3">
          <Cell protocol={protocolIn(view.units, protocol)} test={view.tests.find((t) => t.test === protocol.id)} />
        </td>
      ))}
    </tr>
  );
}

function Cell({ protocol, test }: { protocol: Protocol; test: TestView | undefined }) {
  const newest = test?.series[0]?.results[0];
  if (!test || !newest) return <span className="text-sm text-ink-soft">–</span>;
  const { score } = newest;
  const words = resultWords(protocol, newest);
  const value = score.value === null || score.handsUsed ? null : scoredValue(protocol, score.value);
  const flags: StackFlag[] = value === null ? [] : [{ value, kind: 'latest' }];
  return (
    <>
      <span className={`num text-sm ${attentionOf(test) > 0 ? 'font-bold' : ''}`}>
        {attentionOf(test) > 0 && score.rank.kind === 'no-norm' ? '◆ ' : ''}
        {words}
      </span>
      <StackRail
        score={score}
        higherIsBetter={moreIsBetter(protocol)}
        flags={flags}
        reach={null}
        width={130}
        label={`${protocol.short}: ${words}, ${standingWords(score)}`}
        tiny
      />
    </>
  );
}
