'use client';
import { useCallback, useMemo, useState } from 'react';
import type { ClassPlan } from '../../core/train/plan';
import { shelves, type Shelf } from '../../core/shapes/class';
import type { ClassLogContent, WrittenLine } from '../../core/shapes/classLog';
import type { LoadedJoint } from '../../core/shapes/ladder';
import { clockOf, presentIn, standing } from '../../core/train/log';
import { eyesFor, type EyeReason } from '../../core/train/eyes';
import { compile } from '../../core/train/timeline';
import { flashesAt, toneKinds, type ToneKind } from '../../core/train/tones';
import { seenWords } from './seenWords';
import { isVariant, type Doing, type Variant } from '../../core/train/variant';
import { handsAreNamed, handWords } from '../levels/levelWords';
import { useKeys } from '../frame/keys';
import { useAwake } from '../test/awake';
import { Button, ButtonLink, Key } from '../touch/button';
import { TickBox } from '../touch/field';
import { FootBar } from '../touch/footBar';
import { clockWords } from './clockWords';
import { Different, type FindSwaps } from './different';
import { useTellFace } from './faceChannel';
import { useClassLog } from './useClassLog';
import { useMoment, type Now } from './useMoment';
import { useTones } from './useTones';

interface Props {
  readonly classKey: string;
  readonly plan: ClassPlan;
  readonly lines: readonly WrittenLine[];
  /** Form checks by rung, `S5`. */
  readonly checks: Readonly<Record<string, readonly string[]>>;
  readonly findSwaps: (personId: string, ...of: Parameters<FindSwaps>) => ReturnType<FindSwaps>;
}

/** Joints for which somebody did another movement in this class. */
const swappedFor = (lines: readonly WrittenLine[], personId: string): LoadedJoint[] =>
  standing(lines).flatMap((l) =>
    l.personId === personId && l.content.kind === 'swap' && l.content.hurt ? [l.content.hurt.joint] : [],
  );

const shelfWords: Readonly<Record<Shelf, string>> = { A: 'A, at the wall', B: 'B, beside', C: 'C, free' };
const eyeWords: Readonly<Record<EyeReason, string>> = {
  second: 'second clean one due',
  new: 'new on it',
  long: 'not looked at for three classes',
};
const toneWords: Readonly<Record<ToneKind, string>> = {
  ...{
    start: 'start',
    change: 'rest and change',
    last: 'last three seconds',
    half: 'half-way',
    reps: 'up and down',
    breath: 'out on the effort',
  },
};

/**
 * A class while it runs, for the person in front: what is now, huge; who is on what at the edge, each name one tap from what
 * was different; four to look at. Time is read from the wall clock, so a reload or a sleep lands where the class is.
 */
