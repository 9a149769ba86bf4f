import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { OwnExerciseForm } from '../../../../../screens/own/ownForm';
import { theDesk } from '../../../../../use-cases/desk';
import { choicesOf, readOwn } from '../../../../../use-cases/ownExercises';
import { readRules } from '../../../../../use-cases/rules';
import { saveOwnExercise, tryOwnExercise } from '../../actions';

export const metadata: Metadata = { title: 'An exercise of our own' };

interface Params {
  readonly params: Promise<{ id: string }>;
}

export default async function OneExercisePage({ params }: Params) {
  const { id } = await params;
  const desk = await theDesk();
  const { levels } = await readRules(desk);
  const own = (await readOwn(desk)).find((o) => o.id === id) ?? null;
  if (!own && id !== 'new') notFound();
  const choices = choicesOf(levels);
  const facts = levels.measured.flatMap((m) => (choices.facts.includes(m.id) ? [{ id: m.id, title: m.title }] : []));
  const limiters = [...new Map(levels.limiters.map((row) => [row.kind, row.kind])).keys()];
  const ladders = [...levels.ladders, ...levels.accessories].map(({ pattern, title, rungs }) => ({
    pattern,
    title,
    rungs: rungs.map(({ rung, name }) => ({ rung, name })),
  }));
  return (
    <OwnExerciseForm
      key={`${id} ${own?.version ?? 0}`}
      {...{ own, facts, limiters, ladders }}
      save={saveOwnExercise}
      attempt={tryOwnExercise}
    />
  );
}
