import type { Metadata } from 'next';
import { revalidatePath } from 'next/cache';
import { theRegister } from '../../database/theRegister';
import { TodayScreen } from '../../screens/today/today';
import { allLines } from '../../use-cases/everybody';
import { groupsToday, readSitting, seatGroup } from '../../use-cases/groups';
import { readPlace } from '../../use-cases/places';
import { today } from '../../use-cases/today';

export const metadata: Metadata = { title: 'Today' };

async function seat(groupId: string) {
  'use server';
  await seatGroup(await theRegister(), groupId, today());
  revalidatePath('/');
}

export default async function TodayPage() {
  const db = await theRegister();
  return (
    <TodayScreen
      today={today()}
      place={await readPlace(db)}
      lines={await allLines(db, today())}
      sitting={(await readSitting(db, today())).length}
      groups={await groupsToday(db, today())}
      seat={seat}
    />
  );
}
