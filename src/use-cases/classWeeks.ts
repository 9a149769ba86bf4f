import { addDays } from '../core/math/days';
import type { IsoDate } from '../core/shapes/facts';
import type { PersonId } from '../core/shapes/person';
import { presentIn } from '../core/train/log';
import { totalS } from '../core/train/shorten';
import { weeksOf, type TimedClass, type Weeks } from '../core/train/weeks';
import { listClassesOf, listClassesOfGroup, listLines, type KeptClass } from '../database/classes';
import { classesBefore, peopleInClass } from './classes';
import type { Desk } from './desk';
import { readGroups } from './groups';

/** So many weeks are shown. */
const shownWeeks = 12;

/** Weeks of a group; `undefined` where there is none. */
export async function readGroupWeeks(desk: Desk, groupId: string): Promise<Weeks | undefined> {
  const group = (await readGroups(desk)).find((g) => g.id === groupId);
  if (!group) return undefined;
  return weeksFrom(desk, group.name, await listClassesOfGroup(desk.db, groupId, firstDay(desk)), null);
}

/** Weeks of one person, whatever group they came to; `undefined` where nobody is called that. */
export async function readPersonWeeks(desk: Desk, id: PersonId): Promise<Weeks | undefined> {
  const [one] = (await peopleInClass(desk, [id])).people;
  return one && weeksFrom(desk, one.view.person.name, await listClassesOf(desk.db, [id], firstDay(desk)), id);
}

const firstDay = (desk: Desk): IsoDate => addDays(desk.today(), -7 * shownWeeks - 6);

async function weeksFrom(desk: Desk, whose: string, kept: readonly KeptClass[], only: PersonId | null): Promise<Weeks> {
  const lines = await listLines(
    desk.db,
    kept.map((c) => c.key),
  );
  const classes = kept.flatMap(({ key, day, plan }): TimedClass[] =>
    plan
      ? [
          {
            ...{ key, day, people: plan.people, doing: plan.doing, minutes: Math.round(totalS(plan.laid) / 60) },
            lines: lines.filter((l) => l.key === key),
          },
        ]
      : [],
  );
  const ids = only === null ? [...new Set(classes.flatMap((c) => presentIn(c.people, c.lines)))] : [only];
  const { people } = await peopleInClass(desk, ids);
  const before = new Map(people.map((one) => [one.view.person.id, classesBefore(one, classes)]));
  return {
    whose,
    weeks: weeksOf(classes, ids, (id) => before.get(id) ?? 0, desk.today(), shownWeeks),
    people: people
      .map(({ view: { person } }) => ({
        ...{ id: person.id, name: person.name },
        classes: classes
          .filter((c) => only === null || c.people.includes(person.id))
          .map((c) => ({ day: c.day, came: presentIn(c.people, c.lines).includes(person.id) })),
      }))
      .sort((a, b) => a.name.localeCompare(b.name)),
  };
}
