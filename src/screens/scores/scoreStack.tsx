import { topOf } from '../../core/retest/change';
import Link from 'next/link';
import { protocolById } from '../../catalogue/protocols';
import { errorReach } from '../../core/score/error';
import { moreIsBetter, scoredUnit, scoredValue } from '../../core/score/scoreResult';
import { attentionOf, isWatched, type ScoredResult, type TestView } from '../../core/view/testView';
import type { PersonView } from '../../core/view/personView';
import type { PageThen } from '../../core/view/report';
import type { Protocol } from '../../core/shapes/protocol';
import { OwnRail } from '../drawing/ownRail';
import { StackHead, StackRail, type StackFlag } from '../drawing/stackRail';
import { StateMark } from '../drawing/stateMark';
import { PersonHead, personHrefs } from '../people/personHead';
import { ButtonLink } from '../touch/button';
import { shownTest } from '../shownTest';
import { dayWords, shortDay } from '../words';
import { CompositeLines } from './compositeLines';
import { changeWords } from './rail';
import { summaryWords, togetherWords } from './summary';
import { movedWords, readerWords, resultWords, sideLetter, standingWords } from './testWords';

const railWidth = 520;

interface Props {
  readonly view: PersonView;
  /** Pages handed out of this person, newest first. */
  readonly printed: readonly PageThen[];
  readonly today: string;
}

/**
 * All tests of one person, each a rail, better to the right and the middle halves under each other; what asks to be
 * looked at stands first.
 */
export function ScoreStack({ view, printed, today }: Props) {
  const hrefs = personHrefs(view.person.id);
  const tests = [...view.tests].sort((a, b) => attentionOf(b) - attentionOf(a));
  const judged = tests.filter((t) => t.series.some((s) => isJudged(s.results[0]))).length;
  return (
    <>
      <PersonHead {...view} here="scores" />
      {tests.length === 0 ? (
        <div className="py-8 text-lg">
          <p>
            No result yet. After the first test this page shows where it stands among people of the same age, as for
            somebody with 9 chair stands: about 17 in 100 of women 75–79.
          </p>
          <div className="mt-4 flex flex-wrap gap-4">
            <ButtonLink href={hrefs.test} hard>
              Set up the test
            </ButtonLink>
            <ButtonLink href={`/people/${view.person.id}/paper`} look="line">
              Results from paper
            </ButtonLink>
          </div>
        </div>
      ) : (
        <>
          <div className="flex flex-wrap items-center gap-x-4 gap-y-2 pt-3">
            <p className="min-w-60 flex-1 text-lg" data-testid="summary">
              {summaryWords(tests)}
              {view.together && <span className="block empty:hidden">{togetherWords(view.together)}</span>}
            </p>
            <ButtonLink href={`/people/${view.person.id}/report`} look="line">
              Print the page
            </ButtonLink>
            <ButtonLink href={`/people/${view.person.id}/paper`} look="line">
              Results from paper
            </ButtonLink>
            <ButtonLink href={hrefs.levels} hotkey="L">
              See the levels
            </ButtonLink>
          </div>
          <table className="mt-2 w-full text-left max-lg:cards">
            <thead className="text-sm text-ink-soft">
              <tr>
                <th className="w-72 pb-1 font-semibold">Test and newest result</th>
                <th className="w-[520px] pb-1 font-normal">
                  <span className="sr-only">Where it stands</span>
                  <StackHead start={railWidth} />
                </th>
                <th className="pb-1 pl-4 font-semibold">Among the same age</th>
                <th className="pb-1 font-semibold">Against the time before</th>
              </tr>
            </thead>
            <tbody>
              {tests.map((test) => (
                <TestRow key={test.test} view={view} test={test} today={today} />
              ))}
            </tbody>
          </table>
          <OtherFigures view={view} printed={printed} />
          <CompositeLines composites={view.composites} before={view.powerBefore} />
          <p className="mt-3 text-sm text-ink-soft">
            Better is to the right. Thick: the middle half of the same sex and age. Box: mean and spread. Blue flag: the
            newest result, hollow the other side, pale the ones before. Blue bar: how far the result moves by itself (95
            %). Diamonds are watch lines, filled where the result is past; discs what many keep. Dotted: no spread was
            published, so only the side of the line counts; thin with marks: no norms, the steps of the test or the
            person’s own results. Norms {view.normsVersion}.
            {judged > 1 && ` Of ${judged} tests compared, one unchanged test in twenty looks changed.`}
          </p>
        </>
      )}
    </>
  );
}

