import type { Metadata } from 'next';
import { figureOf } from '../../../../../use-cases/cards';
import { readCoached } from '../../../../../use-cases/coaching';
import { theDesk } from '../../../../../use-cases/desk';
import { readBeside, readWords } from '../../../../../use-cases/lastWord';
import { readRules } from '../../../../../use-cases/rules';
import { LevelScreen } from '../../../../../screens/levels/levelPage';
import { theDeviceCoaching } from '../../../../deviceCoaching';
import { noteOfPerson, saveConfirmedLevel, saveLastWord } from '../../actions';
import { thePerson, type PersonParams } from '../person';

export const metadata: Metadata = { title: 'Levels of a person' };

export default async function LevelPage(context: PersonParams) {
  const view = await thePerson(context);
  const desk = await theDesk();
  const rules = await readRules(desk);
  const { id } = view.person;
  return (
    <LevelScreen
      view={view}
      rules={rules.levels}
      words={await readWords(desk, id)}
      beside={await readBeside(desk, view)}
      coached={await readCoached(desk, await theDeviceCoaching(), view)}
      say={saveLastWord.bind(null, id)}
      confirm={saveConfirmedLevel.bind(null, id)}
      note={noteOfPerson.bind(null, id)}
      figureOf={(level) => figureOf(view, rules.levels, level)}
    />
  );
}
