'use client';
import type { LimiterKind } from '../../../core/shapes/facts';
import type { PersonForm } from '../../../schemas/person';
import { sentenceIn } from '../../../core/math/units';
import { useUnits } from '../../frame/units';
import { limiterWords } from '../../words';
import { useAllRules, useRules } from '../../frame/rules';
import { Tick } from './fields';
import { Choice, TextBox } from '../../touch/field';

export type FormLimiter = PersonForm['limiters'][number];

interface Props {
  readonly kinds: readonly LimiterKind[];
  readonly limiters: readonly FormLimiter[];
  readonly change: (limiters: FormLimiter[]) => void;
  readonly today: string;
  /** What is wrong with each, as it stands in the list of all. */
  readonly faults: readonly (LimiterFaults | undefined)[];
}

interface LimiterFaults {
  readonly text?: { readonly message?: string | undefined };
  readonly by?: { readonly message?: string | undefined };
  readonly writtenOn?: { readonly message?: string | undefined };
}

const sided: readonly LimiterKind[] = ['knee-replaced', 'hip-replaced', 'lost-limb'];

/** Lasting conditions, each with what has to be known of it. */
export function LimiterList({ kinds, limiters, change, today, faults }: Props) {
  const rows = useRules().levels.limiters;
  const units = useUnits();
  const needsRelease = new Set(rows.filter((row) => row.untilLifted).map((row) => row.kind));
  const faultsOf = (limiter: FormLimiter) => faults[limiters.indexOf(limiter)];
  const put = (old: FormLimiter, next: FormLimiter) => change(limiters.map((l) => (l === old ? next : l)));
  return (
    <ul className="grid gap-x-8 md:grid-cols-2">
      {kinds.flatMap((kind) => {
        const noted = limiters.filter((l) => l.kind === kind);
        const sides = sided.includes(kind);
        const replaced = sides && kind !== 'lost-limb';
        const add = () =>
          change([
            ...limiters,
            {
              ...{ kind, side: sides ? ('R' as const) : null, since: null, limitsLifted: false },
              ...{ by: '', limits: '', writtenOn: null, closes: [], text: '' },
            },
          ]);
        return (
          <li
            key={kind}
            className={noted.length > 0 ? 'border-b border-rule pb-2 md:col-span-2' : 'border-b border-rule'}
          >
            <Tick
              checked={noted.length > 0}
              set={(on) => (on ? add() : change(limiters.filter((l) => l.kind !== kind)))}
            >
              {limiterWords[kind]}
              {kind === 'height-lost' && sentenceIn(', over 4 cm', units)}
            </Tick>
            {noted.map((limiter, i) => (
              <div key={`${kind}${i}`} className="flex flex-wrap items-center gap-x-4 gap-y-1 pl-9 text-sm">
                {sides && (
                  <label className="flex items-center gap-2">
                    side
                    <Choice
                      size="line"
                      value={limiter.side ?? 'R'}
                      onChange={(e) => put(limiter, { ...limiter, side: e.target.value === 'L' ? 'L' : 'R' })}
                    >
                      <option value="R">right</option>
                      <option value="L">left</option>
                    </Choice>
                  </label>
                )}
                {kind === 'other' && (
                  <SomethingElse
                    limiter={limiter}
                    put={(next) => put(limiter, next)}
                    fault={faultsOf(limiter)?.text?.message}
                  />
                )}
                {(replaced || kind === 'recent-surgery') && (
                  <label className="flex items-center gap-2">
                    on
                    <TextBox
                      size="line"
                      num
                      type="date"
                      max={today}
                      value={limiter.since ?? ''}
                      onChange={(e) => put(limiter, { ...limiter, since: e.target.value || null })}
                    />
                  </label>
                )}
                {kind === 'recent-surgery' && (
                  <Tick checked={limiter.ofTheEye === true} set={(ofTheEye) => put(limiter, { ...limiter, ofTheEye })}>
                    of the eye
                  </Tick>
                )}
                {needsRelease.has(kind) && (
                  <Tick
                    checked={limiter.limitsLifted === true}
                    set={(limitsLifted) => put(limiter, { ...limiter, limitsLifted })}
                  >
                    {replaced ? 'limits lifted in writing' : 'released in writing'}
                  </Tick>
                )}
                {(replaced || needsRelease.has(kind)) && !limiter.limitsLifted && (
                  <label className="flex items-center gap-2">
                    limits
                    <TextBox
                      size="line"
                      className="w-52"
                      placeholder="not known"
                      value={limiter.limits ?? ''}
                      onChange={(e) => put(limiter, { ...limiter, limits: e.target.value })}
                    />
                  </label>
                )}
                {(limiter.limitsLifted === true || (limiter.limits ?? '').trim() !== '') && (
                  <>
                    <label className="flex items-center gap-2">
                      by
                      <TextBox
                        size="line"
                        className="w-40"
                        value={limiter.by ?? ''}
                        aria-invalid={faultsOf(limiter)?.by !== undefined}
                        onChange={(e) => put(limiter, { ...limiter, by: e.target.value })}
                      />
                    </label>
                    <label className="flex items-center gap-2">
                      written on
                      <TextBox
                        size="line"
                        num
                        type="date"
                        max={today}
                        value={limiter.writtenOn ?? ''}
                        aria-invalid={faultsOf(limiter)?.writtenOn !== undefined}
                        onChange={(e) => put(limiter, { ...limiter, writtenOn: e.target.value || null })}
                      />
                    </label>
                    <span role="alert" className="font-semibold text-stop empty:hidden">
                      {[faultsOf(limiter)?.by?.message, faultsOf(limiter)?.writtenOn?.message]
                        .filter(Boolean)
                        .join(' ')}
                    </span>
                  </>
                )}
                {sides && noted.length === 1 && (
                  <button
                    type="button"
                    className="min-h-11 cursor-pointer px-1 font-semibold text-squat underline underline-offset-4"
                    onClick={() => change([...limiters, { ...limiter, side: limiter.side === 'L' ? 'R' : 'L' }])}
                  >
                    the other side too
                  </button>
                )}
              </div>
            ))}
          </li>
        );
      })}
    </ul>
  );
}

/** What it is, in their words, and which movements it closes. */
function SomethingElse({
  limiter,
  put,
  fault,
}: {
  limiter: FormLimiter;
  put: (next: FormLimiter) => void;
  fault: string | undefined;
}) {
  const closes = limiter.closes ?? [];
  const { ladders } = useAllRules().levels;
  return (
    <>
      <label className="flex items-center gap-2">
        what
        <TextBox
          size="line"
          className="w-64 max-w-full"
          maxLength={200}
          value={limiter.text ?? ''}
          aria-invalid={fault !== undefined}
          onChange={(e) => put({ ...limiter, text: e.target.value })}
        />
      </label>
      <span role="group" aria-label="It closes" className="flex flex-wrap items-center gap-x-4">
        closes
        {ladders.map(({ pattern, title }) => (
          <Tick
            key={pattern}
            checked={closes.includes(pattern)}
            set={(on) => put({ ...limiter, closes: on ? [...closes, pattern] : closes.filter((p) => p !== pattern) })}
          >
            {title.toLowerCase()}
          </Tick>
        ))}
      </span>
      <span role="alert" className="font-semibold text-stop empty:hidden">
        {fault}
      </span>
    </>
  );
}
