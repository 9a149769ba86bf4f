'use client';
import { useRouter } from 'next/navigation';
import { useAllRules } from '../frame/rules';
import { useEffect, useRef, useState } from 'react';
import { knownOn, type Known } from '../../core/intake/known';
import { clearanceAnswers, type ClearanceAnswer, type PersonRecord, type QuestionId } from '../../core/shapes/intake';
import { askFirstKindIn } from '../../core/intake/facts';
import type { ReadinessAnswer, ReadinessQuestion } from '../../core/shapes/readiness';
import type { RuleBook } from '../../core/shapes/rules';
import { cautions } from '../../catalogue/cautions/cautions';
import type { FieldError } from '../../schemas/parse';
import { StateMark } from '../drawing/stateMark';
import { newClientKey } from '../test/bench/store';
import { Button, ButtonLink, Key } from '../touch/button';
import { useOneAtATime } from '../touch/useOneAtATime';
import { states, stateOfReadiness } from '../states';
import { dayWords } from '../words';
import { Consents } from './consents';
import { TextBox, TickBox } from '../touch/field';

type SaveAnswer = { kind: string; errors?: readonly FieldError[] };

interface Props {
  readonly personId: string;
  readonly today: string;
  readonly record: PersonRecord;
  readonly note: (content: unknown, key: string) => Promise<SaveAnswer>;
}

const answerWords: Readonly<Record<ClearanceAnswer, string>> = {
  may: 'may take part',
  'may-with-limits': 'may, with limits',
  'not-now': 'not for now',
};

/** The questions down the left, one key each; what follows from them on the right, changing with each answer. */
export function ReadinessScreen({ personId, today, record, note }: Props) {
  const router = useRouter();
  const before = [...record.entries].reverse().find((e) => e.content.kind === 'screening')?.content;
  const book = useAllRules();
  const readinessRules = book.readiness;
  const known = knownOn(record, today, readinessRules);
  const current = known?.readiness.asked === 'current';
  const [answers, setAnswers] = useState<Partial<Record<QuestionId, boolean>>>(
    current && before?.kind === 'screening' ? before.answers : {},
  );
  const [touched, setTouched] = useState(false);
  const [fault, setFault] = useState('');
  const [key] = useState(newClientKey);
  const list = useRef<HTMLOListElement>(null);
  const { questions } = readinessRules;
  const missing = questions.filter((q) => answers[q.id] === undefined);
  const answer = (id: QuestionId, yes: boolean) => {
    setTouched(true);
    setAnswers((a) => ({ ...a, [id]: yes }));
    const next = questions[questions.findIndex((q) => q.id === id) + 1];
    // At once, so that the next letter, however quick, meets the next question; the button opens with this answer.
    if (next) list.current?.querySelector<HTMLElement>(`#q-${next.id}`)?.focus();
    else requestAnimationFrame(() => document.getElementById('save-answers')?.focus());
  };
  // What these answers would give, as if they were noted now.
  const tried = touched
    ? knownOn(
        {
          ...record,
          entries: [
            ...record.entries,
            { id: 'tried', personId, on: today, savedAt: '9999', content: { kind: 'screening', answers } },
          ],
        },
        today,
        readinessRules,
      )
    : known;
  // To be put: the letters work at once, without a tap first.
  useEffect(() => {
    if (!current) list.current?.querySelector<HTMLElement>('[id^=q-]')?.focus({ preventScroll: true });
  }, [current]);
  const save = useOneAtATime(async () => {
    const saved = await note({ kind: 'screening', answers }, key).catch(() => null);
    if (saved?.kind === 'created' || saved?.kind === 'known') {
      router.push(`/people/${personId}`);
      return false;
    }
    setFault(saved?.errors?.[0]?.message ?? 'The server did not answer. The answers are still here; save again.');
    return true;
  });
  return (
    <div className="mt-4 grid items-start gap-x-10 gap-y-6 lg:grid-cols-[1.45fr_1fr]">
      <section aria-labelledby="questions">
        <h2 id="questions" className="border-b-2 border-ink pb-1 text-lg font-bold">
          Readiness questions
          <span className="ml-3 text-base font-normal text-ink-soft">
            read them out; <Key>Y</Key> yes, <Key>N</Key> no
          </span>
        </h2>
        <ol ref={list}>
          {questions.map((q) => (
            <li key={q.id} className={isSymptom(q) ? 'border-b border-rule pl-4' : 'border-b border-rule'}>
              {q.lead !== undefined && <p className="-ml-4 pt-2 font-bold">{q.lead}</p>}
              <div
                id={`q-${q.id}`}
                // Takes the letters while the eyes are on the person.
                tabIndex={0}
                role="group"
                aria-label={q.asks}
                onKeyDown={(event) => {
                  const letter = event.key.toLowerCase();
                  if (event.ctrlKey || event.metaKey || event.altKey || (letter !== 'y' && letter !== 'n')) return;
                  event.preventDefault();
                  event.stopPropagation();
                  answer(q.id, letter === 'y');
                }}
                className="grid scroll-my-40 grid-cols-[1fr_auto] items-center gap-x-3 py-0.5 focus:bg-board"
              >
                <p>{q.asks}</p>
                <div className="flex gap-2">
                  {([true, false] as const).map((yes) => (
                    <button
                      key={String(yes)}
                      type="button"
                      aria-pressed={answers[q.id] === yes}
                      aria-label={`${yes ? 'Yes' : 'No'}: ${q.asks}`}
                      onClick={() => answer(q.id, yes)}
                      className={`min-h-11 w-16 cursor-pointer rounded-md border-2 border-ink font-bold ${answers[q.id] === yes ? 'bg-ink text-board' : 'bg-board'}`}
                    >
                      {yes ? 'yes' : 'no'}
                    </button>
                  ))}
                </div>
              </div>
            </li>
          ))}
        </ol>
        <div className="mt-4 flex flex-wrap items-center gap-4">
          <Button id="save-answers" className="min-w-56 text-lg" disabled={missing.length > 0} onClick={() => save()}>
            Save the answers
          </Button>
          <p role="status">
            {missing.length > 0
              ? `${missing.length} ${missing.length === 1 ? 'question' : 'questions'} to go.`
              : touched
                ? ''
                : current
                  ? 'Answered and still holding; answer again to renew.'
                  : ''}
          </p>
          <p role="alert" className="font-semibold text-stop">
            {fault}
          </p>
        </div>
      </section>
      <div className="space-y-6 lg:sticky lg:top-5">
        {tried && <Outcome answer={tried.readiness} meanwhile={meanwhileOf(tried.readiness, book)} />}
        {tried && tried.readiness.reasons.some((r) => r.outcome === 'ask-first' && r.id !== 'to-ask') && (
          <ButtonLink look="line" href={`/people/${personId}/note`} hard>
            Print the note to a professional
          </ButtonLink>
        )}
        {careFrom(tried) && (
          <ButtonLink look="line" href={`/people/${personId}/note/tells`} hard>
            Print the letter that tells
          </ButtonLink>
        )}
        <Clearance today={today} note={note} record={record} />
        <Consents entries={known?.entries ?? []} note={note} />
        <p className="text-sm">{cautions.defer}</p>
      </div>
    </div>
  );
}

