import type { ClassLogContent } from '../core/shapes/classLog';
import type { Pattern } from '../core/shapes/facts';
import { readClass, saveClass } from '../use-cases/classes';
import { saveClassLog } from '../use-cases/classLog';
import { confirmProposals, readProposals } from '../use-cases/proposals';
import { readTemplates } from '../use-cases/classTemplates';
import { deskOf } from '../use-cases/desk';
import { withPeople } from '../use-cases/groups';
import { changePlace } from '../use-cases/places';
import type { Register } from '../use-cases/openRegister';
import { seeded } from './events';
import { hall } from './hall';
import { daysBefore, loadGroup, loadPerson, must } from './loadHall';
import { different, trainedGroups, unseen, type TrainedGroup } from './trained';

/** Weeks of classes before the start day; the newest is of the week before it. */
const weeks = 8;

/** Two groups with eight weeks of classes, through the same doors as real ones, so that what follows is worked out, not made up. */
export async function loadClasses(db: Register, today: string): Promise<void> {
  const chance = seeded(20_261_201);
  const keyOf = () => Array.from({ length: 16 }, () => Math.floor(chance() * 16).toString(16)).join('');
  // The boxes came last week: until then whoever was ready to lift waited for them.
  must(await changePlace(deskOf(db), { ...hall, cupboard: { ...hall.cupboard, boxes: [] } }), 'the hall without boxes');
  for (const group of trainedGroups) {
    const { daysOn, time } = group;
    const groupId = await loadGroup(db, keyOf(), { time, daysOn: daysOn[0] ?? 0 }, today);
    const ids = new Map<string, string>();
    for (const person of group.people) ids.set(person.name, await loadPerson(db, person, today, chance, keyOf));
    await withPeople(deskOf(db, today), [...ids.values()], { kind: 'join', groupId });
    const days = Array.from({ length: weeks }, (_, week) =>
      group.daysOn.map((after) => daysBefore(today, 7 * (weeks - week) - after)),
    ).flat();
    for (const [nth, day] of days.entries())
      await holdClass(db, { group, groupId, ids, day, nth, last: nth === days.length - 1, key: keyOf() });
  }
  must(await changePlace(deskOf(db), hall), 'the hall');
}

interface Held {
  readonly group: TrainedGroup;
  readonly groupId: string;
  readonly ids: ReadonlyMap<string, string>;
  readonly day: string;
  readonly nth: number;
  readonly last: boolean;
  readonly key: string;
}

async function holdClass(db: Register, { group, groupId, ids, day, nth, last, key }: Held): Promise<void> {
  const desk = deskOf(db, day, new Date(`${day}T${group.time}:00Z`));
  const template = (await readTemplates(desk)).find((t) => t.id === group.templates[nth]);
  if (!template) throw new Error(`no class is called ${group.templates[nth] ?? nth}`);
  const asked = {
    ...{ day, groupId, template: template.id, minutes: Math.ceil(template.minutes / 5) * 5, leader: group.leader },
    ...{ helpers: [], people: [...ids.values()], blocks: template.blocks },
  };
  must(await saveClass(desk, key, asked), `the class of ${day}`);
  const plan = (await readClass(desk, key))?.plan;
  if (!plan) throw new Error(`the class of ${day} has no plan`);
  const all = plan.doing.flatMap((b) => b.parts.flat());
  const done = new Set(all.flatMap((one) => ('pattern' in one ? [`${one.personId} ${one.pattern}`] : [])));
  const lines: (readonly [string | null, ClassLogContent])[] = [
    [null, { kind: 'start' }],
    ...(nth > 0 ? [[null, { kind: 'asked', what: 'next-day' }] as const] : []),
    ...different.flatMap(([on, name, content]) => {
      const id = ids.get(name);
      return id !== undefined && on === nth ? [[id, content] as const] : [];
    }),
    ...[...ids].flatMap(([name, id]) =>
      (['S', 'L', 'H', 'B'] satisfies Pattern[]).flatMap((pattern) =>
        done.has(`${id} ${pattern}`) &&
        !unseen.some(([who, of, on = nth]) => who === name && of === pattern && on === nth)
          ? [[id, { kind: 'seen', pattern }] as const]
          : [],
      ),
    ),
    [null, { kind: 'asked', what: 'effort' }],
    [null, { kind: 'asked', what: 'pain' }],
    [null, { kind: 'close', late: false }],
  ];
  const startMs = Date.parse(`${day}T${group.time}:00Z`);
  const log = lines.map(([personId, content], seq) => ({ seq, wallMs: startMs + seq * 20_000, personId, content }));
  must(await saveClassLog(desk, key, 'tablet', { lines: log }), `the log of ${day}`);
  // Each yes was said after the class; what followed from the newest still waits.
  if (last) return;
  const waits = (await readProposals(desk, key)).filter((p) => p.state === 'waits');
  await confirmProposals(
    desk,
    key,
    waits.map((p) => p.seq),
  );
}
