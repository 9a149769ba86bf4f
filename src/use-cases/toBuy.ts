import type { UnitSystem } from '../core/shapes/person';
import { bought, toBuy, thingOf, type GroupAsks, type Thing, type ToBuy } from '../core/train/seats/toBuy';
import type { Level } from '../core/level/answer';
import { groupsOfPeople } from '../database/groups';
import { listPeople } from '../database/people';
import { peopleInClass } from './classes';
import type { Desk } from './desk';
import { readGroups } from './groups';
import { heldBy, sittersOf, type Asked } from './hallAsks';
import { readPlace } from './places';
import { solve } from './solve';

/** What the hall should buy, with what is counted as bought already. */
export interface BuyingShown {
  readonly units: UnitSystem;
  readonly counted: readonly Thing[];
  /** Words of the address that name nothing. */
  readonly unknown: readonly string[];
  readonly answer: ToBuy;
}

/** So many things are counted as bought at most. */
const mostCounted = 40;

/**
 * What one thing more would do for all groups, from the levels that are trained; people in no group and people put aside ask for nothing.
 * @param tokens what is counted as bought: `chair-46`
 */
export async function readToBuy(desk: Desk, tokens: readonly string[]): Promise<BuyingShown> {
  const { cupboard, units } = await readPlace(desk);
  const things = tokens.slice(0, mostCounted).map((token) => ({ token, thing: thingOf(token) }));
  const counted = things.flatMap(({ thing }) => thing ?? []);
  const aside = new Set((await listPeople(desk.db)).flatMap((p) => (p.archived ? p.id : [])));
  const members = [...(await groupsOfPeople(desk.db))].filter(([id]) => !aside.has(id));
  const groups: GroupAsks[] = [];
  for (const { id, name } of await readGroups(desk)) {
    const ids = members.flatMap(([person, of]) => (of.includes(id) ? person : []));
    const { people, rules } = await peopleInClass(desk, ids);
    const asked = people.flatMap((p) => p.ladders.map(({ level }) => askedBy(p.view.person.id, level)));
    const blocks = rules.ladders.map(({ pattern, title }) =>
      heldBy(
        title,
        asked.filter((a) => a.pattern === pattern),
        people,
      ),
    );
    groups.push({ name, sitters: sittersOf(asked, people, rules), blocks });
  }
  return {
    ...{ units, counted },
    unknown: things.flatMap(({ token, thing }) => (thing ? [] : token)),
    answer: await toBuy(groups, counted.reduce(bought, cupboard), solve),
  };
}

/** A level with the height that the rules ask for, which a cupboard with more in it might give. */
const askedBy = (personId: string, { pattern, rung, support, targetCm, wishCm }: Level): Asked => ({
  ...{ personId, pattern, rung, support },
  targetCm: targetCm === null ? null : Math.min(targetCm, Math.ceil(wishCm ?? targetCm)),
});
