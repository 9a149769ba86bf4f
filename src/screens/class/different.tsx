'use client';
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useEffect, useState } from 'react';
import { nothingWhen } from '../../catalogue/swaps/nothingWhen';
import { formChecks } from '../../catalogue/form-checks/formChecks';
import { sentenceIn, shortLengthWords, unitsOf } from '../../core/math/units';
import type { UnitSystem } from '../../core/shapes/person';
import type { ClassLogContent } from '../../core/shapes/classLog';
import type { Pattern, Side } from '../../core/shapes/facts';
import { loadedJoints, type LoadedJoint } from '../../core/shapes/ladder';
import type { SwapGrade } from '../../core/shapes/swap';
import type { Dose } from '../../core/shapes/dose';
import { amountOf, doneChoices, isHalf } from '../../core/train/doseSteps';
import { setsOf, type Variant } from '../../core/train/variant';
import { Button } from '../touch/button';

interface Props {
  readonly name: string;
  readonly units: UnitSystem;
  /** What they do in this block; `null` in a block without work, or where they sit out. */
  readonly variant: Variant | null;
  readonly pattern: Pattern | null;
  readonly round: number;
  /** Form checks of this rung. */
  readonly checks: readonly string[];
  readonly note: (content: ClassLogContent) => void;
  /** What they may do instead; rejects or `null` where that cannot be told. */
  readonly findSwaps: FindSwaps;
  /** Who helps, and with whom of them somebody is. */
  readonly helpers: readonly { readonly id: string; readonly name: string }[];
  readonly with: string | null;
  /** Joints for which something was swapped in this class already. */
  readonly swapped: readonly LoadedJoint[];
  readonly close: () => void;
}

export type FindSwaps = (pattern: Pattern, rung: number) => Promise<SwapsFound | null>;
interface SwapsFound {
  readonly swappedToday: readonly LoadedJoint[];
  readonly offers: Readonly<Partial<Record<LoadedJoint, Readonly<Record<'0-2' | '3-4', readonly Offer[]>>>>>;
}
interface Offer {
  readonly code: string;
  readonly name: string;
  readonly changes: readonly string[];
}

type Asked = 'what' | 'fewer' | 'form' | 'pain' | 'stop' | 'swap';

/** What was different with one person: one tap, and the screen is the class again. Nothing is ever typed here. */
export function Different({
  name,
  units,
  variant,
  pattern,
  round,
  checks,
  note,
  findSwaps,
  helpers,
  with: withId,
  swapped,
  close,
}: Props) {
  const [asked, setAsked] = useState<Asked>('what');
  const say = (content: ClassLogContent) => {
    note(content);
    close();
  };
  return (
    <Dialog open onClose={close} className="relative z-30">
      <div className="fixed inset-0 bg-ink/30" aria-hidden />
      <div className="fixed inset-x-0 bottom-0 flex justify-center">
        <DialogPanel className="max-h-[92dvh] w-full max-w-[1100px] overflow-y-auto border-4 border-ink bg-board p-4 pb-6">
          <div className="flex items-baseline justify-between gap-4">
            <DialogTitle className="text-3xl font-extrabold">{name}</DialogTitle>
            <Button look="line" onClick={close}>
              Nothing
            </Button>
          </div>
          {variant && (
            <p className="mt-1 text-lg">
              {variant.name}
              {variant.targetCm !== null && `, ${shortLengthWords(variant.targetCm, unitsOf[units].length)}`}
              {variant.why && `: ${variant.why}`}
            </p>
          )}
          {asked === 'what' && <What {...{ pattern, say, ask: setAsked }} doing={variant !== null} />}
          {asked === 'what' && helpers.length > 0 && (
            <div className="mt-4 flex flex-wrap gap-3 border-t-2 border-rule pt-3" role="group" aria-label="With whom">
              {helpers.map((h) => (
                <Button
                  key={h.id}
                  look="line"
                  className="min-h-14!"
                  onClick={() => say({ kind: 'given', to: withId === h.id ? null : h.id })}
                >
                  {withId === h.id ? `No longer with ${h.name}` : `With ${h.name}`}
                </Button>
              ))}
            </div>
          )}
          {asked === 'fewer' && variant && <Fewer dose={variant.dose} pattern={variant.pattern} say={say} />}
          {asked === 'form' && pattern && <Form pattern={pattern} checks={checks} say={say} />}
          {asked === 'pain' && <Pain pattern={pattern} say={say} />}
          {asked === 'swap' && variant && (
            <Instead {...{ variant, units, findSwaps, swapped, note, close }} pain={() => setAsked('pain')} />
          )}
          {asked === 'stop' && pattern && <Stop pattern={pattern} set={round > 1 ? 'later' : 'first'} say={say} />}
        </DialogPanel>
      </div>
    </Dialog>
  );
}

