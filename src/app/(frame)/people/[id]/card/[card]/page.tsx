import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cardWords } from '../../../../../../catalogue/cards/words';
import { HandedCardScreen } from '../../../../../../screens/card/cardPage';
import { readHandedCards, withNewer } from '../../../../../../use-cases/cards';
import { theDesk } from '../../../../../../use-cases/desk';
import { thePerson } from '../../person';

export const metadata: Metadata = { title: 'A card handed out' };

interface Params {
  readonly params: Promise<{ id: string; card: string }>;
}

export default async function HandedCardPage(context: Params) {
  const { card } = await context.params;
  const view = await thePerson(context);
  const all = withNewer(await readHandedCards(await theDesk(), view.person.id), view);
  const found = all.find((one) => one.id === card) ?? notFound();
  return (
    <HandedCardScreen
      personId={view.person.id}
      cards={found.cards}
      newer={found.newer}
      words={cardWords}
      units={view.units}
    />
  );
}
