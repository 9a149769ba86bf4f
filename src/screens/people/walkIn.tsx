'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { walkInFalls, walkInForm, type WalkInForm } from '../../schemas/person';
import { parse, type FieldError } from '../../schemas/parse';
import { useRules } from '../frame/rules';
import { StateMark } from '../drawing/stateMark';
import { newClientKey } from '../test/bench/store';
import { Button, ButtonLink } from '../touch/button';
import { typedNumber } from '../touch/typed';
import { useOneAtATime } from '../touch/useOneAtATime';
import { dayWords } from '../words';
import type { SaveMore, SavePersonAnswer } from './intake/intakeForm';
import { PainList } from './intake/painList';
import { TextField } from '../touch/field';

interface Props {
  readonly today: string;
  readonly save: (
    form: object,
    key: string,
    more: SaveMore,
  ) => Promise<SavePersonAnswer & { readonly joins?: 'board' | 'later' | null }>;
}

const tables = [
  ['female', 'women'],
  ['male', 'men'],
  [null, 'open'],
] as const;

const questions = [
  ['symptoms', null],
  ['disease', 'A disease of the heart or the kidneys, or diabetes?'],
  [
    'operation',
    'An operation, a new joint or a broken bone in the last half year, a new hip or knee, a broken vertebra ever?',
  ],
  ['active', 'On the move half an hour, three days a week, for three months?'],
] as const;

const fallWords = { none: 'none', one: 'one, not hurt', 'hurt-or-more': 'hurt, or more than one' } as const;

type Draft = { [K in keyof WalkInForm]?: WalkInForm[K] | null };

