import type { Metadata } from 'next';
import { OwnList } from '../../../../screens/own/ownList';
import { theDesk } from '../../../../use-cases/desk';
import { readOwn } from '../../../../use-cases/ownExercises';
import { putExerciseAside, takeInExercises } from '../actions';

export const metadata: Metadata = { title: 'Own exercises' };

export default async function ExercisesPage() {
  return <OwnList all={await readOwn(await theDesk())} putAside={putExerciseAside} takeIn={takeInExercises} />;
}