const grid = 'mt-3 grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-4';
const choice =
  'min-h-14 cursor-pointer rounded-md border-2 border-ink px-4 text-lg aria-pressed:bg-ink aria-pressed:text-board';
const big = 'min-h-20! text-lg whitespace-normal!';

function What({
  pattern,
  say,
  ask,
  doing,
}: {
  pattern: Pattern | null;
  doing: boolean;
  say: (content: ClassLogContent) => void;
  ask: (what: Asked) => void;
}) {
  return (
    <div className={grid}>
      {pattern && (
        <>
          <Button className={big} onClick={() => say({ kind: 'seen', pattern })}>
            Seen clean
          </Button>
          <Button look="line" className={big} onClick={() => say({ kind: 'fewer', pattern, half: 'more' })}>
            Fewer, half or more
          </Button>
          <Button look="line" className={big} onClick={() => say({ kind: 'fewer', pattern, half: 'less' })}>
            Under half
          </Button>
          {doing && (
            <Button look="line" className={big} onClick={() => ask('fewer')}>
              Fewer, counted …
            </Button>
          )}
          <Button look="line" className={big} onClick={() => ask('form')}>
            Form …
          </Button>
        </>
      )}
      <Button look="line" className={big} onClick={() => ask('pain')}>
        Pain …
      </Button>
      <Button look="line" className={big} onClick={() => say({ kind: 'effort', pattern, value: 7 })}>
        Hard: no sentence
      </Button>
      <Button look="line" className={big} onClick={() => say({ kind: 'effort', pattern, value: 9 })}>
        Far too hard
      </Button>
      {pattern && (
        <>
          <Button look="line" className={big} onClick={() => say({ kind: 'support', pattern, change: 'more' })}>
            More hands
          </Button>
          <Button look="line" className={big} onClick={() => say({ kind: 'seat', pattern, change: 'higher' })}>
            Higher seat
          </Button>
          {doing && (
            <Button look="line" className={big} onClick={() => ask('swap')}>
              It hurts: another one …
            </Button>
          )}
          <Button look="line" className={big} onClick={() => say({ kind: 'not-done', pattern, why: 'other' })}>
            Not done
          </Button>
          <Button look="line" className={big} onClick={() => ask('stop')}>
            Stopped …
          </Button>
        </>
      )}
      <Button look="line" className={big} onClick={() => say({ kind: 'absent' })}>
        Went home, or never came
      </Button>
    </div>
  );
}

/** How many whole rounds, or how many in each: one tap. Twice running, and the dose is set to it. */
function Fewer({ dose, pattern, say }: { dose: Dose; pattern: Pattern; say: (content: ClassLogContent) => void }) {
  const choices = doneChoices(dose);
  const unit = dose.kind === 'holds' ? ' s' : '';
  const rows = (['rounds', 'each'] as const).filter((of) => choices[of].length > 0);
  return (
    <div className="mt-3 grid gap-3">
      {rows.map((of) => (
        <div key={of} role="group" aria-label={of === 'rounds' ? 'Whole rounds' : 'In each round'}>
          <p className="text-lg font-semibold">
            {of === 'rounds' ? `Whole rounds, of ${setsOf(dose)}` : `In each round, of ${amountOf(dose)}${unit}`}
          </p>
          <div className="mt-1 flex flex-wrap gap-3">
            {choices[of].map((n) => (
              <Button
                key={n}
                look="line"
                className="num min-h-20! min-w-20! text-2xl"
                aria-label={of === 'each' ? `${n}${unit} in each` : `${n} whole ${n === 1 ? 'round' : 'rounds'}`}
                onClick={() =>
                  say({ kind: 'fewer', pattern, half: isHalf(dose, { of, n }) ? 'more' : 'less', done: { of, n } })
                }
              >
                {n}
                {of === 'each' && unit}
              </Button>
            ))}
          </div>
        </div>
      ))}
      {rows.length === 0 && <p className="text-lg">One is the whole of it: not done, or stopped.</p>}
    </div>
  );
}