export function RunClass({ classKey, plan, lines: known, checks, findSwaps }: Props) {
  const timeline = useMemo(() => compile(plan.laid), [plan.laid]);
  const log = useClassLog(classKey, known);
  const events = useMemo(() => clockOf(log.lines), [log.lines]);
  const now = useMoment(timeline, events);
  const [wanted, setWanted] = useState<ReadonlySet<ToneKind>>(new Set(['start', 'change', 'last']));
  const [flash, setFlash] = useState(false);
  const [preview, setPreview] = useState(false);
  useTones(timeline, events, wanted);
  useAwake();
  useTellFace(classKey, events);
  const [who, setWho] = useState<string | null>(null);
  const there = useMemo(() => new Set(presentIn(plan.people, log.lines)), [plan.people, log.lines]);
  const { span } = now.moment;
  const blockAt = span?.block ?? (now.elapsedS === null ? 0 : plan.laid.length - 1);
  const block = plan.laid[blockAt];
  const doing = plan.doing.find((d) => d.block === block?.id);
  const partAt = span?.part ?? 0;
  const part = block?.parts?.[partAt];
  const of = (id: string): Doing | null =>
    doingOf(doing?.parts, id, plan.people.indexOf(id), partAt, block?.stations?.turn);
  const jump = (by: 1 | -1) => {
    const starts = timeline.spans.filter((s, i, all) => s.block !== all[i - 1]?.block).map((s) => s.fromS);
    const at = now.elapsedS ?? 0;
    const to = by === 1 ? starts.find((s) => s > at) : starts.findLast((s) => s < at - 2);
    log.note({ kind: 'jump', toS: to ?? (by === 1 ? timeline.totalS : 0) });
  };
  const go = () => log.note({ kind: now.elapsedS === null ? 'start' : now.held ? 'go' : 'hold' });
  useKeys('page', (event) => {
    if (!log.ready || event.repeat) return false;
    if (event.code === 'Space') go();
    else if (event.code === 'ArrowRight' || event.code === 'PageDown') jump(1);
    else if (event.code === 'ArrowLeft' || event.code === 'PageUp') jump(-1);
    else return false;
    return true;
  });
  const findTheirs = useCallback<FindSwaps>(
    (pattern, rung) => (who === null ? Promise.resolve(null) : findSwaps(who, pattern, rung)),
    [who, findSwaps],
  );
  const chosen = who === null ? undefined : plan.who.find((w) => w.id === who);
  const chosenDoing = who === null ? null : of(who);
  const over = now.elapsedS !== null && now.moment.classLeftS <= 0;
  return (
    <div className="pt-3">
      <h1 className="sr-only">{plan.title}</h1>
      <div className="grid gap-x-6 gap-y-3 xl:grid-cols-[minmax(0,1fr)_28rem]">
        <div className="min-w-0">
          <Clock
            now={now}
            plan={plan}
            lit={flash && now.elapsedS !== null && !now.held && flashesAt(timeline, now.elapsedS)}
            small={block?.kind === 'log' || block?.kind === 'check' || over}
          />
          {block?.kind === 'check' && !over ? (
            <NextDay plan={plan} there={there} log={log.lines} note={log.note} />
          ) : block?.kind === 'log' || over ? (
            <Questions plan={plan} there={there} log={log.lines} note={log.note} choose={setWho} />
          ) : (
            part && <Eyes plan={plan} pattern={part.pattern} there={there} lines={log.lines} note={log.note} />
          )}
          <Last lines={log.lines} writer={log.writer} plan={plan} note={log.note} />
        </div>
        <Shelves plan={plan} there={there} of={of} lines={log.lines} choose={setWho} />
      </div>
      <FootBar>
        {over ? (
          <CloseClass
            classKey={classKey}
            closed={log.lines.some((l) => l.content.kind === 'close')}
            asked={(['pain', 'effort'] as const).every((what) => isAsked(log.lines, what))}
            unsent={log.unsent}
            note={log.note}
          />
        ) : (
          <Button onClick={go} disabled={!log.ready} className="min-h-14! min-w-48 text-lg">
            {now.elapsedS === null ? 'Start the class' : now.held ? 'Go on' : 'Pause'} <Key>Space</Key>
          </Button>
        )}
        <Button look="line" onClick={() => jump(-1)} disabled={now.elapsedS === null}>
          Block before <Key>←</Key>
        </Button>
        <Button look="line" onClick={() => jump(1)} disabled={now.elapsedS === null || over}>
          Next block <Key>→</Key>
        </Button>
        {now.elapsedS === null && (
          <Button look="line" onClick={() => setPreview(true)}>
            All movements first
          </Button>
        )}
        <a
          className="inline-flex min-h-11 items-center text-squat underline underline-offset-4"
          href={`/face/${classKey}${flash ? '?flash=1' : ''}`}
          target="_blank"
          rel="noreferrer"
        >
          Screen for the hall
        </a>
        <details className="ml-auto">
          <summary className="flex min-h-11 cursor-pointer items-center font-semibold">Sounds</summary>
          <ul className="grid gap-1 py-1">
            <li>
              <label className="flex min-h-11 cursor-pointer items-center gap-3">
                <TickBox checked={flash} onChange={() => setFlash(!flash)} />
                flash for who does not hear
              </label>
            </li>
            {toneKinds.map((kind) => (
              <li key={kind}>
                <label className="flex min-h-11 cursor-pointer items-center gap-3">
                  <TickBox
                    checked={wanted.has(kind)}
                    onChange={() =>
                      setWanted((was) => new Set(was.has(kind) ? [...was].filter((k) => k !== kind) : [...was, kind]))
                    }
                  />
                  {toneWords[kind]}
                </label>
              </li>
            ))}
          </ul>
        </details>
        <p role="status" data-testid="run-told" className="w-full text-base empty:hidden">
          {log.refused !== null
            ? `The register refused a line: ${log.refused}`
            : log.unsent > 0
              ? `${log.unsent} ${log.unsent === 1 ? 'line waits' : 'lines wait'} in this browser and will be sent.`
              : ''}
        </p>
      </FootBar>
      {chosen && (
        <Different
          name={chosen.short}
          variant={chosenDoing && isVariant(chosenDoing) ? chosenDoing : null}
          pattern={part?.pattern ?? null}
          round={span?.round ?? 1}
          checks={
            chosenDoing && isVariant(chosenDoing) ? (checks[`${chosenDoing.pattern}${chosenDoing.rung}`] ?? []) : []
          }
          note={(content) => log.note(content, chosen.id)}
          findSwaps={findTheirs}
          swapped={swappedFor(log.lines, chosen.id)}
          close={() => setWho(null)}
        />
      )}
      {preview && <Preview plan={plan} close={() => setPreview(false)} />}
    </div>
  );
}

