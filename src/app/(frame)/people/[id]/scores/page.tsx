import type { Metadata } from 'next';
import { ScoreStack } from '../../../../../screens/scores/scoreStack';
import { readPrinted } from '../../../../../use-cases/printedPages';
import { today } from '../../../../../use-cases/today';
import { thePerson, type PersonParams } from '../person';
import { theDesk } from '../../../../../use-cases/desk';

export const metadata: Metadata = { title: 'Scores of a person' };

export default async function ScoresPage(context: PersonParams) {
  const view = await thePerson(context);
  return <ScoreStack view={view} printed={await readPrinted(await theDesk(), view.person.id)} today={today()} />;
}
