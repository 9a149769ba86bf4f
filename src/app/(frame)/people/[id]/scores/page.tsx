import { ScoreStack } from '../../../../../screens/scores/scoreStack';
import { today } from '../../../../../use-cases/today';
import { thePerson, type PersonParams } from '../person';

export async function generateMetadata(context: PersonParams) {
  return { title: `Scores of ${(await thePerson(context)).person.name}` };
}

export default async function ScoresPage(context: PersonParams) {
  return <ScoreStack view={await thePerson(context)} today={today()} />;
}
