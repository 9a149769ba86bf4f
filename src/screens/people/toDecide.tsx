'use client';
import { useState } from 'react';
import type { AttemptView } from '../../core/measure/attempt';
import type { AtOnce } from '../../core/measure/atOnce';
import { amount } from '../../core/math/amount';
import { seenIn } from '../../core/measure/trial';
import type { FieldError } from '../../schemas/parse';
import { protocolById } from '../../catalogue/protocols';
import { sideName } from '../scores/testWords';
import { Button, ButtonLink } from '../touch/button';
import { useOneAtATime } from '../touch/useOneAtATime';
import { dayWords } from '../words';

export type Correct = (
  key: string,
  form: object,
) => Promise<{ readonly kind: 'saved' } | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] }>;

interface Props {
  readonly personId: string;
  readonly atOnce: readonly AtOnce[];
  readonly attempts: readonly AttemptView[];
  readonly correct: Correct;
}

/**
 * What only somebody who was there can say of attempts: which of two taken at once is kept, and whether a device
 * counted right. Until then both are kept, the first stands, and what a device counted is no result.
 */
export function ToDecide({ personId, atOnce, attempts, correct }: Props) {
  const [fault, setFault] = useState<string | null>(null);
  const put = useOneAtATime(async (key: string, form: object) => {
    const answer = await correct(key, form);
    setFault(answer.kind === 'rejected' ? (answer.errors[0]?.message ?? 'That was not kept.') : null);
    return true;
  });
  const told = attempts.filter((a) => a.trial.state === 'to-agree');
  if (atOnce.length + told.length === 0) return null;
  return (
    <section aria-label="To decide" className="mt-4 space-y-3" data-testid="to-decide">
      {atOnce.map(([a, b]) => (
        <div key={`${a.clientKey} ${b.clientKey}`} className="border-l-8 border-watch bg-board p-4">
          <p className="font-bold">
            {nameOf(a)} was taken twice at once on {dayWords(a.sittingDate)}. Which is kept for the day?
          </p>
          <p>Both stay on record; until somebody says, the first stands.</p>
          <div className="mt-2 flex flex-wrap gap-3">
            {[a, b].map((one) => (
              <Button
                key={one.clientKey}
                look="line"
                onClick={() => put(one.clientKey, { kind: 'prefer', reason: 'taken twice at once; this one is kept' })}
              >
                Keep {seenWords(one)}
                <span className="font-normal">, begun at {timeWords(one)}</span>
              </Button>
            ))}
          </div>
        </div>
      ))}
      {told.map((one) => (
        <div key={one.clientKey} className="border-l-8 border-watch bg-board p-4">
          <p className="font-bold">
            {nameOf(one)}, {dayWords(one.sittingDate)}: a device counted {seenWords(one)}. Is that what was seen?
          </p>
          <div className="mt-2 flex flex-wrap gap-3">
            <Button
              look="line"
              onClick={() => put(one.clientKey, { kind: 'agree', reason: 'somebody said yes later' })}
            >
              Yes: {seenWords(one)}
            </Button>
            <ButtonLink look="plain" href={`/people/${personId}/attempts/${one.clientKey}`}>
              Look at each of them
            </ButtonLink>
          </div>
        </div>
      ))}
      {fault && (
        <p role="alert" className="font-semibold text-stop">
          {fault}
        </p>
      )}
    </section>
  );
}

const nameOf = ({ test, side }: AttemptView): string =>
  `${protocolById(test)?.title ?? test}${side ? `, ${sideName(side)}` : ''}`;

function seenWords({ test, trial }: AttemptView): string {
  const seen = seenIn(trial);
  return seen === null ? 'no number' : amount(seen, protocolById(test)?.unit ?? '');
}

/** By the clock of the hall, to the second: two at once differ by little. */
const timeWords = ({ startedWallMs }: AttemptView): string =>
  new Date(startedWallMs).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit', second: '2-digit' });