/** What somebody does now; at stations each third of the group is at another one. */
function doingOf(
  parts: readonly (readonly Doing[])[] | undefined,
  id: string,
  at: number,
  part: number,
  turn: number | undefined,
): Doing | null {
  const mine = parts && (turn === undefined ? parts[part] : parts[(at + turn) % parts.length]);
  return mine?.find((d) => d.personId === id) ?? null;
}

/** While the room is asked something the questions have the place. */
function Clock({
  now: { elapsedS, held, moment },
  plan,
  small,
  lit,
}: {
  now: Now;
  plan: ClassPlan;
  small: boolean;
  /** Flashes for whoever does not hear. */
  lit: boolean;
}) {
  const { span, rep, next } = moment;
  const block = span ? plan.laid[span.block] : undefined;
  const over = elapsedS !== null && moment.classLeftS <= 0;
  const kind = span ? { work: 'Work', rest: 'Rest', change: 'Change', ease: '' }[span.kind] : '';
  const nextBlock = next && next.block !== span?.block ? plan.laid[next.block]?.title : null;
  return (
    <section
      aria-label="Now"
      className={`border-4 p-4 ${held ? 'border-dashed border-ink' : span?.kind === 'work' ? 'border-squat' : 'border-ink'} ${lit ? 'bg-ink text-board' : 'bg-board'}`}
      data-lit={lit}
    >
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <h2 className="text-[clamp(1.9rem,4vw,3.4rem)] leading-tight font-extrabold" data-testid="now-block">
          {elapsedS === null ? plan.title : over ? 'The class is over' : (block?.title ?? '')}
        </h2>
        <p className="text-2xl font-bold" data-testid="now-state">
          {held ? 'Paused' : kind}
          {span?.side && `, ${span.side === 'L' ? 'left' : 'right'}`}
          {span && span.rounds > 1 && `, round ${span.round} of ${span.rounds}`}
        </p>
      </div>
      <div className="flex flex-wrap items-end gap-x-8">
        <p
          className={`num leading-none font-bold ${small ? 'text-6xl' : 'text-[clamp(6rem,17vw,13.5rem)]'}`}
          role="timer"
          data-testid="now-clock"
        >
          {clockWords(elapsedS === null ? moment.classLeftS : moment.spanLeftS)}
        </p>
        {rep && (
          <p className="pb-4 leading-tight">
            <span className="num block text-6xl font-bold">
              {rep.n} <span className="text-3xl">of {rep.of}</span>
            </span>
            <span className="text-4xl font-bold">
              {rep.way} <span className="num">{rep.count}</span>
            </span>
          </p>
        )}
      </div>
      <p
        className="min-h-12 empty:min-h-0 text-[clamp(1.5rem,3vw,2.4rem)] leading-tight font-semibold"
        data-testid="now-cue"
      >
        {small ? '' : (span?.cue ?? '')}
      </p>
      <p className="num mt-1 flex flex-wrap gap-x-6 text-lg">
        <span>Block {clockWords(moment.blockLeftS)}</span>
        <span>Class {clockWords(moment.classLeftS)}</span>
        <span className="font-sans font-semibold">{nextBlock ? `Then: ${nextBlock}` : ''}</span>
      </p>
    </section>
  );
}

