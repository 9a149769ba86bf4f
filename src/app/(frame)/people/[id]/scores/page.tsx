import { ScoreStack } from '../../../../../screens/scores/scoreStack';
import { readPrinted } from '../../../../../use-cases/printedPages';
import { today } from '../../../../../use-cases/today';
import { thePerson, type PersonParams } from '../person';
import { theDesk } from '../../../../../use-cases/desk';

export async function generateMetadata(context: PersonParams) {
  return { title: `Scores of ${(await thePerson(context)).person.name}` };
}

export default async function ScoresPage(context: PersonParams) {
  const view = await thePerson(context);
  return <ScoreStack view={view} printed={await readPrinted(await theDesk(), view.person.id)} today={today()} />;
}
