import { theDesk } from '../../../../../use-cases/desk';
import { readRules } from '../../../../../use-cases/rules';
import { LevelScreen } from '../../../../../screens/levels/levelPage';
import { noteOfPerson, saveConfirmedLevel } from '../../actions';
import { thePerson, type PersonParams } from '../person';

export async function generateMetadata(context: PersonParams) {
  return { title: `Level of ${(await thePerson(context)).person.name}` };
}

export default async function LevelPage(context: PersonParams) {
  const view = await thePerson(context);
  const rules = await readRules(await theDesk());
  const { id } = view.person;
  return (
    <LevelScreen
      view={view}
      rules={rules.levels}
      confirm={saveConfirmedLevel.bind(null, id)}
      note={noteOfPerson.bind(null, id)}
    />
  );
}