/** Four people worth a look in this block; one tap says they were seen clean. */
function Eyes({
  plan,
  pattern,
  there,
  lines,
  note,
}: {
  plan: ClassPlan;
  pattern: Variant['pattern'];
  there: ReadonlySet<string>;
  lines: readonly WrittenLine[];
  note: (content: ClassLogContent, personId: string) => void;
}) {
  const seen = new Set(
    standing(lines).flatMap((l) =>
      l.content.kind === 'seen' && l.content.pattern === pattern && l.personId ? [l.personId] : [],
    ),
  );
  const eyes = eyesFor(
    plan.eyes.filter((e) => there.has(e.personId)),
    pattern,
    seen,
  );
  if (eyes.length === 0) return null;
  return (
    <section aria-labelledby="eyes" className="mt-3">
      <h2 id="eyes" className="text-lg font-bold">
        Look at these, and tap who was clean
      </h2>
      <ul className="mt-1 grid grid-cols-2 gap-2 lg:grid-cols-4" data-testid="eyes">
        {eyes.map((e) => (
          <li key={e.personId}>
            <button
              type="button"
              className="min-h-20 w-full cursor-pointer rounded-md border-2 border-ink bg-board px-3 text-left text-xl leading-tight font-bold"
              onClick={() => note({ kind: 'seen', pattern }, e.personId)}
            >
              {plan.who.find((w) => w.id === e.personId)?.short}
              <span className="block text-sm font-medium">{eyeWords[e.why]}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Asked of the last class at the start of this one: stiff on both sides and gone in two days is not worse. */
function NextDay({
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
                onClick={() =>
                  !worse.has(w.id) && note({ kind: 'next-day', worse: true, joint: null, side: null }, w.id)
                }
              >
                {w.short}
              </button>
            </li>
          ))}
      </ul>
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
const isAsked = (lines: readonly WrittenLine[], what: 'pain' | 'effort' | 'next-day'): boolean =>
  standing(lines).some((l) => l.content.kind === 'asked' && l.content.what === what);

/** The two questions of the seated minute, to the whole room; hands up are tapped. */
function Questions({
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

const lineWords = ({ content }: WrittenLine): string | null => {
  switch (content.kind) {
    case 'seen':
      return 'seen clean';
    case 'fewer':
      return content.half === 'less' ? 'under half' : 'fewer';
    case 'form':
      return `${seenWords(content.check)}${content.putRight ? ', put right' : ', not put right'}`;
    case 'pain':
      return `${content.joint} ${content.level}${content.sharp ? ', sharp' : ''}`;
    case 'effort':
      return content.value > 7 ? 'far too hard' : 'hard';
    case 'support':
      return content.change === 'more' ? 'more hands' : 'fewer hands';
    case 'seat':
      return `${content.change} seat`;
    case 'swap':
      return content.code === '' ? 'left it out: it hurts' : `did ${content.code.split('/')[0] ?? ''} instead`;
    case 'stop':
      return `stopped: ${content.why}`;
    case 'not-done':
      return 'not done';
    case 'absent':
      return 'not here';
    case 'next-day':
      return content.worse ? 'worse the day after' : 'fine the day after';
    default:
      return null;
  }
};

/** What this page noted last, and the way back from it. */
function Last({
  lines,
  writer,
  plan,
  note,
}: {
  lines: readonly WrittenLine[];
  writer: string;
  plan: ClassPlan;
  note: (content: ClassLogContent) => void;
}) {
  const last = standing(lines)
    .filter((l) => l.writer === writer && lineWords(l) !== null)
    .at(-1);
  if (!last) return null;
  return (
    <p className="mt-3 flex flex-wrap items-center gap-3 text-lg" data-testid="last-line">
      <span>
        <b>{plan.who.find((w) => w.id === last.personId)?.short}</b>: {lineWords(last)}
      </span>
      <Button
        look="line"
        onClick={() => note({ kind: 'strike', writer, ofSeq: last.seq, reason: 'tapped by mistake' })}
      >
        Take back
      </Button>
    </p>
  );
}

/** Who is on what, where they stand; what was tapped of them stands beside the name. */
function Shelves({
  plan,
  there,
  of,
  lines,
  choose,
}: {
  plan: ClassPlan;
  there: ReadonlySet<string>;
  of: (id: string) => Doing | null;
  lines: readonly WrittenLine[];
  choose: (id: string) => void;
}) {
  const noted = new Map<string, string>();
  for (const l of standing(lines)) {
    const words = lineWords(l);
    if (l.personId !== null && words !== null) noted.set(l.personId, words);
  }
  const people = plan.who.filter((w) => there.has(w.id));
  /** In a block without a movement nobody stands on a shelf. */
  const works = people.some((w) => of(w.id) !== null);
  const rows = shelves.map((shelf) => ({
    shelf,
    people: people.filter((w) => {
      const doing = of(w.id);
      return doing && isVariant(doing) ? doing.shelf === shelf : shelf === 'A';
    }),
  }));
  return (
    <section aria-label="Who does what" className="grid content-start gap-3">
      {rows.map(
        ({ shelf, people: these }) =>
          these.length > 0 && (
            <div key={shelf}>
              <h2 className="border-b-2 border-ink font-bold">{works ? shelfWords[shelf] : 'Everybody'}</h2>
              <ul>
                {these.map((w) => {
                  const doing = of(w.id);
                  return (
                    <li key={w.id} className="border-b border-rule">
                      <button
                        type="button"
                        className="flex min-h-12 w-full cursor-pointer items-baseline gap-3 py-1 text-left"
                        onClick={() => choose(w.id)}
                      >
                        <span className="w-32 shrink-0 text-lg font-bold">{w.short}</span>
                        <span className="min-w-0 text-base leading-5">
                          {doing && <DoingWords doing={doing} />}
                          {noted.has(w.id) && <b className="block">{noted.get(w.id)}</b>}
                        </span>
                      </button>
                    </li>
                  );
                })}
              </ul>
            </div>
          ),
      )}
    </section>
  );
}

function DoingWords({ doing }: { doing: Doing }) {
  if (!isVariant(doing)) return doing.why;
  const { name, targetCm, support, spotter, why, folded } = doing;
  const how = [
    ...(targetCm === null ? [] : [`${targetCm} cm`]),
    // What is said beside the name says it already.
    ...(handsAreNamed(name) || folded === 'held' ? [] : [handWords[support]]),
    ...(spotter === null ? [] : [`${spotter} beside`]),
    ...(why === null ? [] : [why]),
  ];
  return `${name}${how.length > 0 ? `, ${how.join(', ')}` : ''}`;
}

/** All movements of the class, the easiest way of each first, before it starts. */
function Preview({ plan, close }: { plan: ClassPlan; close: () => void }) {
  const blocks = plan.laid.filter((b) => b.parts);
  return (
    <div
      className="fixed inset-0 z-30 overflow-y-auto bg-floor p-5"
      role="dialog"
      aria-modal
      aria-label="All movements"
    >
      <Button autoFocus onClick={close}>
        Back to the class
      </Button>
      <ol className="mt-4 grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
        {blocks.map((b) => (
          <li key={b.id} className="border-t-4 border-ink pt-2">
            <h2 className="text-2xl font-extrabold">{b.title}</h2>
            <ul className="text-xl">
              {[...new Set(variantNames(plan, b.id))].map((name) => (
                <li key={name}>{name}</li>
              ))}
            </ul>
          </li>
        ))}
      </ol>
    </div>
  );
}

const variantNames = (plan: ClassPlan, block: string): string[] =>
  (plan.doing.find((d) => d.block === block)?.parts ?? []).flatMap((part) =>
    part
      .filter(isVariant)
      .sort((a, b) => a.shelf.localeCompare(b.shelf) || a.rung - b.rung)
      .map((v) => v.name),
  );

function CloseClass({
  classKey,
  closed,
  asked,
  unsent,
  note,
}: {
  classKey: string;
  closed: boolean;
  /** Both questions were put to the room. */
  asked: boolean;
  unsent: number;
  note: (content: ClassLogContent) => void;
}) {
  if (!closed)
    return (
      <>
        <Button className="min-h-14! text-lg" onClick={() => note({ kind: 'close', late: false })}>
          End the class
        </Button>
        {!asked && <p className="max-w-72">Ask both questions first: without them nobody counts as seen.</p>}
      </>
    );
  return unsent > 0 ? (
    <p className="text-lg font-bold">Ended. It is sent as soon as the register answers.</p>
  ) : (
    <ButtonLink hard href={`/class/${classKey}/after`}>
      What follows from it
    </ButtonLink>
  );
}
