import type { ReactNode } from 'react';
import type { CountTrial } from '../../core/measure/countTrial';
import { momentsOf, percentileWords } from '../../core/score/rank';
import { PersonHead, personHrefs } from '../people/personHead';
import type { PersonView, SittingView } from '../../core/personView';
import { ButtonLink } from '../touch/button';
import { dayWords, rowWords, slowingWords, standsWords } from '../words';
import { changeWords, ScoreRail, trialMark } from './rail';

/** One person's score: the rail across the page, then what it says, each with where it comes from. */
export function ScoreScreen({ view }: { view: PersonView }) {
  const latest = view.sittings[0];
  const hrefs = personHrefs(view.person.id);
  return (
    <>
      <PersonHead {...view} here="scores" />
      {latest ? (
        <ScoreOf sitting={latest} earlier={view.sittings.slice(1, 6)} levelHref={hrefs.levels} />
      ) : (
        <div className="py-8 text-lg">
          <p>
            No result yet. After the first chair stand test this page shows where it stands among people of the same
            age.
          </p>
          <ButtonLink href={hrefs.test} hard className="mt-4">
            Set up the test
          </ButtonLink>
        </div>
      )}
    </>
  );
}

function ScoreOf({
  sitting,
  earlier,
  levelHref,
}: {
  sitting: SittingView;
  earlier: readonly SittingView[];
  levelHref: string;
}) {
  const { attempt, score, power } = sitting;
  const { rank } = score;
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-5 pt-3">
        <h2 className="text-xl font-bold">30-second chair stand</h2>
        <p>
          <span className="num text-3xl font-bold" data-testid="score-value">
            {standsWords(attempt.trial)}
          </span>{' '}
          stands · {dayWords(attempt.sittingDate)}
          {rank.kind === 'ranked' && (
            <>
              {' · '}
              <b data-testid="percentile">{percentileWords(rank.percentile)}</b> of {rowWords(rank.row)}
            </>
          )}
        </p>
        <ButtonLink href={levelHref} hotkey="L" className="ml-auto self-center">
          See the level
        </ButtonLink>
      </div>
      <div>
        <ScoreRail score={score} unit="stands" on={attempt.sittingDate} earlier={earlier.map(trialMark)} width={1220} />
      </div>
      <dl className="mt-2 grid gap-x-8 gap-y-3 md:grid-cols-3">
        {rank.kind === 'ranked' && (
          <Says
            term="Middle half"
            value={`${rank.row.p25} to ${rank.row.p75} stands`}
            source={score.normSource ? cited(score.normSource) : ''}
          >
            {rank.band === 'below' ? 'Below' : rank.band === 'above' ? 'Above' : 'Inside'} the middle half for{' '}
            {rowWords(rank.row)}.
          </Says>
        )}
        {score.cutoffs.map((c) => (
          <Says key={c.id} term={c.label} value={`under ${c.limit}`} source={cited(c.source)}>
            {c.past ? 'Past this line' : 'Not past this line'}: {c.meaning}.
          </Says>
        ))}
        {score.standard && (
          <Says
            term="Many keep, on their own"
            value={String(score.standard.limit)}
            source={cited(score.standard.source)}
          >
            {score.standard.met ? 'Reached.' : 'Next to work on.'}
          </Says>
        )}
        {score.error && (
          <Says
            term="Error of the test"
            value={`± ${score.error.sem.toFixed(1)}`}
            source={`${cited(score.error.source)}; SD of this row read as normal`}
          >
            Only a change beyond {score.error.mdc95.toFixed(1)} stands is called real (95 %);{' '}
            {score.error.mdc90.toFixed(1)} at 90 %.
          </Says>
        )}
        {power && (
          <Says term="Power of rising" value={`${power.wattsPerKg.toFixed(1)} W/kg`} source={cited(power.source)}>
            {power.low ? `Under ${power.limit}: called low.` : `Not under ${power.limit}.`}
          </Says>
        )}
        <ChangeSays sitting={sitting} first={earlier.length === 1} />
        <Splits trial={attempt.trial} />
      </dl>
      {score.both && <BothTables sitting={sitting} />}
      {score.notes.length > 0 && (
        <ul className="mt-3 text-sm">
          {score.notes.map((note) => (
            <li key={note}>{note}</li>
          ))}
        </ul>
      )}
    </>
  );
}

const cited = (source: { cite: string; fromMemory: boolean }): string =>
  `${source.cite}${source.fromMemory ? ', from memory' : ''}`;

function Says({ term, value, source, children }: { term: string; value: string; source: string; children: ReactNode }) {
  return (
    <div className="border-t-2 border-ink pt-1.5">
      <dt className="flex items-baseline justify-between gap-3 font-semibold first-letter:uppercase">
        <span className="first-letter:uppercase">{term}</span>
        <span className="num text-lg font-bold whitespace-nowrap">{value}</span>
      </dt>
      <dd>{children}</dd>
      <dd className="text-sm text-ink-soft">{source}</dd>
    </div>
  );
}

function ChangeSays({ sitting, first }: { sitting: SittingView; first: boolean }) {
  const { change } = sitting;
  const words = changeWords(change);
  const by = 'by' in change ? change : null;
  return (
    <Says
      term="Against the time before"
      value={words.verdict}
      source="beyond the 95 % smallest real change, like for like"
    >
      <span data-testid="change">
        {words.size || (change.kind === 'first-time' ? 'Nothing to compare with yet.' : '')}
      </span>
      {by && by.unlike.length > 0 && <> · {by.unlike.join(', ')}: not like for like.</>}
      {by && by.by > 0 && first && <> · Part of a first gain is knowing the test.</>}
      {by && by.regressionTo !== null && (
        <> · By chance alone the first result would have drifted to about {by.regressionTo.toFixed(0)}.</>
      )}
    </Says>
  );
}

/** How the stands were spread over the thirty seconds; nothing of it is known of a paper result. */
function Splits({ trial }: { trial: CountTrial }) {
  if (trial.fromPaper) return null;
  return (
    <Says term="Each ten seconds" value={trial.perTenS.join(' · ')} source="times of the stands as they were marked">
      {trial.firstFiveS === null ? 'Fewer than five stands' : `First five in ${trial.firstFiveS.toFixed(1)} s`};{' '}
      {slowingWords(trial.slowing)}.
    </Says>
  );
}

/** With the norm table left open both are told; the more cautious one is on the rail. */
function BothTables({ sitting }: { sitting: SittingView }) {
  const { both } = sitting.score;
  if (!both) return null;
  return (
    <p className="mt-3">
      {[both.female, both.male]
        .flatMap((rank) =>
          rank.kind === 'ranked'
            ? [`${rowWords(rank.row)}: ${percentileWords(rank.percentile)} (half have ${momentsOf(rank.row).mean})`]
            : [],
        )
        .join(' · ')}
    </p>
  );
}
