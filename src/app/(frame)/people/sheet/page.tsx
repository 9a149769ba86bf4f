import type { Metadata } from 'next';
import { protocolById, protocols } from '../../../../catalogue/protocols';
import { protocolIn } from '../../../../core/score/shownUnits';
import { theRegister } from '../../../../database/theRegister';
import { GroupSheet } from '../../../../screens/sheet/groupSheet';
import { readSheetPeople } from '../../../../use-cases/groups';
import { readPlace } from '../../../../use-cases/places';
import { today } from '../../../../use-cases/today';
import { saveSheet } from '../actions';

export const metadata: Metadata = { title: 'Sheet from paper' };

interface Params {
  readonly searchParams: Promise<{ group?: string; test?: string }>;
}

export default async function SheetPage({ searchParams }: Params) {
  const { group = null, test } = await searchParams;
  const protocol = protocolById(test ?? '') ?? protocols[0];
  if (!protocol) throw new RangeError('SheetPage: the catalogue has no test');
  const db = await theRegister();
  const { name, people } = await readSheetPeople(db, group, today());
  const { units } = await readPlace(db);
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
