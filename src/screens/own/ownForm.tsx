'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { formChecks } from '../../catalogue/form-checks/formChecks';
import { supportWords } from '../../core/level/support';
import { setPatterns, supports, type LimiterKind, type Pattern } from '../../core/shapes/facts';
import { loadedJoints } from '../../core/shapes/ladder';
import { ownLoads, ownPlaces, ownStances, type OwnExercise, type OwnLoad, type OwnPlace } from '../../core/shapes/own';
import { newClientKey } from '../test/bench/store';
import { Button } from '../touch/button';
import { Choice, Field, TextBox, TickBox } from '../touch/field';
import { FootBar } from '../touch/footBar';
import { Heading } from '../touch/heading';
import { useOneAtATime } from '../touch/useOneAtATime';
import { limiterWords } from '../words';
import { BackLink } from '../touch/backLink';

type Draft = Omit<OwnExercise, 'id' | 'version' | 'aside'>;
type Errors = readonly { readonly path: string; readonly message: string }[];

interface Tried {
  readonly closedBy: readonly string[];
  readonly openFor: readonly string[];
  readonly lookedAt: number;
}

interface Props {
  readonly own: OwnExercise | null;
  readonly facts: readonly { readonly id: string; readonly title: string }[];
  readonly limiters: readonly LimiterKind[];
  readonly ladders: readonly {
    readonly pattern: Pattern;
    readonly title: string;
    readonly rungs: readonly { readonly rung: number; readonly name: string }[];
  }[];
  readonly save: (
    id: string,
    sent: object,
    seen: string,
  ) => Promise<{ readonly kind: 'saved' | 'changed' } | { readonly kind: 'invalid'; readonly errors: Errors }>;
  readonly attempt: (sent: object) => Promise<Tried | null>;
}

const empty: Draft = {
  ...{ name: '', does: '', pattern: 'M', beside: null, stance: 'seated', hands: '2', aSide: false, dose: 'reps' },
  ...{ floor: false, slides: false, impact: false, weight: false, trains: '', loads: {} },
  ...{ needs: [], places: [], closedBy: [], checks: [] },
};

const draftOf = ({ id: _id, version: _version, aside: _aside, ...draft }: OwnExercise): Draft => draft;