/** Those of this rung first. */
function Form({
  pattern,
  checks,
  say,
}: {
  pattern: Pattern;
  checks: readonly string[];
  say: (content: ClassLogContent) => void;
}) {
  const [putRight, setPutRight] = useState(true);
  const first = formChecks.filter((c) => checks.includes(c.code));
  const rest = formChecks.filter((c) => !checks.includes(c.code) && c.stopSign !== true);
  return (
    <>
      <div className="mt-3 flex flex-wrap gap-3" role="group" aria-label="After the cue">
        {[true, false].map((right) => (
          <button
            key={String(right)}
            type="button"
            aria-pressed={putRight === right}
            className={choice}
            onClick={() => setPutRight(right)}
          >
            {right ? 'Put right by the cue' : 'Not put right'}
          </button>
        ))}
      </div>
      <div className={grid}>
        {[...first, ...rest].map((c, i) => (
          <Button
            key={c.code}
            look="line"
            className={`${big} ${i < first.length ? 'border-4! font-extrabold' : 'font-medium!'}`}
            onClick={() => say({ kind: 'form', pattern, check: c.code, putRight })}
          >
            <span className="first-letter:uppercase">{c.seen}</span>
          </Button>
        ))}
      </div>
    </>
  );
}

function Pain({ pattern, say }: { pattern: Pattern | null; say: (content: ClassLogContent) => void }) {
  const [joint, setJoint] = useState<LoadedJoint | null>(null);
  const [side, setSide] = useState<Side | null>(null);
  const [sharp, setSharp] = useState(false);
  return (
    <>
      <div className="mt-3 flex flex-wrap gap-3" role="group" aria-label="Where">
        <JointRow {...{ joint, side, setJoint, setSide }} />
        <button type="button" aria-pressed={sharp} className={choice} onClick={() => setSharp(!sharp)}>
          sharp, or rising
        </button>
      </div>
      <div className="mt-3 grid grid-cols-6 gap-3 lg:grid-cols-11" role="group" aria-label="How much, 0 to 10">
        {Array.from({ length: 11 }, (_, level) => (
          <Button
            key={level}
            look="line"
            className="num min-h-20! px-0! text-2xl"
            disabled={joint === null}
            onClick={() =>
              joint && say({ kind: 'pain', pattern, joint, side: joint === 'back' ? null : side, level, sharp })
            }
          >
            {level}
          </Button>
        ))}
      </div>
      {joint === null && <p className="mt-2 text-lg">First where, then how much.</p>}
    </>
  );
}

/** The joints, and which side of those that have one. */
function JointRow({
  joint,
  side,
  setJoint,
  setSide,
}: {
  joint: LoadedJoint | null;
  side: Side | null;
  setJoint: (joint: LoadedJoint) => void;
  setSide: (side: Side | null) => void;
}) {
  return (
    <>
      {loadedJoints.map((j) => (
        <button key={j} type="button" aria-pressed={joint === j} className={choice} onClick={() => setJoint(j)}>
          {j}
        </button>
      ))}
      {(['L', 'R'] as const).map((s) => (
        <button
          key={s}
          type="button"
          aria-pressed={side === s}
          disabled={joint === 'back'}
          className={`${choice} disabled:opacity-50`}
          onClick={() => setSide(side === s ? null : s)}
        >
          {s === 'L' ? 'left' : 'right'}
        </button>
      ))}
    </>
  );
}

const grades = ['0-2', '3-4', '5+'] as const;
const gradeWords = { '0-2': '0 to 2', '3-4': '3 or 4', '5+': '5 and over' } as const;

