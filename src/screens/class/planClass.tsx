'use client';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type UniqueIdentifier,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useRef, useState, useTransition, type ReactNode } from 'react';
import { amount } from '../../core/math/amount';
import { shortLengthWords, unitsOf } from '../../core/math/units';
import {
  turns,
  type BlockAsked,
  type PlanAsked,
  type TemplateListed,
  type TurnedBy,
} from '../../core/shapes/classPlan';
import { handWords } from '../levels/levelWords';
import type { UnitSystem } from '../../core/shapes/person';
import type { PlanShown } from '../../core/train/plan';
import { isVariant } from '../../core/train/variant';
import { newClientKey } from '../test/bench/store';
import { Button } from '../touch/button';
import { Choice, TextBox, TickBox } from '../touch/field';
import { FootBar } from '../touch/footBar';
import { OwnTemplates, type KeepOwn } from './ownTemplates';

interface Props {
  readonly asked: PlanAsked;
  readonly shown: PlanShown;
  readonly title: string;
  readonly units: UnitSystem;
  readonly templates: readonly TemplateListed[];
  readonly blockTitles: Readonly<Record<string, string>>;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly helpers: readonly { readonly id: string; readonly name: string; readonly maySpot: boolean }[];
  readonly keepTemplate: KeepOwn;
  readonly dropTemplate: (id: string) => Promise<readonly TemplateListed[]>;
  readonly make: (asked: PlanAsked) => Promise<PlanShown | null>;
  readonly save: (
    key: string,
    asked: PlanAsked,
  ) => Promise<{ readonly kind: string; readonly errors?: readonly { readonly message: string }[] }>;
}

const untestedWords = {
  'not-tested': 'has no test yet',
  waits: 'waits for your yes on Levels',
  'not-today': 'not today',
} as const;

/**
 * A class before it begins. It stands whole as it is proposed: who comes and how long decide, the blocks are moved, repeated,
 * lengthened or taken out, and everything a change brings shows at once.
 */
