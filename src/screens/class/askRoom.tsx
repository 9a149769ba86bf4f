'use client';
import { useState } from 'react';
import { loadedJoints } from '../../core/shapes/ladder';
import type { ClassPlan } from '../../core/train/plan';
import type { ClassLogContent, WrittenLine } from '../../core/shapes/classLog';
import { standing } from '../../core/train/log';
import { Button } from '../touch/button';

/** Asked of the last class at the start of this one: stiff on both sides and gone in two days is not worse. */
export function NextDay({
  plan,
  there,
  log,
  note,
}: {
  plan: ClassPlan;
  there: ReadonlySet<string>;
  log: readonly WrittenLine[];
  note: (content: ClassLogContent, personId?: string | null) => void;
}) {
  const [who, setWho] = useState<string | null>(null);
  const lines = standing(log);
  const worse = new Set(
    lines.flatMap((l) => (l.content.kind === 'next-day' && l.content.worse && l.personId ? [l.personId] : [])),
  );
  const asked = isAsked(log, 'next-day');
  return (
    <section aria-label="The day after" className="mt-3 border-2 border-ink bg-board p-3">
      <p className="text-xl font-bold">Who was worse than usual the day after, in a joint or on one side?</p>
      <ul className="mt-2 flex flex-wrap gap-2">
        {plan.who
          .filter((w) => there.has(w.id))
          .map((w) => (
            <li key={w.id}>
              <button
                type="button"
                aria-pressed={worse.has(w.id)}
                className="min-h-12 cursor-pointer rounded-md border-2 border-ink px-3 font-semibold aria-pressed:bg-ink aria-pressed:text-board"
                aria-expanded={who === w.id}
                onClick={() => setWho(worse.has(w.id) || who === w.id ? null : w.id)}
              >
                {w.short}
              </button>
            </li>
          ))}
      </ul>
      {who !== null && (
        <div className="mt-2 flex flex-wrap items-center gap-2" role="group" aria-label="In which joint">
          <b>{plan.who.find((w) => w.id === who)?.short}, where?</b>
          {[...loadedJoints, null].map((joint) => (
            <Button
              key={joint ?? 'elsewhere'}
              look="line"
              onClick={() => {
                note({ kind: 'next-day', worse: true, joint, side: null }, who);
                setWho(null);
              }}
            >
              {joint ?? 'elsewhere'}
            </Button>
          ))}
        </div>
      )}
      <p className="mt-2">
        {asked ? (
          <b>Asked.</b>
        ) : (
          <Button onClick={() => note({ kind: 'asked', what: 'next-day' })}>Asked everybody</Button>
        )}
      </p>
    </section>
  );
}

/** Whether a question was put to the whole room. */
export const isAsked = (lines: readonly WrittenLine[], what: 'pain' | 'effort' | 'next-day'): boolean =>
  standing(lines).some((l) => l.content.kind === 'asked' && l.content.what === what);

/** The two questions of the seated minute, to the whole room; hands up are tapped. */
export function Questions({
  plan,
  there,
  log,
  note,
  choose,
}: {
  plan: ClassPlan;
  there: ReadonlySet<string>;
  log: readonly WrittenLine[];
  note: (content: ClassLogContent, personId?: string | null) => void;
  choose: (id: string) => void;
}) {
  const asked = (what: 'pain' | 'effort') => isAsked(log, what);
  const rows = [
    ['effort', 'Who could not have said a sentence at the hardest part?'],
    ['pain', 'Does anything hurt now that did not before?'],
  ] as const;
  const people = plan.who.filter((w) => there.has(w.id));
  return (
    <section aria-label="Two questions" className="mt-3 grid gap-3">
      {rows.map(([what, words]) => (
        <div key={what} className="border-2 border-ink bg-board p-3">
          <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-2">
            <p className="text-xl font-bold">{words}</p>
            {asked(what) ? (
              <b>Asked.</b>
            ) : (
              <Button onClick={() => note({ kind: 'asked', what })}>Asked everybody: no more hands</Button>
            )}
          </div>
          <ul className="mt-2 flex flex-wrap gap-2">
            {people.map((w) => (
              <li key={w.id}>
                <button
                  type="button"
                  className="min-h-12 cursor-pointer rounded-md border-2 border-ink px-3 font-semibold"
                  onClick={() =>
                    what === 'effort' ? note({ kind: 'effort', pattern: null, value: 7 }, w.id) : choose(w.id)
                  }
                >
                  {w.short}
                </button>
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}
