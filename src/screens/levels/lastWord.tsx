'use client';
import { useState } from 'react';
import type { Pattern, Support } from '../../core/shapes/facts';
import { Button } from '../touch/button';
import { Choice, TextBox } from '../touch/field';
import { useSaying, type Say } from './saying';

/** A rung that may be set by hand, with what may be chosen on it; in words beside what is sent. */
export interface RungToSet {
  readonly rung: number;
  readonly name: string;
  readonly supports: readonly (readonly [Support, string])[];
  readonly heights: readonly (readonly [number, string])[];
  /** How much of the movement, least first. */
  readonly withins: readonly (readonly [number, string])[];
  readonly doses: readonly (readonly [code: string, words: string])[];
  readonly loads: readonly (readonly [number | null, string])[];
  /** What the word stands in for. */
  readonly passes: readonly string[];
}

export interface WordProps {
  readonly pattern: Pattern;
  /** Of a set: which item. */
  readonly item: number | null;
  /** The code of what the rules give; empty where they give nothing. */
  readonly seen: string;
  readonly lower: readonly RungToSet[];
  readonly higher: readonly RungToSet[];
  /** Rungs nobody’s word opens, in a sentence each. */
  readonly closed: readonly string[];
  /** What was said before and stands, in a sentence; `null` where nothing was. */
  readonly standing: string | null;
}

type Open = 'lower' | 'higher' | 'not-this' | null;

/**
 * The instructor's last word on one ladder: less, not at all, or with a reason more; and taken back, as the rules give
 * it. What is chosen stands in one sentence above the press that keeps it.
 */
export function LastWord({ say, ...props }: WordProps & { say: Say }) {
  const { pattern, item, seen, lower, higher, closed, standing } = props;
  const [open, setOpen] = useState<Open>(null);
  const { put, fault } = useSaying(say, { pattern, item, seen }, () => setOpen(null));
  return (
    <div className="mt-4 border-t-2 border-rule pt-2" data-testid="last-word">
      {standing !== null && (
        <p className="mb-1 flex flex-wrap items-center gap-x-4">
          <b>{standing}</b>
          {seen !== '' && (
            <Button look="plain" onClick={() => put({ word: 'as-it-is' })}>
              As the rules give it
            </Button>
          )}
        </p>
      )}
      <div className="flex flex-wrap gap-2" role="group" aria-label="Your word on it">
        {lower.length > 0 && <Word is="lower" words="Lower" {...{ open, setOpen }} />}
        {lower.length > 0 && <Word is="not-this" words="Not this one" {...{ open, setOpen }} />}
        {higher.length + closed.length > 0 && <Word is="higher" words="Higher" {...{ open, setOpen }} />}
      </div>
      {open === 'lower' && (
        <Setting key="lower" word="lower" rungs={lower} startAt={(lower[1] ?? lower[0])?.rung} keep={put} />
      )}
      {open === 'higher' && (
        <>
          {higher.length > 0 ? (
            <Setting key="higher" word="higher" rungs={higher} startAt={higher[0]?.rung} keep={put} />
          ) : (
            <p className="mt-2 font-semibold">Nobody’s word opens a higher one today.</p>
          )}
          {closed.length > 0 && (
            <>
              <h3 className="mt-2 font-bold">Not by hand</h3>
              <ul className="space-y-1 text-sm">
                {closed.map((words) => (
                  <li key={words}>{words}</li>
                ))}
              </ul>
            </>
          )}
        </>
      )}
      {open === 'not-this' && <LeftOut keep={put} />}
      <p role="alert" className="mt-1 font-semibold text-stop empty:hidden">
        {fault}
      </p>
    </div>
  );
}

function Word({
  is,
  words,
  open,
  setOpen,
}: {
  is: Exclude<Open, null>;
  words: string;
  open: Open;
  setOpen: (open: Open) => void;
}) {
  return (
    <Button
      look={open === is ? 'main' : 'line'}
      aria-expanded={open === is}
      onClick={() => setOpen(open === is ? null : is)}
    >
      {words}
    </Button>
  );
}

interface SettingProps {
  readonly word: 'lower' | 'higher';
  readonly rungs: readonly RungToSet[];
  readonly startAt: number | undefined;
  readonly keep: (sent: object) => void;
}

