import { notFound } from 'next/navigation';
import { protocolById } from '../../../../../../catalogue/protocols';
import { shownTest } from '../../../../../../screens/shownTest';
import { ScoreScreen } from '../../../../../../screens/scores/scorePage';
import { saveCorrection } from '../../../actions';
import { thePerson } from '../../person';

interface Params {
  readonly params: Promise<{ id: string; test: string }>;
}

export async function generateMetadata(context: Params) {
  const { test } = await context.params;
  return { title: `${protocolById(test)?.title ?? 'Test'} of a person` };
}

export default async function ScorePage(context: Params) {
  const { test } = await context.params;
  const view = await thePerson(context);
  const protocol = shownTest(test, view.units);
  const found = view.tests.find((t) => t.test === test);
  if (!protocol || !found) notFound();
  return <ScoreScreen view={view} protocol={protocol} test={found} correct={saveCorrection} />;
}
