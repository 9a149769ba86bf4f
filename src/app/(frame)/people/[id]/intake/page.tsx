import type { Metadata } from 'next';
import { RulesProvider } from '../../../../../screens/frame/rules';
import { readRules } from '../../../../../use-cases/rules';
import { notFound } from 'next/navigation';
import { IntakeForm } from '../../../../../screens/people/intake/intakeForm';
import { readIntake } from '../../../../../use-cases/readRecords';
import { toPersonForm } from '../../../../../use-cases/savePerson';
import { today } from '../../../../../use-cases/today';
import { savePerson } from '../../actions';
import type { PersonParams } from '../person';
import { theDesk } from '../../../../../use-cases/desk';

async function theIntake({ params }: PersonParams) {
  return (await readIntake(await theDesk(), (await params).id)) ?? notFound();
}

export const metadata: Metadata = { title: 'Intake of a person' };

/** Reads no more than the intake itself, so that it opens where everything else of a record cannot be read. */
export default async function IntakePage(context: PersonParams & { searchParams: Promise<{ look?: string }> }) {
  const { person, intake, pains, falls } = await theIntake(context);
  return (
    <RulesProvider rules={await readRules(await theDesk())}>
      <IntakeForm
        today={today()}
        start={toPersonForm(person, intake, pains)}
        asked={pains.map(({ joint, side, askedOn, stale }) => ({ joint, side, on: askedOn, stale }))}
        notedFalls={falls}
        save={savePerson.bind(null, person.id)}
        isNew={false}
        backTo={`/people/${person.id}`}
        unreadable={(await context.searchParams).look === 'again'}
      />
    </RulesProvider>
  );
}
