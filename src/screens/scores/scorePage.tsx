import type { Floor } from '../../core/shapes/attempt';
import Link from 'next/link';
import { shortLengthWords, unitsOf } from '../../core/math/units';
import type { UnitSystem } from '../../core/shapes/person';
import { paceOf } from '../../core/measure/pace';
import { repsIn, type Trial } from '../../core/measure/trial';
import { clockMs } from '../../core/measure/phase';
import { momentsOf, percentileWords } from '../../core/score/rank';
import { isJudged } from '../../core/retest/change';
import { scoredUnit, scoreResult } from '../../core/score/scoreResult';
import type { NormTable } from '../../core/shapes/norms';
import { splitWords } from './splitWords';
import type { PersonView } from '../../core/view/personView';
import type { Protocol } from '../../core/shapes/protocol';
import type { TestSeries, ScoredResult, TestView } from '../../core/view/testView';
import { ToDecide, type Correct } from '../people/toDecide';
import { PersonHead, personHrefs } from '../people/personHead';
import { ButtonLink } from '../touch/button';
import { aidWords, dayWords, rowWords, slowingWords, told } from '../words';
import { changeWords, ScoreRail, resultMark } from './rail';
import { cited, Says } from './says';
import { cutoffWords, resultWords, sideName, standingWords } from './testWords';
import { TrendLater } from './trendLater';
import { trendPoints } from './trendPoints';

interface Props {
  readonly view: PersonView;
  readonly protocol: Protocol;
  readonly test: TestView;
  readonly correct: Correct;
}

/** One test of one person: the rail, how it went over time, what each figure says, and where it comes from. */
export function ScoreScreen({ view, protocol, test, correct }: Props) {
  const [lead] = test.series;
  const newest = lead?.results[0];
  if (!lead || !newest) return null;
  const { score } = newest;
  const counted = view.attempts.find((a) => a.clientKey === newest.key)?.trial;
  const lastMs = clockMs(protocol);
  return (
    <>
      <PersonHead {...view} here="scores" />
      <ToDecide
        personId={view.person.id}
        atOnce={view.atOnce.filter(([a]) => a.test === protocol.id)}
        attempts={view.otherAttempts.filter((a) => a.test === protocol.id)}
        correct={correct}
      />
      <div className="flex flex-wrap items-baseline gap-x-5 pt-3">
        <h2 className="text-xl font-bold">{protocol.title}</h2>
        <p>
          <span className="num text-3xl font-bold" data-testid="score-value">
            {resultWords(protocol, newest)}
          </span>{' '}
          {lead.side && `${sideName(lead.side)}, the better side · `}
          {dayWords(newest.on)}
          {score.rank.kind !== 'no-norm' && (
            <>
              {' · '}
              <b data-testid="percentile">{standingWords(score)}</b> {score.rank.kind === 'ranked' ? 'of' : 'for'}{' '}
              {rowWords(score.rank.row)}
            </>
          )}
        </p>
        <span className="ml-auto flex items-center gap-4 self-center">
          <Link
            href={tableHref(view, protocol, newest)}
            className="flex min-h-11 items-center text-squat underline underline-offset-4"
          >
            The norm table
          </Link>
          <Link
            href={`/people/${view.person.id}/scores`}
            className="flex min-h-11 items-center text-squat underline underline-offset-4"
          >
            All scores
          </Link>
          <ButtonLink href={personHrefs(view.person.id).levels} hotkey="L">
            See the levels
          </ButtonLink>
        </span>
      </div>
      <ScoreRail
        score={score}
        protocol={protocol}
        on={newest.on}
        earlier={lead.results.slice(1, 6).map((s) => resultMark(protocol, s))}
        start={1220}
      />
      <div className="mt-2 grid gap-x-8 gap-y-3 lg:grid-cols-[1.2fr_1fr_1fr]">
        {test.series.map((series) => (
          <section
            key={series.side ?? 'one'}
            className="lg:row-span-3"
            aria-label={`Over time ${sideName(series.side)}`}
          >
            <h3 className="border-t-2 border-ink pt-1.5 font-semibold">
              Over time{series.side && `, ${sideName(series.side)}`}
            </h3>
            <TrendLater {...trendPoints(protocol, series, view.person)} />
            <TrendSays protocol={protocol} series={series} />
          </section>
        ))}
        <Figures protocol={protocol} newest={newest} />
        <ChangeSays newest={newest} series={lead} protocol={protocol} first={lead.results.length === 2} />
        {test.sides && (
          <SaysIn
            term="Left and right"
            value={`${Number(test.sides.by.toFixed(1))} ${protocol.unit}`}
            source="common practice, no published source"
          >
            {test.sides.flagged
              ? `Far apart in two tests running; the ${sideName(test.sides.lower)} is the side to bring along.`
              : test.sides.large
                ? 'Far apart this time; looked at again at the next test.'
                : 'Not far apart.'}
          </SaysIn>
        )}
        {counted && lastMs !== null && <Splits trial={counted} durationS={lastMs / 1000} />}
      </div>
      <ShippedSays protocol={protocol} newest={newest} sex={view.person.normTable} />
      {score.both && <BothTables newest={newest} />}
      {score.notes.length > 0 && (
        <ul className="mt-3 text-sm">
          {score.notes.map((note) => (
            <li key={note}>{note}</li>
          ))}
        </ul>
      )}
      <Raw personId={view.person.id} protocol={protocol} test={test} units={view.units} />
    </>
  );
}