const isJudged = (s: ScoredResult | undefined): boolean => s !== undefined && 'mdc95' in s.change;

function TestRow({ view, test, today }: { view: PersonView; test: TestView; today: string }) {
  const protocol = shownTest(test.test, view.units);
  const lead = test.series[0];
  const newest = lead?.results[0];
  if (!protocol || !lead || !newest) return null;
  const { score } = newest;
  const others = test.series.slice(1);
  const rail = {
    higherIsBetter: moreIsBetter(protocol),
    flags: flagsOf(protocol, test),
    width: railWidth,
    label: `${protocol.short}: ${resultWords(protocol, newest)}, ${standingWords(score)}`,
  };
  const said = others.map((s) => s.results[0]).filter((s) => s !== undefined);
  return (
    <tr className="border-t border-rule align-middle">
      <th className="py-0.5 font-normal">
        <Link href={`/people/${view.person.id}/scores/${test.test}`} className="flex min-h-11 items-center gap-2.5">
          {isWatched(test) ? <StateMark state="to-watch" silent /> : <span className="w-5 shrink-0" />}
          <span>
            <b className="underline decoration-rule underline-offset-4">{protocol.short}</b>{' '}
            <span className="num font-bold sm:whitespace-nowrap">
              {sideLetter(lead.side)}
              {resultWords(protocol, newest)}
            </span>
            {said.map((s) => (
              <span key={s.key} className="num">
                {' · '}
                <span className="sm:whitespace-nowrap">
                  {sideLetter(s.result.side ?? null)}
                  {resultWords(protocol, s)}
                </span>
              </span>
            ))}
            <span className="block text-sm text-ink-soft">
              {shortDay(newest.on)}
              {newest.on.slice(0, 4) === today.slice(0, 4) ? '' : ` ${newest.on.slice(0, 4)}`}
              {newest.fromPaper ? ' · from paper' : ''}
            </span>
          </span>
        </Link>
      </th>
      <td>
        {score.rank.kind === 'no-norm' ? (
          <OwnRail {...rail} cutoffs={score.cutoffs} steps={topOf(protocol)} unit={scoredUnit(protocol)} />
        ) : (
          <StackRail {...rail} score={score} reach={score.error && errorReach(score.error)} />
        )}
      </td>
      <td className="pr-3 pl-4" data-head="Same age">
        {standingWords(score)}
      </td>
      <td data-head="Change">
        <span>
          {changeWords(newest.change).verdict}
          {test.sides?.flagged && <b className="block text-sm">sides far apart, twice running</b>}
        </span>
      </td>
    </tr>
  );
}

/** The newest of each side, and up to three earlier ones of the side gone by. */
function flagsOf(protocol: Protocol, { series }: TestView): StackFlag[] {
  return series.flatMap((s, lead) =>
    s.results.slice(0, lead === 0 ? 4 : 1).flatMap(({ result }, i): StackFlag[] =>
      result.value === null || result.handsUsed
        ? []
        : [
            {
              value: scoredValue(protocol, result.value),
              kind: i > 0 ? 'earlier' : lead === 0 ? 'latest' : 'other-side',
            },
          ],
    ),
  );
}

/** Said wherever the figures of the hall stand in for the printed ones, and of every page handed out that reads otherwise now. */
function OtherFigures({ view, printed }: { view: PersonView; printed: readonly PageThen[] }) {
  const own = view.tests.flatMap(({ test, series }) => {
    const protocol = protocolById(test);
    const set = series[0]?.results[0]?.score.normSet ?? null;
    return protocol && set !== (protocol.norms?.id ?? null) ? [protocol.short] : [];
  });
  return (
    <>
      {own.length > 0 && (
        <p className="mt-2 font-semibold" data-testid="hall-figures">
          Scored by figures of this hall, not the printed ones: {own.join(', ')}.
        </p>
      )}
      {printed
        .filter(({ moved }) => moved.length > 0)
        .map(({ id, report, moved }) => (
          <p key={id} className="mt-2" data-testid="reads-otherwise">
            <Link href={`/people/${view.person.id}/report/${id}`} className="text-squat underline underline-offset-4">
              The page of {dayWords(report.printedOn)} {readerWords(report)}
            </Link>{' '}
            reads otherwise by the figures in force now: {moved.map(movedWords).join('. ')}.
          </p>
        ))}
    </>
  );
}
