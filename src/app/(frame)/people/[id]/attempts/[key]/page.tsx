import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { AttemptScreen } from '../../../../../../screens/attempt/attemptScreen';
import { PersonHead } from '../../../../../../screens/people/personHead';
import { readAttemptRecord } from '../../../../../../use-cases/correctAttempt';
import { theDesk } from '../../../../../../use-cases/desk';
import { saveCorrection } from '../../../actions';
import { thePerson } from '../../person';

interface Params {
  readonly params: Promise<{ id: string; key: string }>;
}

export const metadata: Metadata = { title: 'An attempt' };

export default async function AttemptPage(context: Params) {
  const view = await thePerson(context);
  const { key } = await context.params;
  const record = await readAttemptRecord(await theDesk(), view.person.id, key);
  if (!record) notFound();
  const { attempt, protocol, line, before, names } = record;
  return (
    <>
      <PersonHead {...view} here="scores" />
      <AttemptScreen {...{ attempt, protocol, line, before, names }} save={saveCorrection} />
    </>
  );
}
