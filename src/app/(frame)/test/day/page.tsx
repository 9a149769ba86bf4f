import type { Metadata } from 'next';
import { instructor } from '../../../../core/shapes/day';
import { seatHeights } from '../../../../core/level/seat';
import { toKit } from '../../../../core/intake/cupboard';
import { DayPlanScreen } from '../../../../screens/test/day/dayPlan';
import { theDesk } from '../../../../use-cases/desk';
import { groupsToSeat, readSheetPeople } from '../../../../use-cases/groups';
import { readHelpers } from '../../../../use-cases/helpers';
import { readPlace } from '../../../../use-cases/places';
import { furtherTests, leftOver, offerToday, readDay, staffOf, testsOfDay } from '../../../../use-cases/testingDay';
import { seat } from '../../actions';
import { findChairs } from '../actions';

export const metadata: Metadata = { title: 'Plan a testing day' };

interface Params {
  readonly searchParams: Promise<{ staff?: string | string[]; minutes?: string; day?: string }>;
}

export default async function DayPage({ searchParams }: Params) {
  const desk = await theDesk();
  const asked = await searchParams;
  const day = desk.today();
  const { notes, sitting } = await readDay(desk, day);
  const helpers = await readHelpers(desk);
  const staff = staffOf(helpers);
  const plan = notes.findLast((n) => n.event.kind === 'plan')?.event;
  const known = plan?.kind === 'plan' ? plan : null;
  const named = asked.staff === undefined ? known?.staff : [asked.staff].flat();
  const here = named ?? staff.filter((s) => s.may.length > 0).map((s) => s.id);
  const minutes = minutesOf(asked.minutes) ?? known?.minutes ?? 60;
  const present = [...new Set([instructor, ...here])].filter((id) => staff.some((s) => s.id === id));
  const { tests: _, ...seconds } = await testsOfDay(desk);
  return (
    <div data-seven>
      <DayPlanScreen
        day={day}
        notes={notes}
        groups={await groupsToSeat(desk)}
        seat={seat}
        findChairs={findChairs}
        sitting={(await readSheetPeople(desk, null)).people}
        {...await offerToday(desk, present, minutes)}
        staff={staff}
        helpers={helpers}
        here={present}
        minutes={minutes}
        own={seconds.own}
        further={await furtherTests(desk, sitting)}
        leftOver={await leftOver(desk)}
        otherDay={asked.day === undefined || asked.day === day ? null : asked.day < day ? 'past' : 'to-come'}
        seatsCm={seatHeights(toKit((await readPlace(desk)).cupboard)).map((s) => s.heightCm)}
      />
    </div>
  );
}

function minutesOf(said: string | undefined): number | null {
  const n = Number(said);
  return Number.isInteger(n) && n >= 10 && n <= 240 ? n : null;
}
