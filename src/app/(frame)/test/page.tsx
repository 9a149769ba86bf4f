import { RulesProvider } from '../../../screens/frame/rules';
import { readRules } from '../../../use-cases/rules';
import type { Metadata } from 'next';
import { timedHere } from '../../../catalogue/protocols';
import { saveNumber } from '../actions';
import { TestStation } from '../../../screens/test/testStation';
import { readBook } from '../../../use-cases/norms';
import { readPlace } from '../../../use-cases/places';
import { listStation } from '../../../use-cases/station';
import { pretendedToday, today } from '../../../use-cases/today';
import { theDesk } from '../../../use-cases/desk';

export const metadata: Metadata = { title: 'Test' };

export default async function TestPage({ searchParams }: { searchParams: Promise<{ person?: string }> }) {
  const desk = await theDesk();
  const protocol = (await readBook(desk)).protocols.find((p) => timedHere.includes(p.id));
  if (!protocol) throw new RangeError('TestPage: the catalogue has no test that is timed at the station');
  const { emergencyNumber } = await readPlace(desk);
  const { person = null } = await searchParams;
  return (
    <RulesProvider rules={await readRules(await theDesk())}>
      <div data-seven>
        <TestStation
          {...await listStation(desk, protocol, person)}
          protocol={protocol}
          today={today()}
          pretended={pretendedToday() ?? null}
          emergencyNumber={emergencyNumber}
          saveNumber={saveNumber}
          firstPersonId={person}
        />
      </div>
    </RulesProvider>
  );
}
