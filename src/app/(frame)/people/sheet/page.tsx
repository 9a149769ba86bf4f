import type { Metadata } from 'next';
import { protocolById, protocols } from '../../../../catalogue/protocols';
import { protocolIn } from '../../../../core/score/shownUnits';
import { GroupSheet } from '../../../../screens/sheet/groupSheet';
import { readSheetPeople } from '../../../../use-cases/groups';
import { readPlace } from '../../../../use-cases/places';
import { today } from '../../../../use-cases/today';
import { saveSheet } from '../actions';
import { theDesk } from '../../../../use-cases/desk';

export const metadata: Metadata = { title: 'Sheet from paper' };

interface Params {
  readonly searchParams: Promise<{ group?: string; test?: string }>;
}

export default async function SheetPage({ searchParams }: Params) {
  const { group = null, test } = await searchParams;
  const protocol = protocolById(test ?? '') ?? protocols[0];
  if (!protocol) throw new RangeError('SheetPage: the catalogue has no test');
  const desk = await theDesk();
  const { name, people } = await readSheetPeople(desk, group);
  const { units } = await readPlace(desk);
  return (
    <GroupSheet
      groupId={group}
      groupName={name}
      people={people}
      protocol={protocolIn(units, protocol)}
      today={today()}
      save={saveSheet}
    />
  );
}
