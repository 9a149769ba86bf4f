'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { RungPoses } from '../../core/shapes/pose';
import type { ClockEvent, Timeline } from '../../core/shapes/class';
import type { WrittenLine } from '../../core/shapes/classLog';
import { placeFor, usualHeightCm, withHands } from '../../core/figure/held';
import { clockOf } from '../../core/train/log';
import type { ClassPlan } from '../../core/train/plan';
import { compile } from '../../core/train/timeline';
import { flashesAt } from '../../core/train/tones';
import { isVariant, type Variant } from '../../core/train/variant';
import { SolvedFigure } from '../drawing/solvedFigure';
import { clockWords } from './clockWords';
import { useToldByClass } from './faceChannel';
import { useMoment, useWhere } from './useMoment';

interface Props {
  readonly classKey: string;
  readonly plan: ClassPlan;
  readonly lines: readonly WrittenLine[];
  /** How each rung looks, by `S5`. */
  readonly poses: Readonly<Record<string, RungPoses>>;
  /** Flashes for whoever does not hear. */
  readonly flash: boolean;
}

const askMs = 3000;

/**
 * For the second screen: the variants by number with their figures, the time and the cue. No name with a level, and no word of
 * health.
 */
export function HallFace({ classKey, plan, lines, poses: posesBy, flash }: Props) {
  const timeline = useMemo(() => compile(plan.laid), [plan.laid]);
  const [events, setEvents] = useState<readonly ClockEvent[]>(() => clockOf(lines));
  useToldByClass(
    classKey,
    useCallback((told: readonly ClockEvent[]) => setEvents(told), []),
  );
  // Another machine is told by the register.
  useEffect(() => {
    const ask = async () => {
      const answer = await fetch(`/api/v1/classes/${classKey}`, { cache: 'no-store' }).catch(() => null);
      const said =
        answer?.ok === true ? ((await answer.json().catch(() => null)) as { lines?: WrittenLine[] } | null) : null;
      const theirs = clockOf(said?.lines ?? []);
      setEvents((now) => (theirs.length > now.length ? theirs : now));
    };
    const every = setInterval(() => void ask(), askMs);
    return () => clearInterval(every);
  }, [classKey]);
  // The figures are drawn anew with the movement, not with the seconds.
  const { begun, span, next } = useWhere(timeline, events);
  const block = plan.laid[span?.block ?? 0];
  const doing = plan.doing.find((d) => d.block === block?.id);
  const parts = doing?.parts ?? [];
  // Between two movements the one that comes is shown.
  const at = span?.part ?? next?.part ?? 0;
  const shown = block?.stations ? parts.flat() : (parts[at] ?? []);
  const variants = distinct(shown.filter(isVariant));
  return (
    <main className="flex min-h-dvh flex-col bg-floor p-6 text-ink">
      <h1 className="text-[4vw] leading-tight font-extrabold">{begun ? (block?.title ?? '') : plan.title}</h1>
      <FaceClock timeline={timeline} events={events} flash={flash} />
      <p className="min-h-[5vw] text-[3.4vw] leading-tight font-semibold">{span?.cue ?? ''}</p>
      <ol className="mt-auto grid auto-cols-fr grid-flow-col gap-6">
        {variants.map((v, i) => {
          const poses = posesBy[`${v.pattern}${v.rung}`];
          return (
            <li
              key={`${v.pattern}${v.rung}${v.support}`}
              className="border-t-4 border-ink pt-2 text-[2vw] leading-tight font-bold"
            >
              <span className="num">{i + 1}</span> {v.name}
              {poses && (
                <SolvedFigure
                  poses={withHands(poses, v.support)}
                  place={placeFor(usualHeightCm, v)}
                  pattern={v.pattern}
                  title={`${v.name}: start and end`}
                  className="mt-2 h-[34vh] w-full"
                />
              )}
            </li>
          );
        })}
      </ol>
    </main>
  );
}

function FaceClock({ timeline, events, flash }: { timeline: Timeline; events: readonly ClockEvent[]; flash: boolean }) {
  const { elapsedS, held, moment } = useMoment(timeline, events);
  const { span, rep } = moment;
  const lit = flash && elapsedS !== null && !held && flashesAt(timeline, elapsedS);
  return (
    <div className={`flex flex-wrap items-baseline gap-x-10 ${lit ? 'bg-ink text-board' : ''}`}>
      <p className="num text-[16vw] leading-none font-bold" role="timer">
        {clockWords(elapsedS === null ? moment.classLeftS : moment.spanLeftS)}
      </p>
      <p className="text-[4vw] font-bold">
        {held ? 'Pause' : span?.kind === 'rest' ? 'Rest' : span?.kind === 'change' ? 'Change' : ''}
        {span?.side && (span.side === 'L' ? 'Left' : 'Right')}
        {rep && (
          <span className="num ml-6">
            {rep.n} {rep.way} {rep.count}
          </span>
        )}
      </p>
    </div>
  );
}

/** One of each way a shelf does it, easiest first; the freest of equals, as three are taught. */
function distinct(all: readonly Variant[]): Variant[] {
  const byShelf = new Map<string, Variant>();
  for (const v of all) {
    const known = byShelf.get(v.shelf);
    if (!known || v.rung > known.rung) byShelf.set(v.shelf, v);
  }
  return [...byShelf.values()].sort((a, b) => a.shelf.localeCompare(b.shelf));
}
