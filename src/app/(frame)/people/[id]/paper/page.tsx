import type { Metadata } from 'next';
import { bookIn } from '../../../../../core/score/shownUnits';
import { PersonHead } from '../../../../../screens/people/personHead';
import { Sheet } from '../../../../../screens/sheet/sheet';
import { rowsOf } from '../../../../../screens/sheet/sheetRows';
import { shippedBook } from '../../../../../use-cases/norms';
import { today } from '../../../../../use-cases/today';
import { saveSheet } from '../../actions';
import { thePerson, type PersonParams } from '../person';

export const metadata: Metadata = { title: 'Results from paper' };

export default async function PaperPage(context: PersonParams) {
  const view = await thePerson(context);
  return (
    <>
      <PersonHead {...view} here="test" />
      <h2 className="mt-4 border-b-2 border-ink pb-1 text-lg font-bold">Results from paper</h2>
      <Sheet
        today={today()}
        rows={rowsOf([view.person], bookIn(view.units, shippedBook).protocols)}
        seatHeightCm={view.known.intake.seatHeightCm}
        then={`/people/${view.person.id}/scores`}
        back={`/people/${view.person.id}`}
        save={saveSheet}
      />
    </>
  );
}
