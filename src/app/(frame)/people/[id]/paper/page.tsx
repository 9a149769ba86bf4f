import { PaperFormScreen } from '../../../../../screens/people/paperForm';
import { PersonHead } from '../../../../../screens/people/personHead';
import { today } from '../../../../../use-cases/today';
import { savePaperResult } from '../../actions';
import { thePerson, type PersonParams } from '../person';

export async function generateMetadata(context: PersonParams) {
  return { title: `Result from paper, ${(await thePerson(context)).person.name}` };
}

export default async function PaperPage(context: PersonParams) {
  const view = await thePerson(context);
  return (
    <>
      <PersonHead {...view} here="test" />
      <PaperFormScreen
        today={today()}
        personId={view.person.id}
        seatHeightCm={view.known.intake.seatHeightCm}
        save={savePaperResult.bind(null, view.person.id)}
      />
    </>
  );
}