/** A movement of the hall's own as it is written; beside it at once what closes it, and for whom it would be open. */
export function OwnExerciseForm({ own, facts, limiters, ladders, save, attempt }: Props) {
  const router = useRouter();
  const [draft, setDraft] = useState<Draft>(own ? draftOf(own) : empty);
  const [errors, setErrors] = useState<Errors>([]);
  const [fault, setFault] = useState('');
  const [id] = useState(() => own?.id ?? newClientKey());
  const tried = useTried(draft, attempt);
  const set = (more: Partial<Draft>) => setDraft({ ...draft, ...more });
  const at = (path: string) => errors.find((e) => e.path === path)?.message;
  const ladder = ladders.find((l) => l.pattern === draft.pattern);
  const keep = useOneAtATime(async () => {
    const said = await save(id, draft, String(own?.version ?? 0)).catch(() => null);
    setErrors(said?.kind === 'invalid' ? said.errors : []);
    setFault(
      said === null
        ? 'The server did not answer. Press again; nothing is kept twice.'
        : said.kind === 'changed'
          ? 'It was changed elsewhere since this page was opened: open it again. Nothing was kept.'
          : said.kind === 'invalid'
            ? `Not kept yet: ${said.errors.map((e) => e.message).join(' ')}`
            : '',
    );
    if (said?.kind === 'saved') router.push('/library/exercises');
    return true;
  });
  const box = (name: keyof Draft) => ({
    id: name,
    'aria-invalid': at(`/${name}`) !== undefined,
    'aria-describedby': `${name}-fault`,
  });
  const tick = (is: boolean, put: (is: boolean) => void, words: ReactNode) => (
    <label className="flex min-h-11 cursor-pointer items-center gap-3">
      <TickBox checked={is} onChange={(e) => put(e.target.checked)} />
      <span className="first-letter:uppercase">{words}</span>
    </label>
  );
  return (
    <div className="pt-3">
      <p>
        <BackLink href="/library/exercises">Exercises of our own</BackLink>
      </p>
      <h1 className="text-2xl font-extrabold">{own ? own.name : 'A new exercise of our own'}</h1>
      <form
        className="mt-3 grid gap-x-10 gap-y-6 lg:grid-cols-[1fr_1fr_18rem]"
        onSubmit={(e) => {
          e.preventDefault();
          keep();
        }}
      >
        <div>
          <Field label="Name" name="name" fault={at('/name')}>
            <TextBox
              {...box('name')}
              maxLength={24}
              value={draft.name}
              onChange={(e) => set({ name: e.target.value })}
              className="block w-full"
            />
          </Field>
          <Field label="What is done, in one line" name="does" fault={at('/does')}>
            <TextBox
              {...box('does')}
              maxLength={200}
              value={draft.does}
              onChange={(e) => set({ does: e.target.value })}
              className="block w-full"
            />
          </Field>
          <Field label="Where it stands" name="pattern" fault={at('/pattern')}>
            <Choice
              {...box('pattern')}
              value={draft.pattern}
              onChange={(e) => {
                const pattern = ladders.find((l) => l.pattern === e.target.value)?.pattern ?? 'M';
                set({ pattern, beside: setPatterns.has(pattern) ? null : 1 });
              }}
              className="block w-full"
            >
              {ladders.map((l) => (
                <option key={l.pattern} value={l.pattern}>
                  {l.pattern} {l.title}
                  {setPatterns.has(l.pattern) ? ' (a set)' : ''}
                </option>
              ))}
            </Choice>
          </Field>
          {!setPatterns.has(draft.pattern) && (
            <Field label="Beside which rung" name="beside" fault={at('/beside')}>
              <Choice
                {...box('beside')}
                value={String(draft.beside ?? 1)}
                onChange={(e) => set({ beside: Number(e.target.value) })}
                className="block w-full"
              >
                {ladder?.rungs.map((r) => (
                  <option key={r.rung} value={r.rung}>
                    {r.rung} {r.name}
                  </option>
                ))}
              </Choice>
            </Field>
          )}
          <Field label="How one stands, sits or lies" name="stance" fault={at('/stance')}>
            <Choice
              {...box('stance')}
              value={draft.stance}
              onChange={(e) => set({ stance: ownStances.find((s) => s === e.target.value) ?? 'seated' })}
              className="block w-full"
            >
              {ownStances.map((s) => (
                <option key={s} value={s}>
                  {stanceWords[s]}
                </option>
              ))}
            </Choice>
          </Field>
          <Field label="The hands at most" name="hands" fault={at('/hands')}>
            <Choice
              {...box('hands')}
              value={draft.hands}
              onChange={(e) => set({ hands: supports.find((s) => s === e.target.value) ?? '2' })}
              className="block w-full"
            >
              {supports.map((s) => (
                <option key={s} value={s}>
                  {supportWords[s]}
                </option>
              ))}
            </Choice>
          </Field>
          <fieldset>
            <legend className="font-semibold">It is</legend>
            {tick(draft.aSide, (aSide) => set({ aSide }), 'left and right apart')}
            {tick(draft.dose === 'holds', (is) => set({ dose: is ? 'holds' : 'reps' }), 'held, not repeated')}
            {tick(draft.floor, (floor) => set({ floor }), 'on the floor')}
            {tick(draft.slides, (slides) => set({ slides }), 'with a foot that slides')}
            {tick(draft.weight, (weight) => set({ weight }), 'with a weight')}
            {tick(draft.impact, (impact) => set({ impact }), 'with a hop or a jump')}
          </fieldset>
        </div>
        <div>
          <fieldset>
            <legend className="font-semibold">What it loads; left empty it counts as much</legend>
            {loadedJoints.map((joint) => (
              <label key={joint} className="mt-1.5 flex items-center gap-3">
                <span className="w-24 first-letter:uppercase">{joint}</span>
                <Choice
                  size="line"
                  aria-label={`${joint}: how much it is loaded`}
                  value={draft.loads[joint] ?? ''}
                  onChange={(e) =>
                    set({
                      loads: loadsWith(
                        draft.loads,
                        joint,
                        ownLoads.find((l) => l === e.target.value),
                      ),
                    })
                  }
                  className="flex-1"
                >
                  <option value="">not said: much</option>
                  {ownLoads.map((l) => (
                    <option key={l} value={l}>
                      {l}
                    </option>
                  ))}
                </Choice>
              </label>
            ))}
          </fieldset>
          <Field label="What it trains" name="trains" fault={at('/trains')} className="mt-4 min-h-[92px]">
            <TextBox
              {...box('trains')}
              maxLength={100}
              value={draft.trains}
              onChange={(e) => set({ trains: e.target.value })}
              className="block w-full"
            />
          </Field>
          <fieldset>
            <legend className="font-semibold">What it asks for, beside what it is</legend>
            {draft.needs.map((need, i) => (
              <div key={need.fact} className="mt-1.5 flex flex-wrap items-center gap-2">
                <span className="min-w-0 flex-1">
                  {facts.find((f) => f.id === need.fact)?.title ?? need.fact}, at least
                </span>
                <TextBox
                  size="line"
                  num
                  inputMode="decimal"
                  aria-label={`At least, ${facts.find((f) => f.id === need.fact)?.title ?? need.fact}`}
                  aria-invalid={at(`/needs/${i}/atLeast`) !== undefined}
                  defaultValue={String(need.atLeast)}
                  onChange={(e) => {
                    const words = e.target.value.trim();
                    // What is no number is not kept: the save says so.
                    const atLeast = words === '' ? NaN : Number(words.replace(',', '.'));
                    set({ needs: draft.needs.map((n, j) => (i === j ? { ...n, atLeast } : n)) });
                  }}
                  className="w-20"
                />
                <Button look="plain" onClick={() => set({ needs: draft.needs.filter((n) => n !== need) })}>
                  Take out<span className="sr-only"> {need.fact}</span>
                </Button>
              </div>
            ))}
            <label className="mt-1.5 block">
              <span className="sr-only">Ask for a test</span>
              <Choice
                size="line"
                value=""
                onChange={(e) => {
                  const fact = facts.find((f) => f.id === e.target.value);
                  if (fact) set({ needs: [...draft.needs, { fact: fact.id, atLeast: 1 }] });
                }}
                className="w-full"
              >
                <option value="">Ask for a test …</option>
                {facts
                  .filter((f) => !draft.needs.some((n) => n.fact === f.id))
                  .map((f) => (
                    <option key={f.id} value={f.id}>
                      {f.title}
                    </option>
                  ))}
              </Choice>
            </label>
            {ownPlaces.map((place) => (
              <div key={place}>
                {tick(
                  draft.places.includes(place),
                  (is) => set({ places: is ? [...draft.places, place] : draft.places.filter((p) => p !== place) }),
                  placeWords[place],
                )}
              </div>
            ))}
          </fieldset>
          <details className="mt-3">
            <summary className="min-h-11 cursor-pointer py-2 font-semibold underline underline-offset-4">
              Closed by, beside what it is ({draft.closedBy.length})
            </summary>
            {limiters.map((kind) => (
              <div key={kind}>
                {tick(
                  draft.closedBy.includes(kind),
                  (is) => set({ closedBy: is ? [...draft.closedBy, kind] : draft.closedBy.filter((k) => k !== kind) }),
                  limiterWords[kind],
                )}
              </div>
            ))}
          </details>
          <details>
            <summary className="min-h-11 cursor-pointer py-2 font-semibold underline underline-offset-4">
              What to look at, three at most ({draft.checks.length})
            </summary>
            {formChecks.map((check) => (
              <div key={check.code}>
                {tick(
                  draft.checks.includes(check.code),
                  (is) =>
                    set({
                      checks: is
                        ? [...draft.checks, check.code].slice(-3)
                        : draft.checks.filter((c) => c !== check.code),
                    }),
                  check.seen,
                )}
              </div>
            ))}
          </details>
        </div>
        <aside aria-label="What follows" className="space-y-5 lg:sticky lg:top-4 lg:self-start">
          <section aria-labelledby="closes">
            <Heading id="closes">What closes it</Heading>
            {tried === null ? (
              <p className="mt-2 text-ink-soft">Write a name and what is done, and it is told here.</p>
            ) : (
              <ul className="mt-2 list-disc space-y-1 pl-5" data-testid="closes-it">
                {tried.closedBy.map((words) => (
                  <li key={words} className="first-letter:uppercase">
                    {words}
                  </li>
                ))}
                {tried.closedBy.length === 0 && <li>Nothing that is known of a person.</li>}
              </ul>
            )}
          </section>
          {tried !== null && (
            <section aria-labelledby="open-for">
              <Heading id="open-for">Open today for</Heading>
              <p className="mt-2" data-testid="open-for">
                <b>
                  {tried.openFor.length} of {tried.lookedAt}
                </b>{' '}
                looked at
                {tried.openFor.length > 0 && `: ${tried.openFor.slice(0, 8).join(', ')}`}
                {tried.openFor.length > 8 && ` and ${tried.openFor.length - 8} more`}.
              </p>
            </section>
          )}
          <Button type="submit" className="w-full">
            Keep it
          </Button>
          <p role="alert" data-testid="not-kept" className="font-semibold text-stop empty:hidden">
            {fault}
          </p>
        </aside>
        {tried !== null && (
          <div className="lg:hidden">
            <FootBar>
              <p aria-hidden>
                Open for <b>{tried.openFor.length}</b> of {tried.lookedAt}; closed by{' '}
                {tried.closedBy.length === 0
                  ? 'nothing'
                  : tried.closedBy.length > 2
                    ? `${tried.closedBy.length} limiters`
                    : tried.closedBy.join(', ')}
              </p>
            </FootBar>
          </div>
        )}
      </form>
    </div>
  );
}

