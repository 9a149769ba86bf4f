import { RulesProvider } from '../../../screens/frame/rules';
import { readRules } from '../../../use-cases/rules';
import { theDesk } from '../../../use-cases/desk';
import type { Metadata } from 'next';
import { WaitingScreen } from '../../../screens/waiting/waiting';

export const metadata: Metadata = { title: 'What waits' };

export default async function WaitingPage() {
  return (
    <RulesProvider rules={await readRules(await theDesk())}>
      <WaitingScreen />
    </RulesProvider>
  );
}
