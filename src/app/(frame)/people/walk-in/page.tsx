import type { Metadata } from 'next';
import { RulesProvider } from '../../../../screens/frame/rules';
import { WalkInScreen } from '../../../../screens/people/walkIn';
import { theDesk } from '../../../../use-cases/desk';
import { readRules } from '../../../../use-cases/rules';
import { today } from '../../../../use-cases/today';
import { saveWalkIn } from '../actions';

export const metadata: Metadata = { title: 'Walk-in' };

export default async function WalkInPage() {
  return (
    <RulesProvider rules={await readRules(await theDesk())}>
      <WalkInScreen today={today()} save={saveWalkIn} />
    </RulesProvider>
  );
}
