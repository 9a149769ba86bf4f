import { DayRulesProvider } from '../../../screens/frame/rules';
import { readDayRules } from '../../../use-cases/rules';
import { theDesk } from '../../../use-cases/desk';
import type { Metadata } from 'next';
import { WaitingScreen } from '../../../screens/waiting/waiting';

export const metadata: Metadata = { title: 'What waits' };

export default async function WaitingPage() {
  return (
    <DayRulesProvider rules={await readDayRules(await theDesk())}>
      <WaitingScreen />
    </DayRulesProvider>
  );
}