/** Whoever is ready with care has a letter that tells; nothing waits for it. */
const careFrom = (known: Known | undefined): boolean =>
  known?.readiness.reasons.some((r) => r.outcome === 'ready-with-care' && !r.id.startsWith('day:')) === true;

const isSymptom = ({ role }: ReadinessQuestion): boolean => role === 'symptom';

/** What may go on while a professional is asked; `null` where nobody is. */
function meanwhileOf({ outcome, asked, reasons }: ReadinessAnswer, { readiness, levels }: RuleBook): string | null {
  if (outcome !== 'ask-first' || (asked !== 'current' && reasons.every((r) => r.id === 'to-ask'))) return null;
  const kind = askFirstKindIn(reasons);
  return readiness.meanwhile[kind === 'disease' && levels.house.lightWhileAsking ? 'light' : kind];
}

function Outcome({ answer, meanwhile }: { answer: ReadinessAnswer; meanwhile: string | null }) {
  const { outcome, reasons, limits, until, asked } = answer;
  const state = stateOfReadiness(outcome, asked === 'current');
  return (
    <section
      aria-labelledby="outcome"
      aria-live="polite"
      className={`border-l-8 bg-board p-4 ${outcome === 'not-today' || outcome === 'ask-first' ? 'border-stop' : outcome === 'ready' ? 'border-ready' : 'border-watch'}`}
    >
      <h2 id="outcome" className="flex items-center gap-3 text-2xl font-extrabold" data-testid="outcome-words">
        <StateMark state={state} silent /> {states[state].word}
      </h2>
      <ul className="mt-2 space-y-2">
        {[...new Set(reasons.map((r) => r.nextStep))].map((nextStep) => (
          <li key={nextStep}>
            {reasons
              .filter((r) => r.nextStep === nextStep)
              .map((r) => (
                <b key={r.id} className="block first-letter:uppercase">
                  {r.text}
                </b>
              ))}
            {nextStep}
          </li>
        ))}
        {limits.map((line) => (
          <li key={line} className="ml-5 list-disc">
            {line}
          </li>
        ))}
      </ul>
      {meanwhile !== null && (
        <p className="mt-2 font-semibold" data-testid="meanwhile">
          {meanwhile}
        </p>
      )}
      {asked === 'current' && until && (
        <p className="mt-2">The questions hold until {dayWords(until)}, or until something happens.</p>
      )}
      {reasons.length > 0 && (
        <p className="mt-2 text-sm text-ink-soft">
          By: {[...new Set(reasons.map((r) => r.source.cite))].join('; ')}
          {reasons.some((r) => r.source.fromMemory) && ', from memory'}.
        </p>
      )}
    </section>
  );
}