/** Two taps, the joint and how much; then at most three things to do instead, each open to them today. */
function Instead({
  variant: { pattern, rung },
  units,
  findSwaps,
  swapped,
  note,
  pain,
  close,
}: Pick<Props, 'units' | 'findSwaps' | 'swapped' | 'note' | 'close'> & { variant: Variant; pain: () => void }) {
  const [joint, setJoint] = useState<LoadedJoint | null>(null);
  const [side, setSide] = useState<Side | null>(null);
  const [grade, setGrade] = useState<SwapGrade | null>(null);
  const [found, setFound] = useState<SwapsFound | 'asked' | 'away' | null>('asked');
  useEffect(() => {
    let live = true;
    findSwaps(pattern, rung).then(
      (said) => {
        if (live) setFound(said);
      },
      () => {
        if (live) setFound('away');
      },
    );
    return () => {
      live = false;
    };
  }, [findSwaps, pattern, rung]);
  const did = (code: string, changes: readonly string[]) => {
    if (joint === null || grade === null) return;
    note({ kind: 'swap', pattern, code, forPain: true, hurt: { joint, side, grade }, changes });
    if (grade === '5+') pain();
    else close();
  };
  const asked = joint !== null && grade !== null;
  const again =
    joint !== null && [...swapped, ...(typeof found === 'object' ? (found?.swappedToday ?? []) : [])].includes(joint);
  const offers =
    asked && grade !== '5+' && !again && typeof found === 'object' && found ? (found.offers[joint]?.[grade] ?? []) : [];
  return (
    <>
      <div className="mt-3 flex flex-wrap gap-3" role="group" aria-label="Where it hurts">
        <JointRow {...{ joint, side, setJoint, setSide }} />
      </div>
      <div className="mt-3 flex flex-wrap gap-3" role="group" aria-label="How much of 10">
        {grades.map((g) => (
          <button
            key={g}
            type="button"
            aria-pressed={grade === g}
            className={`${choice} num`}
            onClick={() => setGrade(g)}
          >
            {gradeWords[g]}
          </button>
        ))}
      </div>
      <div className="mt-3 grid gap-3" aria-live="polite" data-testid="instead">
        {!asked && (
          <p className="text-lg">Where, and how much. Burning on both sides that goes when they stop is work.</p>
        )}
        {asked && found === 'asked' && <p className="text-lg">Looking …</p>}
        {asked && found === 'away' && (
          <p className="text-lg">The register does not answer: something seated today, or leave it out.</p>
        )}
        {offers.map((o) => (
          <Button
            key={`${o.code} ${o.changes.join()}`}
            look="line"
            className="min-h-20! justify-start! text-left text-xl whitespace-normal!"
            onClick={() => did(o.code, o.changes)}
          >
            <b className="num mr-4">{o.code.split('/')[0]}</b> {sentenceIn([o.name, ...o.changes].join(', '), units)}
          </Button>
        ))}
        {offers.length > 0 && joint && (
          <p>
            <b>Nothing of this if:</b> {nothingWhen[joint].join('; ')}.
          </p>
        )}
        {asked && found !== 'asked' && (
          <Button className="min-h-16! text-lg" look={offers.length > 0 ? 'plain' : 'main'} onClick={() => did('', [])}>
            {grade === '5+' ? 'Leave it out today, and note how much' : 'Leave it out today'}
          </Button>
        )}
      </div>
    </>
  );
}

function Stop({
  pattern,
  set,
  say,
}: {
  pattern: Pattern;
  set: 'first' | 'later';
  say: (content: ClassLogContent) => void;
}) {
  return (
    <div className={grid}>
      <Button look="line" className={big} onClick={() => say({ kind: 'stop', pattern, why: 'form', set })}>
        Form went
      </Button>
      <Button look="line" className={big} onClick={() => say({ kind: 'stop', pattern, why: 'wish', set })}>
        They wished to
      </Button>
      <Button look="line" className={big} onClick={() => say({ kind: 'stop', pattern, why: 'body', set })}>
        Dizzy, breath, chest, pale: seat them; Hold calls help
      </Button>
    </div>
  );
}
