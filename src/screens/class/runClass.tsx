'use client';
import { useCallback, useMemo, useState } from 'react';
import type { UnitSystem } from '../../core/shapes/person';
import { doneAtOnce, type ClassPlan } from '../../core/train/plan';
import type { ClassLogContent, WrittenLine } from '../../core/shapes/classLog';
import type { LoadedJoint } from '../../core/shapes/ladder';
import { givenIn } from '../../core/train/clash';
import { clockOf, presentIn, standing } from '../../core/train/log';
import { compile, elapsedS } from '../../core/train/timeline';
import { toneKinds, type ToneKind } from '../../core/train/tones';
import { isVariant, type Doing } from '../../core/train/variant';
import { useKeys } from '../frame/keys';
import { useAwake } from '../test/awake';
import { Button, ButtonLink, Key } from '../touch/button';
import { TickBox } from '../touch/field';
import { FootBar } from '../touch/footBar';
import { isAsked, NextDay, Questions } from './askRoom';
import { Clock } from './classClock';
import { Different, type FindSwaps } from './different';
import { Eyes } from './eyes';
import { Preview } from './preview';
import { Shelves } from './shelves';
import { Clashes, Given, Last } from './told';
import { useTellFace } from './faceChannel';
import { useClassLog } from './useClassLog';
import { useWhere } from './useMoment';
import { useTones } from './useTones';

interface Props {
  readonly classKey: string;
  readonly plan: ClassPlan;
  readonly units: UnitSystem;
  readonly lines: readonly WrittenLine[];
  /** Form checks by rung, `S5`. */
  readonly checks: Readonly<Record<string, readonly string[]>>;
  /** Who helps in it. */
  readonly helpers: readonly { readonly id: string; readonly name: string }[];
  /** This tablet is one of those who help, with the people they were given. */
  readonly helper: { readonly id: string; readonly name: string } | null;
  readonly findSwaps: (personId: string, ...of: Parameters<FindSwaps>) => ReturnType<FindSwaps>;
}

