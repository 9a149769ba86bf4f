import type { Metadata } from 'next';
import { isCalendarDay } from '../../../../../core/math/days';
import { PersonHead } from '../../../../../screens/people/personHead';
import { RecordScreen } from '../../../../../screens/people/recordPage';
import { daysNoted, readKnown } from '../../../../../use-cases/readRecords';
import { today } from '../../../../../use-cases/today';
import { ButtonLink } from '../../../../../screens/touch/button';
import { thePerson, type PersonParams } from '../person';
import { readRules } from '../../../../../use-cases/rules';
import { theDesk } from '../../../../../use-cases/desk';

export const metadata: Metadata = { title: 'All that is noted of a person' };

export default async function RecordPage(context: PersonParams & { searchParams: Promise<{ on?: string }> }) {
  const view = await thePerson(context);
  const { on } = await context.searchParams;
  const day = on !== undefined && isCalendarDay(on) ? on : today();
  const desk = await theDesk();
  const { id } = view.person;
  return (
    <>
      <PersonHead {...view} here="intake" />
      <RecordScreen
        personId={id}
        day={day}
        days={await daysNoted(desk, view)}
        known={await readKnown(desk, id, day)}
        units={view.units}
        rules={await readRules(desk)}
      />
      <div className="mt-5">
        <ButtonLink look="plain" href={`/people/${id}/leave`}>
          Put aside, or erase
        </ButtonLink>
      </div>
    </>
  );
}
