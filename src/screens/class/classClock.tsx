import type { ClockEvent, Timeline } from '../../core/shapes/class';
import type { ClassPlan } from '../../core/train/plan';
import { flashesAt } from '../../core/train/tones';
import { clockWords } from './clockWords';
import { useMoment } from './useMoment';

/** While the room is asked something the questions have the place. */
export function Clock({
  timeline,
  events,
  plan,
  small,
  flash,
}: {
  timeline: Timeline;
  events: readonly ClockEvent[];
  plan: ClassPlan;
  small: boolean;
  /** Flashes for whoever does not hear. */
  flash: boolean;
}) {
  const { elapsedS, held, moment } = useMoment(timeline, events);
  const lit = flash && elapsedS !== null && !held && flashesAt(timeline, elapsedS);
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