/** Joints for which somebody did another movement in this class. */
const swappedFor = (lines: readonly WrittenLine[], personId: string): LoadedJoint[] =>
  standing(lines).flatMap((l) =>
    l.personId === personId && l.content.kind === 'swap' && l.content.hurt ? [l.content.hurt.joint] : [],
  );

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
export function RunClass({ classKey, plan, units, lines: known, checks, helpers, helper, findSwaps }: Props) {
  const timeline = useMemo(() => compile(plan.laid), [plan.laid]);
  const log = useClassLog(classKey, known);
  const events = useMemo(() => clockOf(log.lines), [log.lines]);
  const { begun, over, held, span } = useWhere(timeline, events);
  const [wanted, setWanted] = useState<ReadonlySet<ToneKind>>(new Set(['start', 'change', 'last']));
  const [flash, setFlash] = useState(false);
  const [preview, setPreview] = useState(false);
  useTones(timeline, events, wanted);
  useAwake();
  useTellFace(classKey, events);
  const [who, setWho] = useState<string | null>(null);
  const given = useMemo(() => givenIn(log.lines), [log.lines]);
  const there = useMemo(
    () => new Set(presentIn(plan.people, log.lines).filter((id) => helper === null || given.get(id) === helper.id)),
    [plan.people, log.lines, helper, given],
  );
  const blockAt = span?.block ?? (begun ? plan.laid.length - 1 : 0);
  const block = plan.laid[blockAt];
  const partAt = span?.part ?? 0;
  const part = block?.parts?.[partAt];
  /** What everybody does now; at stations each third of the group is at another one, and all of them are now. */
  const now = block ? doneAtOnce(plan, block)[block.stations ? 0 : partAt] : undefined;
  const of = (id: string): Doing | null => now?.find((d) => d.personId === id) ?? null;
  const jump = (by: 1 | -1) => {
    const starts = timeline.spans.filter((s, i, all) => s.block !== all[i - 1]?.block).map((s) => s.fromS);
    const at = elapsedS(events, Date.now()) ?? 0;
    const to = by === 1 ? starts.find((s) => s > at) : starts.findLast((s) => s < at - 2);
    log.note({ kind: 'jump', toS: to ?? (by === 1 ? timeline.totalS : 0) });
  };
  const go = () => log.note({ kind: !begun ? 'start' : held ? 'go' : 'hold' });
  useKeys('page', (event) => {
    // The clock is of who leads.
    if (!log.ready || event.repeat || helper !== null) return false;
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
  return (
    <div className="pt-3">
      <h1 className="sr-only">{plan.title}</h1>
      <div className="grid gap-x-6 gap-y-3 xl:grid-cols-[minmax(0,1fr)_28rem]">
        <div className="min-w-0">
          <Clock
            timeline={timeline}
            events={events}
            plan={plan}
            flash={flash}
            small={block?.kind === 'log' || block?.kind === 'check' || over}
          />
          {helper !== null ? (
            <Given name={helper.name} none={there.size === 0} />
          ) : block?.kind === 'check' && !over ? (
            <NextDay plan={plan} there={there} log={log.lines} note={log.note} />
          ) : block?.kind === 'log' || over ? (
            <Questions plan={plan} there={there} log={log.lines} note={log.note} choose={setWho} />
          ) : null}
          {part && !over && <Eyes plan={plan} pattern={part.pattern} there={there} lines={log.lines} note={log.note} />}
          {helper === null && <Clashes plan={plan} lines={log.lines} note={log.note} />}
          <Last lines={log.lines} writer={log.writer} plan={plan} note={log.note} />
        </div>
        <Shelves
          {...{ plan, units, there, of }}
          lines={log.lines}
          choose={setWho}
          withWhom={(id) => (helper === null ? (helpers.find((h) => h.id === given.get(id))?.name ?? null) : null)}
        />
      </div>
      <FootBar>
        {helper !== null ? null : over ? (
          <CloseClass
            classKey={classKey}
            closed={log.lines.some((l) => l.content.kind === 'close')}
            asked={(['pain', 'effort'] as const).every((what) => isAsked(log.lines, what))}
            unsent={log.unsent}
            note={log.note}
          />
        ) : (
          <Button onClick={go} disabled={!log.ready} className="min-h-14! min-w-48 text-lg">
            {!begun ? 'Start the class' : held ? 'Go on' : 'Pause'} <Key>Space</Key>
          </Button>
        )}
        {helper === null && (
          <>
            <Button look="line" onClick={() => jump(-1)} disabled={!begun}>
              Block before <Key>←</Key>
            </Button>
            <Button look="line" onClick={() => jump(1)} disabled={!begun || over}>
              Next block <Key>→</Key>
            </Button>
          </>
        )}
        {!begun && (
          <Button look="line" onClick={() => setPreview(true)}>
            All movements first
          </Button>
        )}
        {helper === null &&
          helpers.map((h) => (
            <a
              key={h.id}
              className="inline-flex min-h-11 items-center text-squat underline underline-offset-4"
              href={`/class/${classKey}?for=${h.id}`}
              target="_blank"
              rel="noreferrer"
            >
              Tablet of {h.name}
            </a>
          ))}
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
        {/* Over the bar: it comes and goes with every tap, and must move no button under a thumb. */}
        <p
          role="status"
          data-testid="run-told"
          className="absolute bottom-full left-4 border-2 border-b-0 border-ink bg-board px-3 py-1 text-base empty:hidden"
        >
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
          units={units}
          variant={chosenDoing && isVariant(chosenDoing) ? chosenDoing : null}
          pattern={part?.pattern ?? null}
          round={span?.round ?? 1}
          checks={
            chosenDoing && isVariant(chosenDoing) ? (checks[`${chosenDoing.pattern}${chosenDoing.rung}`] ?? []) : []
          }
          note={(content) => log.note(content, chosen.id)}
          helpers={helper === null ? helpers : []}
          with={given.get(chosen.id) ?? null}
          findSwaps={findTheirs}
          swapped={swappedFor(log.lines, chosen.id)}
          close={() => setWho(null)}
        />
      )}
      {preview && <Preview plan={plan} close={() => setPreview(false)} />}
    </div>
  );
}

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
