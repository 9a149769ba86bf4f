'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { countedIn, seenIn, type Trial } from '../../core/measure/trial';
import { amount } from '../../core/math/amount';
import type { AttemptView } from '../../core/measure/attempt';
import type { Protocol } from '../../core/shapes/protocol';
import type { TimeLineEvent } from '../../core/view/timeLine';
import type { FieldError } from '../../schemas/parse';
import { useFound } from '../frame/useFound';
import { sideName } from '../scores/testWords';
import { Button, ButtonLink } from '../touch/button';
import { TextBox, TextField } from '../touch/field';
import { typedNumber } from '../touch/typed';
import { useOneAtATime } from '../touch/useOneAtATime';
import { dayWords } from '../words';
import { eventWords } from './eventWords';
import { TimeLine } from './timeLine';

type Save = (
  key: string,
  sent: object,
) => Promise<
  | { readonly kind: 'saved'; readonly personId: string }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] }
>;

interface Props {
  readonly attempt: AttemptView;
  readonly protocol: Protocol;
  readonly line: readonly TimeLineEvent[];
  readonly before: Trial;
  /** Of everybody a move names. */
  readonly names: Readonly<Record<string, string>>;
  readonly save: Save;
}

const usual = ['tapped twice', 'one was missed', 'was not full', 'taken for the wrong person'] as const;

