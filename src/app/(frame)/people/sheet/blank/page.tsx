import type { Metadata } from 'next';
import { protocolById } from '../../../../../catalogue/protocols';
import { daySets } from '../../../../../catalogue/testing-day/daySets';
import { protocolIn } from '../../../../../core/score/shownUnits';
import { BlankSheets } from '../../../../../screens/sheet/blankSheet';
import { theDesk } from '../../../../../use-cases/desk';
import { readGroups, readSheetPeople } from '../../../../../use-cases/groups';
import { readPlace } from '../../../../../use-cases/places';
import { readDay } from '../../../../../use-cases/testingDay';

export const metadata: Metadata = { title: 'Station sheets' };

interface Params {
  readonly searchParams: Promise<{ group?: string; test?: string | string[] }>;
}

export default async function BlankSheetPage({ searchParams }: Params) {
  const { group = null, test } = await searchParams;
  const desk = await theDesk();
  const { name, people } = await readSheetPeople(desk, group);
  const { units } = await readPlace(desk);
  const planned = (await readDay(desk, desk.today())).notes.findLast((n) => n.event.kind === 'plan')?.event;
  const ids = test === undefined ? (planned?.kind === 'plan' ? planned.tests : daySets.first) : [test].flat();
  return (
    <BlankSheets
      groups={await readGroups(desk)}
      groupId={group}
      groupName={name}
      people={people}
      tests={ids.flatMap((id) => protocolById(id) ?? []).map((p) => protocolIn(units, p))}
      today={desk.today()}
    />
  );
}
