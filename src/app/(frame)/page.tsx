import type { Metadata } from 'next';
import { savePlace, seat } from './actions';
import { TodayScreen } from '../../screens/today/today';
import { copyToMiss } from '../../use-cases/copies';
import { allLines } from '../../use-cases/everybody';
import { groupsToday, readSitting } from '../../use-cases/groups';
import { isPlaceKnown, readPlace } from '../../use-cases/places';
import { today } from '../../use-cases/today';
import { theDesk } from '../../use-cases/desk';

export const metadata: Metadata = { title: 'Today' };

export default async function TodayPage() {
  const desk = await theDesk();
  const hall = await allLines(desk);
  return (
    <TodayScreen
      today={today()}
      place={await readPlace(desk)}
      {...hall}
      copyToMiss={await copyToMiss(desk, hall.lines.length)}
      sitting={(await readSitting(desk)).length}
      groups={await groupsToday(desk)}
      seat={seat}
      tellOfHall={(await isPlaceKnown(desk)) ? null : savePlace}
    />
  );
}
