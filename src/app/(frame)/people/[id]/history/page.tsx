import type { Metadata } from 'next';
import { HistoryScreen } from '../../../../../screens/history/historyPage';
import { theDesk } from '../../../../../use-cases/desk';
import { readHistory } from '../../../../../use-cases/history';
import { readRules } from '../../../../../use-cases/rules';
import { thePerson, type PersonParams } from '../person';

export const metadata: Metadata = { title: 'History of a ladder' };

interface Asked extends PersonParams {
  readonly searchParams: Promise<{ readonly on?: string }>;
}

export default async function HistoryPage(context: Asked) {
  const { on } = await context.searchParams;
  const view = await thePerson(context);
  const desk = await theDesk();
  const { ladders, accessories } = (await readRules(desk)).levels;
  const stories = await readHistory(desk, view.person.id);
  const key = on !== undefined && stories.has(on) ? on : ([...stories.keys()][0] ?? null);
  return <HistoryScreen view={view} ladders={[...ladders, ...accessories]} stories={stories} on={key} />;
}
