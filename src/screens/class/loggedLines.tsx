'use client';
import { useRef, useState } from 'react';
import type { WrittenLine } from '../../core/shapes/classLog';
import type { ProposalNow } from '../../core/train/proposals';
import { Button } from '../touch/button';
import { TextBox } from '../touch/field';
import { useOneAtATime } from '../touch/useOneAtATime';
import { lineWords } from './lineWords';

export type Correct = (
  sent: object,
) => Promise<
  | { readonly kind: 'corrected'; readonly proposals: readonly ProposalNow[] }
  | { readonly kind: 'not-found' }
  | { readonly kind: 'rejected'; readonly errors: readonly { readonly message: string }[] }
>;

/** What was tapped in the class; a slip is struck with a reason, and what followed is worked out anew. */
export function LoggedLines({
  lines,
  nameOf,
  correct,
  changed,
}: {
  lines: readonly WrittenLine[];
  nameOf: (id: string) => string;
  correct: Correct;
  changed: (proposals: readonly ProposalNow[]) => void;
}) {
  const [struck, setStruck] = useState<ReadonlySet<string>>(new Set());
  const [chosen, setChosen] = useState<WrittenLine | null>(null);
  const [reason, setReason] = useState('');
  const [told, setTold] = useState('');
  const why = useRef<HTMLInputElement>(null);
  const keyOf = (l: WrittenLine) => `${l.writer} ${l.seq}`;
  const send = useOneAtATime(async () => {
    if (!chosen) return true;
    const said = await correct({ writer: chosen.writer, ofSeq: chosen.seq, reason: reason.trim() }).catch(() => null);
    if (said === null) setTold('The server did not answer. Press again; nothing is struck twice.');
    else if (said.kind === 'rejected') {
      setTold(said.errors.map((e) => e.message).join(' '));
      why.current?.focus();
    } else {
      setStruck((was) => new Set([...was, keyOf(chosen)]));
      setChosen(null);
      setReason('');
      setTold(said.kind === 'corrected' ? 'Struck; what follows was worked out anew.' : 'It was struck already.');
      if (said.kind === 'corrected') changed(said.proposals);
    }
    return true;
  });
  const shown = lines.flatMap((line) => {
    const words = lineWords(line);
    return words !== null && line.personId !== null && !struck.has(keyOf(line))
      ? [{ line, words, who: nameOf(line.personId) }]
      : [];
  });
  return (
    <section aria-labelledby="logged" className="mt-6">
      <h2 id="logged" className="border-b-2 border-ink pb-1 text-lg font-bold">
        What was tapped <span className="num">{shown.length}</span>
      </h2>
      <p role="status">{told}</p>
      <ul className="grid gap-x-8 lg:grid-cols-2">
        {shown.map(({ line, words, who }) => (
          <li key={keyOf(line)} className="border-b border-rule py-1">
            <div className="flex min-h-11 flex-wrap items-center gap-x-4">
              <span className="min-w-0 flex-1">
                <b>{who}</b>
                {'pattern' in line.content && line.content.pattern !== null && `, ${line.content.pattern}`}: {words}
              </span>
              {chosen !== line && (
                <Button look="plain" aria-label={`Strike ${who}: ${words}`} onClick={() => setChosen(line)}>
                  Strike …
                </Button>
              )}
            </div>
            {chosen === line && (
              <form
                className="flex flex-wrap items-end gap-3 pb-2"
                onSubmit={(event) => {
                  event.preventDefault();
                  send();
                }}
              >
                <label className="font-semibold">
                  Why
                  <TextBox
                    autoFocus
                    ref={why}
                    className="mt-1 block w-64 max-w-full"
                    maxLength={200}
                    value={reason}
                    onChange={(e) => setReason(e.target.value)}
                  />
                </label>
                <Button type="submit">Strike it</Button>
                <Button look="plain" onClick={() => setChosen(null)}>
                  No
                </Button>
              </form>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
