import type { Pattern } from '../../core/shapes/facts';
import type { Grade } from '../../core/shapes/progress';
import type { TrainedPattern } from '../../core/train/past';
import { lookOf } from '../drawing/patterns';
import { ButtonLink } from '../touch/button';
import { Heading } from '../touch/heading';
import { dayWords } from '../words';

/** Shape and word for each grade: colour is never alone. */
const marks: Readonly<Record<Grade | 'none', readonly [mark: string, words: string]>> = {
  C: ['●', 'clean and seen'],
  U: ['○', 'clean as far as known'],
  S: ['◐', 'short'],
  H: ['◆', 'heavy'],
  D: ['■', 'a down-sign'],
  none: ['–', 'does not count'],
};

/** The classes of somebody as a line a ladder, oldest first, so that another instructor can take over tomorrow. */
export function Training({ personId, patterns }: { personId: string; patterns: readonly TrainedPattern[] }) {
  if (patterns.length === 0) return null;
  const met = new Set(patterns.flatMap((p) => p.sessions.map((s) => s.grade ?? 'none')));
  return (
    <>
      <Heading id="training">Training</Heading>
      <dl className="mt-2" aria-labelledby="training">
        {patterns.map(({ pattern, sessions }) => (
          <div key={pattern} className="flex items-baseline gap-3 border-b border-rule py-1.5">
            <dt className={`w-5 font-bold ${lookOf(pattern).words}`}>{pattern}</dt>
            <dd className="flex flex-wrap gap-x-2.5 gap-y-1">
              {sessions.map((s) => (
                <Mark key={s.key} pattern={pattern} session={s} />
              ))}
            </dd>
          </div>
        ))}
      </dl>
      <ButtonLink look="plain" href={`/class/weeks?person=${personId}`}>
        Twelve weeks
      </ButtonLink>
      <p className="mt-1 text-sm" aria-hidden>
        {(['C', 'U', 'S', 'H', 'D', 'none'] as const)
          .filter((g) => met.has(g))
          .map((g) => marks[g].join(' '))
          .join(' · ')}
      </p>
    </>
  );
}

function Mark({ pattern, session }: { pattern: Pattern; session: TrainedPattern['sessions'][number] }) {
  const [mark, words] = marks[session.grade ?? 'none'];
  return (
    <span className="text-lg leading-6" title={`${dayWords(session.day)}, ${session.code}: ${words}`}>
      <span aria-hidden>{mark}</span>
      <span className="sr-only">
        {dayWords(session.day)}, {pattern}
        {session.rung}, {words}.
      </span>
    </span>
  );
}