/** The printed table with this person’s row lit. */
function tableHref({ person }: PersonView, protocol: Protocol, { ageYears, result }: ScoredResult): string {
  const value = result.value === null || result.handsUsed ? '' : `&value=${told(result.value, protocol.unit)}`;
  return `/library/norms/${protocol.id}?age=${ageYears}&sex=${person.normTable ?? ''}${value}`;
}

/** A figure in the grid, each a list of its own so that the grid may hold charts beside them. */
const SaysIn = (props: Parameters<typeof Says>[0]) => (
  <dl>
    <Says {...props} />
  </dl>
);

function Figures({ protocol, newest }: { protocol: Protocol; newest: ScoredResult }) {
  const { score } = newest;
  const { rank, standard, error } = score;
  const unit = scoredUnit(protocol);
  const published = protocol.publishedErrors ?? [];
  return (
    <>
      {rank.kind === 'ranked' && (
        <SaysIn
          term="Middle half"
          value={`${Number(rank.row.p25.toFixed(1))} to ${Number(rank.row.p75.toFixed(1))} ${unit}`}
          source={score.normSource ? cited(score.normSource) : ''}
        >
          {rank.band === 'below' ? 'Below' : rank.band === 'above' ? 'Above' : 'Inside'} the middle half for{' '}
          {rowWords(rank.row)}.
        </SaysIn>
      )}
      {(rank.kind === 'limit' || rank.kind === 'mean') && (
        <SaysIn
          term={rank.kind === 'limit' ? 'Worse than average over' : 'Mean'}
          value={`${rank.kind === 'limit' ? rank.limit : rank.row.mean} ${unit}`}
          source={score.normSource ? cited(score.normSource) : ''}
        >
          {rank.kind === 'limit'
            ? `${rank.worse ? 'Over' : 'Not over'} it, for ${rowWords(rank.row)}.`
            : 'sd' in rank.row
              ? `Spread ${rank.row.sd} ${unit} for ${rowWords(rank.row)}.`
              : `Interval of the mean ${rank.row.ciLow} to ${rank.row.ciHigh} for ${rowWords(rank.row)}.`}
        </SaysIn>
      )}
      {score.cutoffs.map((c) => (
        <SaysIn key={c.id} term={c.label} value={`${cutoffWords(c)} ${unit}`} source={cited(c.source)}>
          {c.past ? 'Past this line' : 'Not past this line'}: {c.meaning}.
        </SaysIn>
      ))}
      {standard && (
        <SaysIn term="Many keep, on their own" value={`${standard.limit} ${unit}`} source={cited(standard.source)}>
          {standard.met ? 'Reached.' : 'Next to work on.'}
          {standard.meets && ` Meets the row of ${standard.meets.ageLow}–${standard.meets.ageHigh}.`}
        </SaysIn>
      )}
      {error && (
        <SaysIn
          term="Error of the test"
          value={error.sem === null ? `${error.mdc95} ${unit}` : `± ${error.sem.toFixed(1)} ${unit}`}
          source={
            error.from === 'computed'
              ? `${cited(error.source)}; SD of this row read as normal`
              : `${cited(error.source)}, published for older people in the community`
          }
        >
          Only a change beyond {error.mdc95.toFixed(error.mdc95 < 1 ? 2 : 1)} {unit} is called real (95 %)
          {error.mdc90 === null ? '' : `; ${error.mdc90.toFixed(1)} at 90 %`}.
          {published
            .filter((p) => p.source.cite !== error.source.cite)
            .map((p) => (
              <span key={`${p.statistic}${p.population}`} className="block text-sm">
                Published: {p.statistic} {p.value} {p.unit}, {p.population} ({p.source.cite}).
              </span>
            ))}
        </SaysIn>
      )}
    </>
  );
}

