import type { Metadata } from 'next';
import { cardWords } from '../../../../../catalogue/cards/words';
import { CardScreen, StationScreen } from '../../../../../screens/card/cardPage';
import { readCards, readHandedCards, readStation, withNewer } from '../../../../../use-cases/cards';
import { theDesk } from '../../../../../use-cases/desk';
import { keepHandedCard } from '../../actions';
import { thePerson, type PersonParams } from '../person';

export const metadata: Metadata = { title: 'Card' };

interface Asked extends PersonParams {
  readonly searchParams: Promise<{ readonly kind?: string; readonly paper?: string }>;
}

export default async function CardPage(context: Asked) {
  const { kind: asked, paper: on } = await context.searchParams;
  const view = await thePerson(context);
  const desk = await theDesk();
  const { id, name } = view.person;
  const shared = { personId: id, name, words: cardWords, units: view.units };
  if (asked === 'station') return <StationScreen {...shared} panels={await readStation(desk, view)} />;
  const kind = asked === 'home' ? 'home' : 'my';
  const now = await readCards(desk, view, kind);
  const handed = withNewer(await readHandedCards(desk, id), view).flatMap(({ id: card, cards: [first], newer }) =>
    first ? [{ id: card, card: first, newer }] : [],
  );
  return (
    <CardScreen
      {...shared}
      {...now}
      at={kind}
      paper={on === 'a4' ? 'a4' : 'a5'}
      otherPaper={on === undefined || on === 'a4' || on === 'a5' ? null : on}
      keep={keepHandedCard}
      handed={handed}
    />
  );
}
