import type { Metadata } from 'next';
import { protocols } from '../../../catalogue/protocols';
import { HallScreen } from '../../../screens/hall/hallScreen';
import { theDesk } from '../../../use-cases/desk';
import { readHelpers } from '../../../use-cases/helpers';
import { readBook } from '../../../use-cases/norms';
import { readPlace } from '../../../use-cases/places';
import { readRules, shippedHouse, toHouseForm } from '../../../use-cases/rules';
import { addHelper, saveHouse, savePlace, tellHelper } from '../actions';

export const metadata: Metadata = { title: 'The hall' };

export default async function HallPage() {
  const desk = await theDesk();
  const book = await readBook(desk);
  const own = book.protocols.filter((p) => protocols.find(({ id }) => id === p.id)?.norms?.id !== p.norms?.id);
  return (
    <HallScreen
      place={await readPlace(desk)}
      house={toHouseForm((await readRules(desk)).levels.house)}
      shipped={shippedHouse}
      ownNorms={own.map(({ id, title }) => ({ id, title }))}
      savePlace={savePlace}
      saveHouse={saveHouse}
      helpers={await readHelpers(desk)}
      addHelper={addHelper}
      tellHelper={tellHelper}
    />
  );
}
