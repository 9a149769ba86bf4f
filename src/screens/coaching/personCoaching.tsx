'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Coached, CoachingFrom } from '../../core/level/coaching';
import type { StyleCost, StyledBody } from '../../core/load/styleCost';
import { shortLengthWords, unitsOf } from '../../core/math/units';
import type { StyleQuestionId } from '../../core/shapes/style';
import type { PersonView } from '../../core/view/personView';
import type { Note } from '../levels/seenClean';
import { newClientKey } from '../test/bench/store';
import { Button } from '../touch/button';
import { TextBox } from '../touch/field';
import { Heading } from '../touch/heading';
import { useOneAtATime } from '../touch/useOneAtATime';
import { costWords, OptionKey } from './options';
import { BackLink } from '../touch/backLink';

interface Props {
  readonly view: Pick<PersonView, 'person' | 'units'>;
  readonly coached: readonly Coached[];
  readonly costs: {
    readonly body: StyledBody;
    readonly assumed: boolean;
    readonly costs: readonly {
      readonly question: StyleQuestionId;
      readonly option: string;
      readonly cost: StyleCost | null;
    }[];
  } | null;
  readonly note: Note;
}

/** How one person is coached, with what each way costs this body; another way is chosen with a reason. */
export function PersonCoaching({ view: { person, units }, coached, costs, note }: Props) {
  const router = useRouter();
  const [open, setOpen] = useState<{ question: StyleQuestionId; option: string } | null>(null);
  const [why, setWhy] = useState('');
  const [fault, setFault] = useState('');
  const keep = useOneAtATime(async (content: object) => {
    const said = await note(content, newClientKey()).catch(() => null);
    const kept = said?.kind === 'created' || said?.kind === 'known';
    setFault(kept ? '' : said === null ? 'The server did not answer. Press again.' : 'Write why, in a few words.');
    if (kept) {
      setOpen(null);
      setWhy('');
    }
    router.refresh();
    return true;
  });
  const seat = costs && shortLengthWords(costs.body.seatCm, unitsOf[units].length);
  return (
    <div className="pt-3">
      <p>
        <BackLink href={`/people/${person.id}/levels`}>Levels of {person.name}</BackLink>
      </p>
      <h1 className="text-2xl font-extrabold">How {person.name} is coached</h1>
      <p className="mt-1">
        It changes what is said and what is looked at first, never a rung, a limiter or a target.
        {costs &&
          ` What it costs is worked out for this body over a seat of ${String(seat)}, standing still${costs.assumed ? ', with an ankle nobody tested' : ''}: it knows nothing of speed, pain, strength or bone.`}
      </p>
      {coached.map(({ question, option: now, from, reason, entryId, proposed }) => (
        <section key={question.id} aria-labelledby={question.id} className="mt-5">
          <Heading id={question.id}>{question.title}</Heading>
          <p className="mt-1 flex flex-wrap items-center gap-x-4">
            <span>
              <b>{now.name}</b>, {fromWords[from]}
              {reason !== null && `: “${reason}”`}.
            </span>
            {from === 'person' && (
              <Button look="plain" onClick={() => keep({ kind: 'withdrawn', entryId, reason: 'as the hall has it' })}>
                As the hall has it
              </Button>
            )}
          </p>
          <div className="mt-2 grid gap-3 lg:grid-cols-3">
            {question.options.map((option) => {
              const cost = costs?.costs.find((c) => c.question === question.id && c.option === option.id);
              const first = question.options[0];
              return (
                <OptionKey
                  key={option.id}
                  option={option}
                  chosen={now.id === option.id}
                  mark={proposed?.option.id === option.id ? `proposed: ${proposed.because}` : null}
                  cost={
                    cost && first
                      ? costWords(cost.cost, option.id === first.id ? null : first.name.toLowerCase())
                      : null
                  }
                  press={() => setOpen(now.id === option.id ? null : { question: question.id, option: option.id })}
                />
              );
            })}
          </div>
          {open?.question === question.id && (
            <form
              className="mt-3 flex flex-wrap items-end gap-3 border-l-8 border-wood bg-board p-3"
              onSubmit={(e) => {
                e.preventDefault();
                keep({ kind: 'coaching', ...open, reason: why.trim() });
              }}
            >
              <label className="block min-w-0 flex-1 font-semibold">
                Why {question.options.find((o) => o.id === open.option)?.name.toLowerCase()} for {person.name}
                <TextBox
                  maxLength={200}
                  value={why}
                  onChange={(e) => setWhy(e.target.value)}
                  className="mt-1 block w-full font-normal"
                />
              </label>
              <Button type="submit">Coach it so</Button>
              <p role="alert" className="basis-full font-semibold text-stop empty:hidden">
                {fault}
              </p>
            </form>
          )}
        </section>
      ))}
    </div>
  );
}

const fromWords: Readonly<Record<CoachingFrom, string>> = {
  person: 'chosen for them',
  device: 'as you coach on this device',
  hall: 'as the hall coaches',
  shipped: 'as it is shipped',
};