/** One attempt as it happened, along its time, and what may be put right; the old result stays in sight. */
export function AttemptScreen({ attempt, protocol, line, before, names, save }: Props) {
  const router = useRouter();
  const [reason, setReason] = useState('');
  const [value, setValue] = useState('');
  const [to, setTo] = useState('');
  const [errors, setErrors] = useState<readonly FieldError[]>([]);
  const { lines } = useFound(to, 5);
  const { clientKey, personId, side, sittingDate, trial } = attempt;
  const put = useOneAtATime(async (sent: object) => {
    const answer = await save(clientKey, { reason: reason.trim(), ...sent });
    if (answer.kind === 'rejected') {
      setErrors(answer.errors);
      return true;
    }
    setErrors([]);
    setReason('');
    setValue('');
    setTo('');
    if (answer.personId === personId) router.refresh();
    else router.push(`/people/${answer.personId}/attempts/${clientKey}`);
    return true;
  });
  const fault = (...paths: readonly string[]) => errors.find((e) => paths.includes(e.path))?.message;
  const other = errors.find((e) => !['/reason', '/value', '/toPersonId'].includes(e.path));
  const [now, was] = [resultOf(trial, protocol), resultOf(before, protocol)];
  return (
    <div className="mt-4">
      <h2 className="text-xl font-bold">
        {protocol.title}
        {side && `, ${sideName(side)}`}, {dayWords(sittingDate)}
      </h2>
      <p className="mt-1 text-lg" data-testid="reads">
        It reads <b className="num">{now}</b>
        {now !== was && (
          <>
            ; as it was taken down <b className="num">{was}</b>
          </>
        )}
        . {trial.fromPaper ? 'Written down on paper.' : 'Taken at the station.'}
      </p>
      {trial.state === 'to-agree' && (
        <Button className="mt-2" onClick={() => put({ kind: 'agree', reason: 'somebody said yes later' })}>
          Yes: {amount(countedIn(trial), protocol.unit)}
        </Button>
      )}
      {!trial.fromPaper && <TimeLine line={line} />}
      <div className="mt-4 grid gap-x-10 gap-y-6 lg:grid-cols-[1.2fr_1fr]">
        <section aria-labelledby="events" className="min-w-0">
          <h3 id="events" className="border-b-2 border-ink pb-1 font-bold">
            What was marked
          </h3>
          <ol>
            {line.map(({ event, struckBy }) => (
              <li key={event.seq} className="flex min-h-12 flex-wrap items-center gap-x-4 border-b border-rule py-1">
                <span className="num w-20 text-right whitespace-nowrap">{(event.atMs / 1000).toFixed(1)} s</span>
                <span className={`min-w-0 flex-1 ${struckBy ? 'line-through' : 'font-semibold'}`}>
                  {eventWords(event, protocol, (id) => names[id] ?? 'somebody erased')}
                </span>
                {struckBy && <span>left out: {struckBy.reason}</span>}
                {!struckBy && !fixed.has(event.kind) && (
                  <Button
                    look="line"
                    aria-label={`${undoes.has(event.kind) ? 'Take it back' : 'Leave out'}: ${eventWords(event, protocol, (id) => names[id] ?? '')} at ${(event.atMs / 1000).toFixed(1)} s`}
                    onClick={() => put({ kind: 'strike', ofSeq: event.seq })}
                  >
                    {undoes.has(event.kind) ? 'Take it back' : 'Leave out'}
                  </Button>
                )}
              </li>
            ))}
          </ol>
        </section>
        <section aria-labelledby="right" className="min-w-0">
          <h3 id="right" className="border-b-2 border-ink pb-1 font-bold">
            Put it right
          </h3>
          <p className="mt-2">
            Say why first; then leave something out, set the result, or give it to whom it belongs.
          </p>
          <TextField
            label="Why"
            name="reason"
            className="w-96 max-w-full"
            maxLength={300}
            value={reason}
            fault={fault('/reason')}
            onChange={(event) => setReason(event.target.value)}
          />
          <div className="mt-2 flex flex-wrap gap-2">
            {usual.map((words) => (
              <Button key={words} look="line" onClick={() => setReason(words)}>
                {words}
              </Button>
            ))}
          </div>
          <div className="mt-5 flex flex-wrap items-end gap-3">
            <TextField
              label={`The result, ${protocol.unit}`}
              name="value"
              num
              inputMode="decimal"
              className="w-32"
              value={value}
              fault={fault('/value')}
              onChange={(event) => setValue(event.target.value)}
            />
            <Button look="line" onClick={() => put({ kind: 'add', value: typedNumber(value, undefined) })}>
              Set it
            </Button>
          </div>
          <div className="mt-5">
            <label className="font-semibold">
              It belongs to
              <TextBox
                className="mt-1 block w-80 max-w-full"
                value={to}
                onChange={(event) => setTo(event.target.value)}
              />
            </label>
            {fault('/toPersonId') && <p className="font-semibold text-stop">{fault('/toPersonId')}</p>}
            <div className="mt-2 flex flex-wrap gap-2">
              {lines
                .filter((l) => l.id !== personId)
                .map((l) => (
                  <Button key={l.id} look="line" onClick={() => put({ kind: 'move', toPersonId: l.id })}>
                    Give it to {l.name}
                  </Button>
                ))}
            </div>
          </div>
          {other && (
            <p role="alert" className="mt-3 border-l-8 border-watch bg-board p-3 font-semibold">
              {other.message}
            </p>
          )}
          <div className="mt-6">
            <ButtonLink look="plain" href={`/people/${personId}/scores/${protocol.id}`}>
              To its scores
            </ButtonLink>
          </div>
        </section>
      </div>
    </div>
  );
}

/** Without these there would be nothing to read; a strike of a strike is taking it back. */
const fixed: ReadonlySet<string> = new Set(['start', 'end', 'practice', 'entered', 'condition', 'false-start']);
const undoes: ReadonlySet<string> = new Set(['strike', 'add', 'move', 'prefer', 'agree', 'undo', 'not-full']);

function resultOf(trial: Trial, { unit }: Protocol): string {
  if (trial.state === 'to-agree') return `${amount(countedIn(trial), unit)} told by a device, not agreed`;
  if (trial.state !== 'finished') return trial.state === 'stopped' ? 'stopped' : 'no result';
  if (trial.outcome !== 'done') return trial.outcome.replace('-', ' ');
  const value = seenIn(trial);
  return value === null ? 'done' : `${amount(value, unit)}${trial.handsUsed ? ' with hands' : ''}`;
}
