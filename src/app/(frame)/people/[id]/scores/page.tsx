import { ScoreScreen } from '../../../../../screens/scores/scorePage';
import { thePerson, type PersonParams } from '../person';

export async function generateMetadata(context: PersonParams) {
  return { title: `Score of ${(await thePerson(context)).person.name}` };
}

export default async function ScorePage(context: PersonParams) {
  return <ScoreScreen view={await thePerson(context)} />;
}
