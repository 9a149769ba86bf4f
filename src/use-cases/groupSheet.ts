import { posesOf } from '../catalogue/ladders/poses';
import { needsOf } from '../core/card/needs';
import { needsSpotter } from '../core/level/ownSpotter';
import { levelsOfToday } from '../core/level/standing';
import { readGroups } from './groups';
import { readHall } from './halls';
import { readPlace } from './places';
import { readRules } from './rules';
import { ladderRung } from './cards';
import type { Desk } from './desk';

/** Whom a board shows, and which ladder of it; as they stand in its address. */
export interface BoardAsked {
  readonly group?: string;
  readonly pattern?: string;
  readonly page?: string;
}

/** The people of a board as whoever helps reads them: what each does, on which seat, how the hands help, where they stand by. */
export async function readGroupSheet(desk: Desk, asked: BoardAsked) {
  const [groups, place, { levels: rules }] = [await readGroups(desk), await readPlace(desk), await readRules(desk)];
  const group = groups.find((g) => g.id === asked.group);
  const one = rules.ladders.find((l) => l.pattern === asked.pattern);
  const patterns = (one ? [one] : rules.ladders).map(({ pattern, title }) => ({ pattern, title }));
  const { people } = await readHall(desk, 'levels', Number(asked.page ?? 1) || 1, group?.id ?? null);
  const each = people.map((view) => ({
    view,
    levels: levelsOfToday(view).filter((l) => patterns.some((p) => p.pattern === l.pattern)),
  }));
  const rows = each
    .filter(({ levels }) => levels.length > 0)
    .map(({ view: { person, known }, levels }) => ({
      ...{ id: person.id, name: person.name },
      cells: levels.map((level) => {
        const rung = ladderRung(rules, level);
        const helper = rung !== undefined && needsSpotter(known, rung, level);
        // Who sits or lies holds nothing that somebody puts up.
        const holds = rung?.stance !== 'seated' && rung?.stance !== 'lying';
        const { pattern, name, targetCm: seatCm, within } = level;
        return { pattern, name, seatCm, much: within?.words ?? null, support: holds ? level.support : null, helper };
      }),
    }));
  return {
    ...{ group, patterns, rows, units: place.units, day: desk.today(), place: place.name },
    needs: needsOf(
      each.flatMap(({ levels }) => levels),
      posesOf,
    ),
  };
}
