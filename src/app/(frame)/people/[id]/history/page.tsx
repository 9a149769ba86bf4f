import type { Metadata } from 'next';
import { HistoryScreen } from '../../../../../screens/history/historyPage';
import { theDesk } from '../../../../../use-cases/desk';
import { readHistory } from '../../../../../use-cases/history';
import { thePerson, type PersonParams } from '../person';

export const metadata: Metadata = { title: 'History of a ladder' };

interface Asked extends PersonParams {
  readonly searchParams: Promise<{ readonly on?: string }>;
}

export default async function HistoryPage(context: Asked) {
  const { on } = await context.searchParams;
  const view = await thePerson(context);
  const desk = await theDesk();
  const stories = await readHistory(desk, view.person.id);
  const key = stories.find((s) => s.key === on) ?? stories[0];
  return <HistoryScreen view={view} stories={stories} on={key?.key ?? null} />;
}
