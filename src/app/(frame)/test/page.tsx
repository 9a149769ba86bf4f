import { DayRulesProvider } from '../../../screens/frame/rules';
import { readDayRules } from '../../../use-cases/rules';
import type { Metadata } from 'next';
import { saveNumber } from '../actions';
import { TestStation } from '../../../screens/test/testStation';
import { readPlace } from '../../../use-cases/places';
import { listStation } from '../../../use-cases/station';
import { pretendedToday, today } from '../../../use-cases/today';
import { theDesk } from '../../../use-cases/desk';
import { readHelpers } from '../../../use-cases/helpers';
import { readDay, staffOf, testsOfDay } from '../../../use-cases/testingDay';

export const metadata: Metadata = { title: 'Test' };

export default async function TestPage({
  searchParams,
}: {
  searchParams: Promise<{ test?: string; person?: string | string[] }>;
}) {
  const desk = await theDesk();
  const { emergencyNumber } = await readPlace(desk);
  const { test = null, person = [] } = await searchParams;
  const asked = typeof person === 'string' ? [person] : person;
  return (
    <DayRulesProvider rules={await readDayRules(await theDesk())}>
      <div data-seven>
        <TestStation
          {...await listStation(desk, asked)}
          today={today()}
          pretended={pretendedToday() ?? null}
          emergencyNumber={emergencyNumber}
          saveNumber={saveNumber}
          dayNow={await readDay(desk, desk.today())}
          dayTests={(await testsOfDay(desk)).tests}
          staff={staffOf(await readHelpers(desk))}
          firstTest={typeof test === 'string' ? test : null}
          firstPeople={asked}
        />
      </div>
    </DayRulesProvider>
  );
}