/** Which rung, and on it hands, height, amount and weight; each starts as the rules give it there. */
function Setting({ word, rungs, startAt, keep }: SettingProps) {
  const [rung, setRung] = useState(startAt);
  const chosen = rungs.find((r) => r.rung === rung);
  return (
    <div className="mt-2 border-l-8 border-wood bg-board p-3">
      <Pick
        words="Movement"
        value={String(rung)}
        of={rungs.map((r) => [String(r.rung), `${r.rung} ${r.name}`])}
        set={(value) => setRung(Number(value))}
      />
      {/* Another rung begins anew. */}
      {chosen && <OnRung key={chosen.rung} {...{ word, keep }} rung={chosen} />}
    </div>
  );
}

function OnRung({ word, rung, keep }: { word: 'lower' | 'higher'; rung: RungToSet; keep: SettingProps['keep'] }) {
  const [support, setSupport] = useState(rung.supports[0]?.[0]);
  const [height, setHeight] = useState(rung.heights[0]?.[0] ?? null);
  // As far as it was reached; on a rung under it, the same.
  const [within, setWithin] = useState(rung.withins.at(-1)?.[0] ?? null);
  const [dose, setDose] = useState(rung.doses[0]?.[0]);
  // Less starts without a weight.
  const [load, setLoad] = useState((word === 'lower' ? rung.loads.at(-1) : rung.loads[0])?.[0] ?? null);
  const [why, setWhy] = useState('');
  return (
    <>
      <Pick words="Hands" value={support} of={rung.supports} set={setSupport} />
      <Pick
        words="Height"
        value={String(height)}
        of={rung.heights.map(([cm, words]) => [String(cm), words])}
        set={(cm) => setHeight(Number(cm))}
      />
      <Pick
        words="How far"
        value={String(within)}
        of={rung.withins.map(([step, words]) => [String(step), words])}
        set={(step) => setWithin(Number(step))}
      />
      <Pick words="Amount" value={dose} of={rung.doses} set={setDose} />
      <Pick
        words="Weight"
        value={String(load)}
        of={rung.loads.map(([kg, words]) => [String(kg), words])}
        set={(kg) => setLoad(kg === 'null' ? null : Number(kg))}
      />
      {rung.passes.length > 0 && <p className="mt-2 text-sm">Your reason stands in for: {rung.passes.join('; ')}.</p>}
      <Why label={word === 'higher' ? 'Why (kept with it)' : 'Why, if you like'} why={why} write={setWhy} />
      <Button
        className="mt-3"
        onClick={() => keep({ word, rung: rung.rung, support, heightCm: height, within, dose, loadKg: load, why })}
      >
        Set it by hand
      </Button>
    </>
  );
}

/** A list to choose from; with one thing in it it is told, with none left out. */
function Pick<T extends string>({
  words,
  value,
  of,
  set,
}: {
  words: string;
  value: T | undefined;
  of: readonly (readonly [T, string])[];
  set: (value: T) => void;
}) {
  const [only, ...more] = of;
  if (!only || (more.length === 0 && only[0] === 'null')) return null;
  return (
    <label className="mt-1 flex items-center gap-3">
      <span className="w-24 shrink-0 font-semibold">{words}</span>
      {more.length === 0 ? (
        <span className="flex min-h-11 items-center">{only[1]}</span>
      ) : (
        <Choice
          size="line"
          value={value}
          onChange={(e) => set(of.find(([is]) => is === e.target.value)?.[0] ?? only[0])}
          className="min-w-0 flex-1"
        >
          {of.map(([is, said]) => (
            <option key={is} value={is}>
              {said}
            </option>
          ))}
        </Choice>
      )}
    </label>
  );
}

function LeftOut({ keep }: { keep: SettingProps['keep'] }) {
  const [why, setWhy] = useState('');
  return (
    <div className="mt-2 border-l-8 border-wood bg-board p-3">
      <Why label="Why, if you like" why={why} write={setWhy} />
      <Button className="mt-3" onClick={() => keep({ word: 'not-this', why })}>
        Leave this one out
      </Button>
    </div>
  );
}

function Why({ label, why, write }: { label: string; why: string; write: (why: string) => void }) {
  return (
    <label className="mt-2 block font-semibold">
      {label}
      <TextBox
        maxLength={200}
        value={why}
        onChange={(e) => write(e.target.value)}
        className="mt-1 block w-full font-normal"
      />
    </label>
  );
}
