'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toldOnly } from '../../catalogue/styles/styles';
import type { Coached } from '../../core/level/coaching';
import type { Coaching, StyleQuestionId } from '../../core/shapes/style';
import { coachingCookie } from '../../schemas/coaching';
import { Heading } from '../touch/heading';
import { useOneAtATime } from '../touch/useOneAtATime';
import { OptionKey } from './options';
import { BackLink } from '../touch/backLink';

interface Props {
  /** As the hall has it. */
  readonly hall: readonly Coached[];
  /** What was chosen on this device. */
  readonly mine: Coaching;
  readonly save: (sent: object) => Promise<{ readonly kind: string }>;
}

const year = 365 * 24 * 3600;

/** Where schools differ: who says what, what is shipped and why; chosen for the hall, or by an instructor on this device. */
export function HallCoaching({ hall, mine, save }: Props) {
  const router = useRouter();
  const [whose, setWhose] = useState<'hall' | 'mine'>('hall');
  const [fault, setFault] = useState('');
  const choose = useOneAtATime(async ({ question, option }: { question: StyleQuestionId; option: string }) => {
    if (whose === 'mine') {
      // Pressed again it is the hall’s.
      const { [question]: was, ...others } = mine;
      const chosen: Coaching = was === option ? others : { ...others, [question]: option };
      document.cookie = `${coachingCookie}=${encodeURIComponent(JSON.stringify(chosen))}; path=/; max-age=${year}; samesite=lax`;
    } else {
      const said = await save({ question, option }).catch(() => null);
      setFault(said?.kind === 'saved' ? '' : 'That was not kept. Press again.');
    }
    router.refresh();
    return true;
  });
  return (
    <div className="pt-3">
      <p>
        <BackLink href="/library">Library</BackLink>
      </p>
      <h1 className="text-2xl font-extrabold">How it is coached, where good instructors differ</h1>
      <p className="mt-1">
        It changes what is said and what is looked at first, never a rung, a limiter or a target. Common practice, no
        published source.
      </p>
      <div className="mt-3 flex flex-wrap gap-2" role="group" aria-label="Whose choice">
        {(
          [
            ['hall', 'For the hall'],
            ['mine', 'For me, on this device'],
          ] as const
        ).map(([is, words]) => (
          <button
            key={is}
            type="button"
            aria-pressed={whose === is}
            onClick={() => setWhose(is)}
            className="min-h-12 cursor-pointer rounded-md border-2 border-ink bg-board px-5 font-bold aria-pressed:bg-ink aria-pressed:text-board"
          >
            {words}
          </button>
        ))}
      </div>
      <p role="alert" className="font-semibold text-stop empty:hidden">
        {fault}
      </p>
      {hall.map(({ question, option: ofHall, from }) => (
        <section key={question.id} aria-labelledby={question.id} className="mt-5">
          <Heading id={question.id}>{question.title}</Heading>
          <p className="mt-1 text-sm text-ink-soft">
            Shipped: {question.options.find((o) => o.id === question.shipped)?.name}, as {question.whyShipped}.
            {from === 'hall' && ' The hall has it its own way.'}
          </p>
          <div className="mt-2 grid gap-3 lg:grid-cols-3">
            {question.options.map((option) => {
              const own = mine[question.id] === option.id;
              return (
                <OptionKey
                  key={option.id}
                  option={option}
                  chosen={whose === 'mine' ? own : ofHall.id === option.id}
                  mark={own ? 'mine' : ofHall.id === option.id && whose === 'mine' ? 'the hall’s' : null}
                  cost={null}
                  press={() => choose({ question: question.id, option: option.id })}
                />
              );
            })}
          </div>
        </section>
      ))}
      {toldOnly.map(({ id, title, schools, does }) => (
        <section key={id} aria-labelledby={id} className="mt-5">
          <Heading id={id}>{title}</Heading>
          <p className="mt-1">
            <b>Schools:</b> {schools}. <b>Here:</b> {does}.
          </p>
        </section>
      ))}
    </div>
  );
}