export function PlanClass(props: Props) {
  const { title, units, blockTitles, people, helpers, make, save } = props;
  const router = useRouter();
  const [asked, setAsked] = useState(props.asked);
  const [before, setBefore] = useState<readonly PlanAsked[]>([]);
  const [shown, setShown] = useState(props.shown);
  const [fault, setFault] = useState('');
  const [templates, setTemplates] = useState(props.templates);
  const [busy, work] = useTransition();
  const key = useRef('');
  const newest = useRef(0);

  const change = (next: PlanAsked, undoing = false) => {
    if (!undoing) setBefore((was) => [...was, asked].slice(-50));
    setAsked(next);
    const mine = ++newest.current;
    if (next.people.length === 0) {
      setFault('Somebody has to come: tick who does.');
      return;
    }
    work(async () => {
      const said = await make(next).catch(() => null);
      // Of several changes only the newest shows.
      if (mine !== newest.current) return;
      if (said) setShown(said);
      setFault(said ? '' : 'The server did not answer: what stands here is from before the last change.');
    });
  };
  const undo = () => {
    const last = before.at(-1);
    if (!last) return;
    setBefore((was) => was.slice(0, -1));
    change(last, true);
  };
  const blocks = (next: readonly BlockAsked[]) => change({ ...asked, blocks: next });
  const start = (then: '' | '/set-up') =>
    work(async () => {
      key.current ||= newClientKey();
      const said = await save(key.current, asked).catch(() => null);
      if (said === null) setFault('The server did not answer. Press again; nothing is kept twice.');
      else if (said.kind === 'created' || said.kind === 'known') router.push(`/class/${key.current}${then}`);
      else setFault(said.errors?.map((e) => e.message).join(' ') ?? 'This plan was not kept.');
    });
  const { plan, minutesPlanned, dropped, order, overMinutes, carry, seats, untested, heldAlready } = shown;
  const template = templates.find((t) => t.id === asked.template);
  const titleOf = (id: UniqueIdentifier | undefined): string => {
    const block = asked.blocks.find((b) => b.id === id);
    return block ? (blockTitles[block.of] ?? '') : '';
  };
  const spoken: Announcements = {
    onDragStart: ({ active }) => `${titleOf(active.id)} is picked up.`,
    onDragOver: ({ active, over }) => `${titleOf(active.id)} is over ${titleOf(over?.id)}.`,
    onDragEnd: ({ active, over }) => `${titleOf(active.id)} is put down at ${titleOf(over?.id)}.`,
    onDragCancel: ({ active }) => `${titleOf(active.id)} stays where it was.`,
  };
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const minutesOf = (id: string) => plan.laid.find((b) => b.id === id)?.minutes ?? null;
  const { length } = unitsOf[units];
  return (
    <div className="pt-5">
      <h1 className="text-2xl font-extrabold">{title}</h1>
      <div className="mt-3 flex flex-wrap items-end gap-x-5 gap-y-3">
        <label className="max-w-full font-semibold">
          Class
          <Choice
            className="mt-1 block max-w-full"
            value={asked.template}
            onChange={(e) => {
              const t = templates.find((one) => one.id === e.target.value);
              if (t) change({ ...asked, template: t.id, blocks: t.blocks, minutes: Math.ceil(t.minutes / 5) * 5 });
            }}
          >
            {[true, false].map(
              (own) =>
                templates.some((t) => t.own === own) && (
                  <optgroup key={String(own)} label={own ? 'Of our own' : 'That ship with it'}>
                    {templates
                      .filter((t) => t.own === own)
                      .map((t) => (
                        <option key={t.id} value={t.id}>
                          {t.title}, {t.minutes} min
                        </option>
                      ))}
                  </optgroup>
                ),
            )}
          </Choice>
        </label>
        <label className="font-semibold">
          Who leads
          <TextBox
            className="mt-1 block w-48"
            maxLength={80}
            value={asked.leader}
            // Nothing of the plan hangs on it.
            onChange={(e) => setAsked({ ...asked, leader: e.target.value })}
          />
        </label>
        <div role="group" aria-label="Minutes there are" className="flex flex-wrap items-center gap-2">
          <Button
            look="line"
            aria-label="− 5 minutes"
            onClick={() => change({ ...asked, minutes: Math.max(10, asked.minutes - 5) })}
          >
            − 5
          </Button>
          <span className="num w-28 text-center text-2xl font-bold whitespace-nowrap" data-testid="minutes">
            {asked.minutes} min
          </span>
          <Button
            look="line"
            aria-label="+ 5 minutes"
            onClick={() => change({ ...asked, minutes: Math.min(120, asked.minutes + 5) })}
          >
            + 5
          </Button>
          {asked.minutes > 20 && (
            <Button look="plain" onClick={() => change({ ...asked, minutes: 20 })}>
              only 20 minutes today
            </Button>
          )}
        </div>
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2">
        <p>{template?.says}</p>
        <OwnTemplates
          {...{ asked, template, minutesPlanned }}
          keep={props.keepTemplate}
          drop={props.dropTemplate}
          changed={(now, id) => {
            setTemplates(now);
            const chosen = now.find((t) => t.id === id) ?? now.find((t) => t.id === template?.id) ?? now.at(-1);
            if (chosen && chosen.id !== asked.template) setAsked({ ...asked, template: chosen.id });
          }}
        />
      </div>
      <div role="status" data-testid="plan-told">
        {heldAlready && (
          <Told>A class of this group was held today already. Start this one only if it is another.</Told>
        )}
        {dropped.length > 0 && <Told>To fit, this goes: {dropped.join('; ')}.</Told>}
        {order.map((words) => (
          <Told key={words}>{words}</Told>
        ))}
        {overMinutes > 0 && (
          <Told>
            Still {amount(Math.ceil(overMinutes), 'minutes')} too long: take a block out, choose another class, or give
            it more time.
          </Told>
        )}
        {untested.map((u) => (
          <Told key={u.id}>
            <a
              className="underline underline-offset-4"
              href={u.why === 'not-tested' ? `/people/${u.id}` : `/people/${u.id}/levels`}
            >
              {u.name}
            </a>{' '}
            {untestedWords[u.why]}: does what is seated, or counts.
          </Told>
        ))}
        {fault !== '' && <Told>{fault}</Told>}
      </div>
      <div className="mt-4 grid gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,1fr)_24rem]">
        <section aria-labelledby="blocks">
          <h2 id="blocks" className="border-b-2 border-ink pb-1 text-lg font-bold">
            Blocks, <span className="num">{minutesPlanned.toFixed(1)}</span> of {asked.minutes} minutes
          </h2>
          <DndContext
            id="blocks-dragged"
            accessibility={{ announcements: spoken }}
            sensors={sensors}
            collisionDetection={closestCenter}
            onDragEnd={({ active, over }) => {
              const [from, to] = [active.id, over?.id].map((id) => asked.blocks.findIndex((b) => b.id === id));
              if (from !== undefined && to !== undefined && from >= 0 && to >= 0 && from !== to)
                blocks(arrayMove([...asked.blocks], from, to));
            }}
          >
            <SortableContext items={asked.blocks.map((b) => b.id)} strategy={verticalListSortingStrategy}>
              <ol>
                {asked.blocks.map((b, i) => (
                  <BlockRow
                    key={b.id}
                    title={blockTitles[b.of] ?? b.of}
                    minutes={minutesOf(b.id)}
                    plan={plan}
                    id={b.id}
                    onMove={(by) => blocks(moved(asked.blocks, i, by))}
                    onMore={(by) =>
                      blocks(asked.blocks.map((one) => (one.id === b.id ? { ...one, more: one.more + by } : one)))
                    }
                    onTwice={() =>
                      blocks([
                        ...asked.blocks.slice(0, i + 1),
                        { ...b, id: freshId(asked.blocks, b.id) },
                        ...asked.blocks.slice(i + 1),
                      ])
                    }
                    onTurn={(one) => change({ ...asked, turned: turned(asked.turned ?? [], one) })}
                    onOut={() => blocks(asked.blocks.filter((one) => one.id !== b.id))}
                    first={i === 0}
                    last={i === asked.blocks.length - 1}
                  />
                ))}
              </ol>
            </SortableContext>
          </DndContext>
        </section>
        <div className="grid content-start gap-5">
          <section aria-labelledby="who" data-testid="who">
            <h2 id="who" className="border-b-2 border-ink pb-1 text-lg font-bold">
              Who comes: {asked.people.length} of {people.length}
            </h2>
            {people.length === 0 && (
              <p className="py-2">
                Nobody yet: put people into this group, or let them sit in today, on{' '}
                <a href="/people" className="text-squat underline underline-offset-4">
                  People
                </a>
                .
              </p>
            )}
            <ul className="grid grid-cols-2 gap-x-4">
              {people.map((p) => (
                <li key={p.id}>
                  <label className="flex min-h-11 cursor-pointer items-center gap-2">
                    <TickBox
                      checked={asked.people.includes(p.id)}
                      onChange={() =>
                        change({
                          ...asked,
                          people: asked.people.includes(p.id)
                            ? asked.people.filter((one) => one !== p.id)
                            : [...asked.people, p.id],
                        })
                      }
                    />
                    <span className="min-w-0">{p.name}</span>
                  </label>
                </li>
              ))}
            </ul>
          </section>
          {helpers.length > 0 && (
            <section aria-labelledby="helps">
              <h2 id="helps" className="border-b-2 border-ink pb-1 text-lg font-bold">
                Who helps
              </h2>
              <ul>
                {helpers.map((h) => (
                  <li key={h.id}>
                    <label className="flex min-h-11 cursor-pointer items-center gap-2">
                      <TickBox
                        checked={asked.helpers.includes(h.id)}
                        onChange={() =>
                          change({
                            ...asked,
                            helpers: asked.helpers.includes(h.id)
                              ? asked.helpers.filter((one) => one !== h.id)
                              : [...asked.helpers, h.id],
                          })
                        }
                      />
                      {h.name}
                      {h.maySpot ? ', may spot' : ''}
                    </label>
                  </li>
                ))}
              </ul>
            </section>
          )}
          <section aria-labelledby="carry">
            <h2 id="carry" className="border-b-2 border-ink pb-1 text-lg font-bold">
              To carry out
            </h2>
            <ul data-testid="carry">
              {carry.map((c) => (
                <li key={c.what} className="flex justify-between gap-4 border-b border-rule py-1">
                  <span>{c.what}</span>
                  <span>
                    <b className="num">{c.need}</b>
                    {c.have < c.need && <b> · {c.have} here</b>}
                  </span>
                </li>
              ))}
            </ul>
            {seats.length > 0 && (
              <p className="mt-1">
                Seats: {seats.map((s) => `${shortLengthWords(s.cm, length)} × ${s.count}`).join(', ')}.
              </p>
            )}
          </section>
        </div>
      </div>
      <FootBar>
        <Button
          onClick={() => start('')}
          disabled={busy || asked.people.length === 0 || overMinutes > 0}
          className="min-h-14! text-lg"
        >
          Keep it and go to the class
        </Button>
        <Button
          look="line"
          onClick={() => start('/set-up')}
          disabled={busy || asked.people.length === 0 || overMinutes > 0}
          className="min-h-14! text-lg"
        >
          Keep it: who sits where
        </Button>
        <Button look="line" onClick={undo} disabled={before.length === 0}>
          Undo
        </Button>
        <p>
          {amount(asked.people.length, 'people')}, <span className="num">{minutesPlanned.toFixed(1)}</span> of{' '}
          {asked.minutes} minutes. Instruction, not treatment: licensed professionals and local rules come first.
        </p>
      </FootBar>
    </div>
  );
}