function ChangeSays({
  newest,
  series,
  protocol,
  first,
}: {
  newest: ScoredResult;
  series: TestSeries;
  protocol: Protocol;
  first: boolean;
}) {
  const { change } = newest;
  const words = changeWords(change);
  const by = isJudged(change) ? change : null;
  const unit = scoredUnit(protocol);
  return (
    <SaysIn
      term="Against the time before"
      value={words.verdict}
      source="clear from 1.96, probable from 1 standard error of a difference (about 5 in 6), like for like"
    >
      <span data-testid="change">
        {words.size || (change.kind === 'first-time' ? 'Nothing to compare with yet.' : '')}
      </span>
      {by?.better && first && <> · Part of a first gain is knowing the test.</>}
      {by && by.regressionTo !== null && (
        <>
          {' '}
          · By chance alone the result before would have drifted to about {by.regressionTo.toFixed(1)} {unit}.
        </>
      )}
      {series.split && <> · {splitWords(series.split)}</>}
      {series.sinceBaseline && (
        <span className="block">
          Since {dayWords(series.sinceBaseline.on)}: {changeWords(series.sinceBaseline.change).verdict}
          {changeWords(series.sinceBaseline.change).size && `, ${changeWords(series.sinceBaseline.change).size}`}.
        </span>
      )}
    </SaysIn>
  );
}

function TrendSays({ protocol, series: { trend, results } }: { protocol: Protocol; series: TestSeries }) {
  const unit = scoredUnit(protocol);
  if (!trend)
    return results.length === 1 ? (
      <p className="text-sm">One result. A trend needs three.</p>
    ) : (
      <p className="text-sm">Two results are a change, not yet a trend; it needs three.</p>
    );
  const { low, high, coversPercent } = trend.interval;
  const two = (n: number) => Number(n.toFixed(Math.abs(n) < 1 ? 2 : 1));
  return (
    <p className="text-sm">
      Trend {two(trend.perYear)} {unit} a year (interval {two(low)} to {two(high)}, covers {coversPercent} %): the
      median of all slopes, Theil 1950 and Sen 1968, from memory.
    </p>
  );
}

/** How the stands were spread over the time; nothing of it is known of a paper result. */
function Splits({ trial, durationS }: { trial: Trial; durationS: number }) {
  if (trial.fromPaper) return null;
  const { perTenS, firstFiveS, slowing } = paceOf(repsIn(trial), durationS);
  return (
    <SaysIn term="Each ten seconds" value={perTenS.join(' · ')} source="times of the stands as they were marked">
      {firstFiveS === null ? 'Fewer than five stands' : `First five in ${firstFiveS.toFixed(1)} s`};{' '}
      {slowingWords(slowing)}.
    </SaysIn>
  );
}

/** Where the hall’s own figures scored it, what the printed ones say is told beside it. */
function ShippedSays({ protocol, newest, sex }: { protocol: Protocol; newest: ScoredResult; sex: NormTable }) {
  if (newest.score.normSet === (protocol.norms?.id ?? null)) return null;
  const shipped = scoreResult(protocol, newest.result, { ageYears: newest.ageYears, sex });
  return (
    <p className="mt-3 font-semibold" data-testid="shipped-says">
      Scored by figures of this hall ({newest.score.normSource?.cite}). The printed ones say: {standingWords(shipped)}.
      Pages printed before may say so.
    </p>
  );
}