/** Three turn up at minute eight: name, age, table, six questions, and they are in the line. */
export function WalkInScreen({ today, save }: Props) {
  const router = useRouter();
  const { symptomsAtOnce } = useRules().readiness;
  const [form, setForm] = useState<Draft>({ pains: [] });
  const [ageTyped, setAgeTyped] = useState('');
  const [faults, setFaults] = useState<readonly FieldError[]>([]);
  const [double, setDouble] = useState<Extract<SavePersonAnswer, { kind: 'double' }> | null>(null);
  const [key] = useState(newClientKey);
  const [later, setLater] = useState(false);
  const [hurts, setHurts] = useState<boolean | null>(null);
  const put = (more: Draft) => setForm((f) => ({ ...f, ...more }));
  const faultAt = (name: string) => faults.find((f) => f.path === `/${name}`)?.message;
  const submit = useOneAtATime(async (to: 'test' | 'next', evenSo: boolean) => {
    const typed = { normTable: null, name: '', ...form, ageYears: typedNumber(ageTyped, undefined) };
    const checked = parse(walkInForm(today), typed);
    const missing = [
      ...(checked.kind === 'bad' ? checked.errors : []),
      ...(hurts === null || (hurts && (form.pains ?? []).length === 0)
        ? [{ path: '/pains', message: hurts ? 'Tap where it hurts.' : 'Answer yes or no.' }]
        : []),
    ];
    if (missing.length > 0) {
      setFaults(missing);
      return true;
    }
    const answer = await save(typed, key, { evenSo, opened: null }).catch(() => null);
    if (answer?.kind === 'saved') {
      if (answer.joins === 'later') setLater(true);
      else if (to === 'test' && answer.joins === 'board') window.location.assign('/test');
      else if (to === 'test') window.location.assign(`/test?person=${answer.id}`);
      else window.location.assign('/people/walk-in');
      return false;
    }
    setDouble(answer?.kind === 'double' ? answer : null);
    setFaults(
      answer?.kind === 'rejected'
        ? answer.errors
        : answer === null
          ? [{ path: '', message: 'The server did not answer. What you wrote is still here; save again.' }]
          : answer.kind === 'conflict'
            ? [{ path: '', message: `This form was saved before, for ${answer.name}. Open a new one.` }]
            : [],
    );
    router.refresh();
    return true;
  });
  const choice = (on: boolean) =>
    `min-h-12 min-w-16 cursor-pointer rounded-md border-2 border-ink px-3 font-bold ${on ? 'bg-ink text-board' : 'bg-board'}`;
  const symptoms = form.symptoms === true;
  if (later)
    return (
      <div className="pt-5" role="status">
        <h1 className="text-2xl font-extrabold">{form.name} is in the register, for the next class day</h1>
        <p className="mt-2 text-lg">
          Two people walked in within this hour already: a third would take time from those who were planned. What is
          left is said on the plan of the next testing day.
        </p>
        <div className="mt-4 flex flex-wrap gap-3">
          <ButtonLink href="/test" hard>
            Back to the board
          </ButtonLink>
          <ButtonLink look="line" href="/people/walk-in" hard>
            Next walk-in
          </ButtonLink>
        </div>
      </div>
    );
  return (
    <div className="pt-5 pb-6">
      <h1 className="text-2xl font-extrabold">Walk-in: name, age, table, six questions</h1>
      <div className="mt-4 flex flex-wrap items-start gap-x-6 gap-y-2">
        <TextField
          className="w-72 max-w-full"
          autoFocus
          label="Name"
          name="name"
          fault={faultAt('name')}
          value={form.name ?? ''}
          onChange={(event) => put({ name: event.target.value })}
        />
        <TextField
          num
          className="w-24"
          inputMode="numeric"
          label="Age"
          name="ageYears"
          fault={faultAt('ageYears')}
          value={ageTyped}
          onChange={(event) => setAgeTyped(event.target.value)}
        />
        <div role="group" aria-label="Norm table">
          <p className="font-semibold">Norm table</p>
          <div className="mt-1 flex gap-2">
            {tables.map(([value, words]) => (
              <button
                key={words}
                type="button"
                aria-pressed={(form.normTable ?? null) === value}
                onClick={() => put({ normTable: value })}
                className={choice((form.normTable ?? null) === value)}
              >
                {words}
              </button>
            ))}
          </div>
        </div>
      </div>
      <ol className="mt-4 max-w-5xl border-t-2 border-ink">
        {questions.map(([id, words], i) => (
          <li key={id} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-1.5">
            <span className="num w-5 text-ink-soft">{i + 1}</span>
            <p className="min-w-60 flex-1">{words ?? symptomsAtOnce.asks}</p>
            <div className="flex gap-2" role="group" aria-label={`Question ${i + 1}`}>
              {([true, false] as const).map((yes) => (
                <button
                  key={String(yes)}
                  type="button"
                  aria-pressed={form[id] === yes}
                  onClick={() => put({ [id]: yes })}
                  className={choice(form[id] === yes)}
                >
                  {yes ? 'yes' : 'no'}
                </button>
              ))}
            </div>
            <span className="text-sm font-semibold text-stop">{faultAt(id)}</span>
          </li>
        ))}
        <li className="flex flex-wrap items-center gap-x-4 border-b border-rule py-1.5">
          <span className="num w-5 text-ink-soft">5</span>
          <p className="min-w-60 flex-1">Falls in the last twelve months?</p>
          <div className="flex flex-wrap gap-2" role="group" aria-label="Question 5">
            {walkInFalls.map((f) => (
              <button
                key={f}
                type="button"
                aria-pressed={form.falls === f}
                onClick={() => put({ falls: f })}
                className={choice(form.falls === f)}
              >
                {fallWords[f]}
              </button>
            ))}
          </div>
          <span className="text-sm font-semibold text-stop">{faultAt('falls')}</span>
        </li>
        <li className="border-b border-rule py-1.5">
          <div className="flex flex-wrap items-center gap-x-4">
            <span className="num w-5 text-ink-soft">6</span>
            <p className="min-w-60 flex-1">Does anything hurt now?</p>
            <div className="flex gap-2" role="group" aria-label="Question 6">
              <button
                type="button"
                aria-pressed={hurts === true}
                onClick={() => setHurts(true)}
                className={choice(hurts === true)}
              >
                yes
              </button>
              <button
                type="button"
                aria-pressed={hurts === false}
                onClick={() => {
                  setHurts(false);
                  put({ pains: [] });
                }}
                className={choice(hurts === false)}
              >
                no
              </button>
            </div>
            <span className="text-sm font-semibold text-stop">{faultAt('pains')}</span>
          </div>
          {hurts === true && (
            <div className="mt-3">
              <PainList
                pains={form.pains ?? []}
                change={(pains) => put({ pains })}
                asked={[]}
                today={today}
                faultAt={(pain) => faultAt(`pains/${(form.pains ?? []).indexOf(pain)}/level`)}
              />
            </div>
          )}
        </li>
      </ol>
      {symptoms && (
        <p className="mt-3 flex items-center gap-3 font-bold">
          <StateMark state="ask-first" silent /> Ask first: no test today. A licensed professional looks at it.
        </p>
      )}
      <div className="mt-4 flex flex-wrap items-center gap-4">
        <Button className="min-h-14 text-lg" onClick={() => submit('test', false)}>
          {symptoms ? 'Save' : 'Save and set up the test'}
        </Button>
        <Button look="line" className="min-h-14" onClick={() => submit('next', false)}>
          Save, next walk-in
        </Button>
        <ButtonLink look="plain" href="/people">
          Leave without saving
        </ButtonLink>
        <p role="alert" className="font-semibold">
          {double ? (
            <span>
              Perhaps in the register already, nothing was saved:{' '}
              {double.doubles.map((d) => (
                <a key={d.id} href={`/people/${d.id}`} className="mr-3 text-squat underline">
                  {d.name}, born {dayWords(d.birthDate)}
                </a>
              ))}
              <Button look="line" onClick={() => submit('test', true)}>
                Somebody else: add them
              </Button>
            </span>
          ) : (
            <span className="text-stop">
              {faults.length > 0 ? (faultAt('') ?? 'Nothing was saved yet: see the marked places.') : ''}
            </span>
          )}
        </p>
      </div>
      <p className="mt-3 text-sm">
        The rest of the intake waits under “to complete”; until it is asked, what depends on it stays closed.
      </p>
    </div>
  );
}
