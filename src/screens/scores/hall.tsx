import Link from 'next/link';
import { percentileWords } from '../../core/score/rank';
import { StateMark } from '../drawing/stateMark';
import type { PersonView } from '../../core/personView';
import { rowWords, shortDay, standsWords } from '../words';
import { Pages, type HallPage } from '../frame/pages';
import { changeWords, ScoreRail } from './rail';

/** The latest results as small rails, in the order given: those past a watch line first. */
export function HallScores({ people: tested, pages }: HallPage) {
  const pastOf = (p: PersonView) => p.sittings[0]?.score.cutoffs.filter((c) => c.past).length ?? 0;
  return (
    <div className="pt-5">
      <h1 className="text-2xl font-extrabold">Scores: 30-second chair stand</h1>
      <p className="text-ink-soft">
        Each rail is that person’s own norm row; the thick part is the middle half. Diamonds are watch lines, discs the
        count many keep.
      </p>
      {tested.length === 0 && (
        <p className="py-8 text-lg">
          No results yet.{' '}
          <a href="/test" className="text-squat underline">
            Start testing
          </a>
        </p>
      )}
      <ul className="mt-4 grid gap-x-10 lg:grid-cols-2">
        {tested.map((p) => {
          const latest = p.sittings[0];
          if (!latest) return null;
          const { rank } = latest.score;
          return (
            <li key={p.person.id} className="border-t border-rule py-1">
              <div className="flex flex-wrap items-center gap-x-3">
                <StateMark mark={pastOf(p) > 0 ? 'watch' : rank.kind === 'ranked' ? 'ready' : 'unknown'} silent />
                <Link
                  href={`/people/${p.person.id}/scores`}
                  className="flex min-h-11 items-center font-bold underline decoration-rule underline-offset-4"
                >
                  {p.person.name}
                </Link>
                <span className="num text-lg font-bold">{standsWords(latest.attempt.trial)}</span>
                <span className="text-sm text-ink-soft">
                  {rank.kind === 'ranked'
                    ? `${percentileWords(rank.percentile)} of ${rowWords(rank.row)}`
                    : 'not ranked'}{' '}
                  · {shortDay(latest.attempt.sittingDate)} · {changeWords(latest.change).verdict}
                </span>
              </div>
              {rank.kind === 'ranked' && (
                <ScoreRail
                  score={latest.score}
                  unit="stands"
                  on={latest.attempt.sittingDate}
                  earlier={[]}
                  small
                  width={560}
                />
              )}
            </li>
          );
        })}
      </ul>
      <Pages {...pages} />
    </div>
  );
}