/** With the norm table left open both are told; the more cautious one is on the rail. */
function BothTables({ newest }: { newest: ScoredResult }) {
  const { both } = newest.score;
  if (!both) return null;
  return (
    <p className="mt-3">
      {[both.female, both.male]
        .flatMap((rank) =>
          rank.kind === 'ranked'
            ? [`${rowWords(rank.row)}: ${percentileWords(rank.percentile)} (half have ${momentsOf(rank.row).mean})`]
            : rank.kind === 'mean'
              ? [`${rowWords(rank.row)}: mean ${rank.row.mean}`]
              : [],
        )
        .join(' · ')}
    </p>
  );
}

/** Every result as it was taken down: tries, conditions, by whom. */
function Raw({
  personId,
  protocol,
  test,
  units,
}: {
  personId: string;
  protocol: Protocol;
  test: TestView;
  units: UnitSystem;
}) {
  const all = test.series
    .flatMap((s) => s.results.map((scored) => ({ side: s.side, scored })))
    .sort((a, b) => b.scored.on.localeCompare(a.scored.on));
  return (
    <table className="mt-4 w-full text-left max-lg:cards">
      <caption className="border-b-2 border-ink pb-1 text-left font-semibold">As it was taken down</caption>
      <thead className="text-sm text-ink-soft">
        <tr>
          {['Day', 'Age', 'Result', 'Tries', 'Seat', 'Aid', 'Shoes', 'Taken down', 'Against the time before'].map(
            (head) => (
              <th key={head} className="py-1 pr-3 font-semibold">
                {head}
              </th>
            ),
          )}
        </tr>
      </thead>
      <tbody>
        {all.map(({ side, scored }) => (
          <tr key={scored.key} className="border-t border-rule">
            <td className="py-1.5 pr-3 max-lg:font-bold">{dayWords(scored.on)}</td>
            <td className="num pr-3" data-head="Age">
              {scored.ageYears}
            </td>
            <td className="num pr-3 font-bold" data-head="Result">
              <span>
                {(side ?? scored.result.side) && `${sideName(side ?? scored.result.side ?? null)} `}
                {resultWords(protocol, scored)}
              </span>
            </td>
            <td className="num pr-3" data-head="Tries">
              {triesWords(protocol, scored)}
            </td>
            <td className="num pr-3" data-head="Seat">
              {scored.conditions.seatHeightCm === undefined
                ? '–'
                : shortLengthWords(scored.conditions.seatHeightCm, unitsOf[units].length)}
            </td>
            <td className="pr-3" data-head="Aid">
              {aidWords[scored.conditions.aid ?? 'none']}
            </td>
            <td className="pr-3" data-head="Shoes">
              {[scored.conditions.shoes, floorWords(scored.conditions.floor)].filter(Boolean).join(', ') || '–'}
            </td>
            <td className="pr-3" data-head="Taken down">
              <span>
                <Link
                  href={`/people/${personId}/attempts/${scored.key}`}
                  className="inline-flex min-h-11 items-center underline underline-offset-4"
                  aria-label={`${scored.fromPaper ? 'from paper' : 'taken here'}, ${dayWords(scored.on)}: along its time`}
                >
                  {scored.fromPaper ? 'from paper' : 'taken here'}
                </Link>
                {(scored.who ?? scored.conditions.assessor) && `, ${scored.who ?? scored.conditions.assessor ?? ''}`}
              </span>
            </td>
            <td data-head="Change">
              <span>
                {changeWords(scored.change).verdict}{' '}
                <span className="text-sm text-ink-soft">{changeWords(scored.change).size}</span>
              </span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function triesWords(protocol: Protocol, { result }: ScoredResult): string {
  const { trials, seconds } = result;
  if (seconds) return `${seconds.sideBySide} · ${seconds.semiTandem} · ${seconds.tandem} · ${seconds.oneLeg} s`;
  return trials && trials.length > 0 ? trials.map((t) => told(t, protocol.unit)).join(' · ') : '–';
}

const floorWords = (floor: Floor | undefined): string => (floor === undefined ? '' : `${floor} floor`);