/** What a professional said, with its date, who it was and the limits; earlier ones under it. */
function Clearance({ today, note, record }: Pick<Props, 'today' | 'note' | 'record'>) {
  const router = useRouter();
  const [by, setBy] = useState('');
  const [answer, setAnswer] = useState<ClearanceAnswer | null>(null);
  const [limits, setLimits] = useState('');
  const [answeredOn, setAnsweredOn] = useState('');
  const [until, setUntil] = useState('');
  const [fault, setFault] = useState('');
  const [key, setKey] = useState(newClientKey);
  const earlier = record.entries.flatMap((e) => (e.content.kind === 'clearance' ? [{ on: e.on, ...e.content }] : []));
  const save = useOneAtATime(async () => {
    if (answeredOn === '') {
      setFault('Choose the day that stands on the answer.');
      return true;
    }
    const content = { kind: 'clearance', by, answer, limits, until: until === '' ? null : until, answeredOn };
    const saved = await note(content, key).catch(() => null);
    if (saved?.kind === 'created' || saved?.kind === 'known') {
      setKey(newClientKey());
      setBy('');
      setAnswer(null);
      setLimits('');
      setAnsweredOn('');
      setUntil('');
      setFault('');
      router.refresh();
    } else setFault(saved?.errors?.map((e) => e.message).join(' ') ?? 'The server did not answer. Save again.');
    return true;
  });
  return (
    <details open={earlier.length > 0} className="group">
      <summary className="flex min-h-12 w-fit cursor-pointer items-center rounded-md border-2 border-ink bg-board px-5 font-bold group-open:w-full group-open:rounded-none group-open:border-x-0 group-open:border-t-0 group-open:bg-transparent group-open:px-0">
        <span className="group-open:hidden">Write down a professional’s answer</span>
        <span className="hidden group-open:inline">A professional’s answer</span>
      </summary>
      <ul>
        {earlier.map((c) => (
          <li key={`${c.on}${c.by}`} className="border-b border-rule py-2">
            <b>{answerWords[c.answer]}</b>, {c.by}, {dayWords(c.answeredOn ?? c.on)}
            {c.until && `, until ${dayWords(c.until)}`}
            {c.limits !== '' && `: ${c.limits}`}
          </li>
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2">
        <label className="font-semibold">
          Who answered
          <TextBox className="mt-1 block w-56" value={by} onChange={(e) => setBy(e.target.value)} />
        </label>
        <label className="font-semibold">
          Answered on
          <TextBox
            num
            className="mt-1 block"
            type="date"
            max={today}
            value={answeredOn}
            onChange={(e) => setAnsweredOn(e.target.value)}
          />
        </label>
        <label className="font-semibold">
          Holds until
          <TextBox
            num
            className="mt-1 block"
            type="date"
            min={today}
            value={until}
            onChange={(e) => setUntil(e.target.value)}
          />
        </label>
        <div role="group" aria-label="What was answered" className="flex flex-wrap gap-x-5">
          {clearanceAnswers.map((a) => (
            <label key={a} className="flex min-h-11 cursor-pointer items-center gap-2">
              <TickBox type="radio" name="clearance" checked={answer === a} onChange={() => setAnswer(a)} />
              {answerWords[a]}
            </label>
          ))}
        </div>
        <label className="w-full font-semibold">
          Limits, as they were given
          <TextBox className="mt-1 block w-full" value={limits} onChange={(e) => setLimits(e.target.value)} />
        </label>
        <Button look="line" onClick={() => save()}>
          Note the answer
        </Button>
        <p role="alert" className="font-semibold text-stop">
          {fault}
        </p>
      </div>
    </details>
  );
}
