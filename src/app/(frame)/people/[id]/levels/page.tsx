import { theDesk } from '../../../../../use-cases/desk';
import { readRules } from '../../../../../use-cases/rules';
import { LevelScreen } from '../../../../../screens/levels/levelPage';
import { saveConfirmedLevel } from '../../actions';
import { thePerson, type PersonParams } from '../person';

export async function generateMetadata(context: PersonParams) {
  return { title: `Level of ${(await thePerson(context)).person.name}` };
}

export default async function LevelPage(context: PersonParams) {
  const view = await thePerson(context);
  const rules = await readRules(await theDesk());
  return <LevelScreen view={view} rules={rules.levels} confirm={saveConfirmedLevel.bind(null, view.person.id)} />;
}