/** What follows of a form, asked a moment after it was last changed; the newest answer stands. */
function useTried(draft: Draft, attempt: Props['attempt']): Tried | null {
  const [tried, setTried] = useState<Tried | null>(null);
  const newest = useRef(0);
  useEffect(() => {
    const mine = ++newest.current;
    const soon = setTimeout(() => {
      void attempt(draft)
        .then((answer) => {
          if (newest.current === mine) setTried(answer);
        })
        .catch(() => {
          // Without a server nothing is told; the form stays as it is.
          if (newest.current === mine) setTried(null);
        });
    }, 400);
    return () => clearTimeout(soon);
  }, [draft, attempt]);
  return tried;
}

/** Left empty a load is not said. */
function loadsWith(
  loads: Draft['loads'],
  joint: (typeof loadedJoints)[number],
  load: OwnLoad | undefined,
): Draft['loads'] {
  const others = Object.fromEntries(Object.entries(loads).filter(([j]) => j !== joint));
  return load === undefined ? others : { ...others, [joint]: load };
}

const stanceWords: Readonly<Record<OwnExercise['stance'], string>> = {
  seated: 'seated',
  lying: 'lying',
  'two-foot': 'standing on two feet',
  split: 'in a step stance',
  'one-leg': 'on one leg',
};

const placeWords: Readonly<Record<OwnPlace, string>> = {
  'kit.rail': 'a rail or counter',
  'kit.chair': 'a firm chair',
  'kit.mat': 'a mat',
  'kit.raisedSurface': 'a firm raised surface',
};
