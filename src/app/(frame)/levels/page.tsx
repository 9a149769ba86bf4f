import type { Metadata } from 'next';
import { posesOf } from '../../../catalogue/ladders/poses';
import { needsOf } from '../../../core/card/needs';
import { HallLevels } from '../../../screens/levels/hall';
import { levelsOfToday } from '../../../core/level/standing';
import { readGroups } from '../../../use-cases/groups';
import { readHall } from '../../../use-cases/halls';
import { readPlace } from '../../../use-cases/places';
import { readRules } from '../../../use-cases/rules';
import { theDesk } from '../../../use-cases/desk';
import { saveConfirmedLevel } from '../people/actions';

export const metadata: Metadata = { title: 'Levels' };

interface Asked {
  readonly searchParams: Promise<{ readonly page?: string; readonly group?: string; readonly pattern?: string }>;
}

export default async function Page({ searchParams }: Asked) {
  const asked = await searchParams;
  const desk = await theDesk();
  const groups = await readGroups(desk);
  const groupId = groups.find((g) => g.id === asked.group)?.id ?? null;
  const { ladders } = (await readRules(desk)).levels;
  const pattern = ladders.find((l) => l.pattern === asked.pattern)?.pattern ?? null;
  const hall = await readHall(desk, 'levels', Number(asked.page ?? 1) || 1, groupId);
  const levels = hall.people.flatMap(levelsOfToday).filter((l) => pattern === null || l.pattern === pattern);
  const query = new URLSearchParams(
    Object.entries({ group: groupId ?? '', pattern: pattern ?? '' }).filter(([, value]) => value !== ''),
  ).toString();
  return (
    <HallLevels
      people={hall.people}
      pages={{ path: `/levels${query && `?${query}`}`, page: hall.page, of: hall.of, behind: hall.behind }}
      needs={needsOf(levels, posesOf)}
      units={(await readPlace(desk)).units}
      groups={groups.map(({ id, name }) => ({ id, name }))}
      confirm={saveConfirmedLevel}
      sheetPath={`/levels/sheet${query && `?${query}`}`}
      {...{ ladders, groupId, pattern }}
    />
  );
}
