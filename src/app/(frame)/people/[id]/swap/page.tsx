import type { Metadata } from 'next';
import { nothingWhen } from '../../../../../catalogue/swaps/nothingWhen';
import { patterns } from '../../../../../core/shapes/facts';
import { SwapScreen } from '../../../../../screens/swap/swapPage';
import { theDesk } from '../../../../../use-cases/desk';
import { readRules } from '../../../../../use-cases/rules';
import { readSwaps } from '../../../../../use-cases/swaps';
import { theDeviceCoaching } from '../../../../deviceCoaching';
import { saveSwap } from '../../actions';
import { thePerson, type PersonParams } from '../person';

export const metadata: Metadata = { title: 'A movement hurts' };

interface Asked extends PersonParams {
  readonly searchParams: Promise<{ readonly level?: string }>;
}

export default async function SwapPage(context: Asked) {
  const { level = '' } = await context.searchParams;
  const view = await thePerson(context);
  const desk = await theDesk();
  const [, letter = '', rung = ''] = /^([A-Z])([1-9])$/.exec(level) ?? [];
  const pattern = patterns.find((p) => p === letter);
  const swaps = pattern
    ? await readSwaps(desk, view, pattern, Number(rung), await theDeviceCoaching())
    : { kind: 'closed' as const, why: ['the address names no movement, such as S5'] };
  const { levels } = await readRules(desk);
  return (
    <SwapScreen
      {...{ view, swaps, nothingWhen, asked: level }}
      ladders={[...levels.ladders, ...levels.accessories]}
      save={saveSwap.bind(null, view.person.id)}
    />
  );
}