function Told({ children }: { children: ReactNode }) {
  return <p className="mt-2 border-l-8 border-lunge bg-board px-4 py-2">{children}</p>;
}

function moved(all: readonly BlockAsked[], at: number, by: -1 | 1): BlockAsked[] {
  const next = [...all];
  const [one] = next.splice(at, 1);
  if (one) next.splice(at + by, 0, one);
  return next;
}

/** One step to a side; back from the other side it is their own again. */
function turned(all: readonly TurnedBy[], one: TurnedBy): readonly TurnedBy[] {
  const was = all.find((t) => t.personId === one.personId && t.pattern === one.pattern);
  const others = all.filter((t) => t !== was);
  return was && was.way !== one.way ? others : [...others, one];
}

function freshId(all: readonly BlockAsked[], id: string): string {
  let n = 2;
  while (all.some((b) => b.id === `${id}-${n}`)) n += 1;
  return `${id}-${n}`;
}

function BlockRow({
  title,
  minutes,
  plan,
  id,
  onMove,
  onMore,
  onTwice,
  onOut,
  onTurn,
  first,
  last,
}: {
  title: string;
  /** `null` where it went to fit. */
  minutes: number | null;
  plan: PlanShown['plan'];
  id: string;
  onMove: (by: -1 | 1) => void;
  onMore: (by: -1 | 1) => void;
  onTwice: () => void;
  onOut: () => void;
  onTurn: (one: TurnedBy) => void;
  first: boolean;
  last: boolean;
}) {
  const block = plan.laid.find((b) => b.id === id);
  const doing = plan.doing.find((d) => d.block === id);
  const variants = doing?.parts.flat().filter(isVariant) ?? [];
  const folded = variants.filter((v) => v.why !== null);
  const small = 'min-h-11! px-3!';
  const { setNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({ id });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`border-b border-rule bg-floor py-2 ${isDragging ? 'relative z-10 border-2 border-ink' : ''}`}
      data-testid="block"
    >
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <button
          type="button"
          {...attributes}
          {...listeners}
          aria-label={`Drag ${title}`}
          className="flex size-11 shrink-0 cursor-grab touch-none items-center justify-center"
        >
          <GripVertical aria-hidden />
        </button>
        <span className={`min-w-40 flex-1 text-lg font-bold ${minutes === null ? 'line-through' : ''}`}>{title}</span>
        <span className="num w-20 text-right">{minutes === null ? 'left out' : `${minutes.toFixed(1)} min`}</span>
        <Button
          look="line"
          className={small}
          aria-label={`${title} earlier`}
          disabled={first}
          onClick={() => onMove(-1)}
        >
          ↑
        </Button>
        <Button look="line" className={small} aria-label={`${title} later`} disabled={last} onClick={() => onMove(1)}>
          ↓
        </Button>
        {block?.parts && (
          <>
            <Button look="line" className={small} aria-label={`${title} − round`} onClick={() => onMore(-1)}>
              − round
            </Button>
            <Button look="line" className={small} aria-label={`${title} + round`} onClick={() => onMore(1)}>
              + round
            </Button>
          </>
        )}
        {(block?.parts || block?.kind === 'rest') && (
          <Button look="line" className={small} aria-label={`${title} twice`} onClick={onTwice}>
            twice
          </Button>
        )}
        <Button look="plain" className={small} aria-label={`${title} out`} onClick={onOut}>
          out
        </Button>
      </div>
      {block?.parts && (
        <details>
          <summary className="min-h-11 cursor-pointer py-2 text-base">
            {block.parts.map((p) => p.scheme).join(', ')}: {variants.length} do it
            {folded.length > 0 && `, ${folded.length} otherwise than their own`}
          </summary>
          <ul className="pb-2">
            {doing?.parts.flatMap((all, at) =>
              all.map((d) => {
                const short = plan.who.find((w) => w.id === d.personId)?.short ?? '';
                const pattern = block.parts?.[at]?.pattern;
                return (
                  <li
                    key={`${at} ${d.personId}`}
                    className="flex flex-wrap items-center gap-x-3 border-t border-rule py-1"
                  >
                    <span className="min-w-0 flex-1">
                      <b>{short}</b>{' '}
                      {isVariant(d) ? (
                        <>
                          {d.shelf}: {d.name}, {handWords[d.support]}
                          {d.spotter !== null && `, ${d.spotter} beside`}
                          {d.why !== null && <span className="block text-base">{d.why}</span>}
                        </>
                      ) : (
                        d.why
                      )}
                    </span>
                    {pattern &&
                      turns.map((way) => (
                        <Button
                          key={way}
                          look="line"
                          className={`${small} aria-pressed:bg-ink! aria-pressed:text-board!`}
                          aria-label={`${short} ${way}`}
                          aria-pressed={plan.turned?.some(
                            (t) => t.personId === d.personId && t.pattern === pattern && t.way === way,
                          )}
                          onClick={() => onTurn({ personId: d.personId, pattern, way })}
                        >
                          {way}
                        </Button>
                      ))}
                  </li>
                );
              }),
            )}
          </ul>
        </details>
      )}
    </li>
  );
}
