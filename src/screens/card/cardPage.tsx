import Link from 'next/link';
import type { Card, HomeChoice, StationPanel } from '../../core/card/cards';
import { usualHeightCm } from '../../core/figure/held';
import { sentenceIn } from '../../core/math/units';
import type { CardKind, CardWords } from '../../core/shapes/card';
import type { UnitSystem } from '../../core/shapes/person';
import { SolvedFigure } from '../drawing/solvedFigure';
import { PrintAndKeep, type KeepPage } from '../scores/printAndKeep';
import { ButtonLink } from '../touch/button';
import { PrintButton } from '../touch/printButton';
import { dayWords } from '../words';
import { CardSheets, type CardPaper } from './cardSheet';
import { SaveDrawing } from './saveDrawing';
import { BackLink, Ways } from '../touch/backLink';

interface Ways {
  readonly personId: string;
  readonly at: CardKind | 'station';
  readonly paper: CardPaper;
}

function BackToLevels({ personId, name }: { personId: string; name: string }) {
  return (
    <p>
      <BackLink href={`/people/${personId}/levels`}>Levels of {name}</BackLink>
    </p>
  );
}

/** Which card, and on what paper. */
function CardWays({ personId, at, paper }: Ways) {
  const base = `/people/${personId}/card`;
  const ways: readonly (readonly [string, string, boolean])[] = [
    ['My card, A5', base, at === 'my' && paper === 'a5'],
    ['My card, A4', `${base}?paper=a4`, at === 'my' && paper === 'a4'],
    ['Home card', `${base}?kind=home`, at === 'home'],
    ['Station card', `${base}?kind=station`, at === 'station'],
  ];
  return <Ways ways={ways} />;
}

export interface HandedBefore {
  readonly id: string;
  readonly card: Card;
  readonly newer: boolean;
}

interface Props extends Ways {
  readonly name: string;
  readonly at: CardKind;
  /** A paper that was asked for and is none of a card. */
  readonly otherPaper: string | null;
  readonly cards: readonly Card[];
  readonly choices: readonly HomeChoice[];
  readonly noHeight: boolean;
  readonly fingerprint: string;
  readonly words: CardWords;
  readonly units: UnitSystem;
  readonly keep: KeepPage<{ readonly kind: CardKind; readonly fingerprint: string }>;
  readonly handed: readonly HandedBefore[];
}

/** The card of a person as it would be printed; beside it what is missing and what was handed out before. */
export function CardScreen(props: Props) {
  const { personId, name, at, paper, cards, choices, noHeight, fingerprint, words, units, keep, handed, otherPaper } =
    props;
  const stays = choices.flatMap((c) => (c.kind === 'stays' ? [c] : []));
  return (
    <div className="pt-3 print:pt-0">
      <div className="print:hidden">
        <BackToLevels personId={personId} name={name} />
        <h1 className="text-2xl font-extrabold">Card of {name}</h1>
        <div className="mt-2 flex flex-wrap items-center gap-x-5 gap-y-2">
          {cards.length > 0 && (
            <>
              <PrintAndKeep keep={keep} personId={personId} page={{ kind: at, fingerprint }} />
              <SaveDrawing name={`card-${at}`} />
            </>
          )}
          <CardWays {...{ personId, at, paper }} />
        </div>
        {cards.length === 0 && (
          <div className="mt-4 border-l-8 border-squat bg-board p-4" data-testid="no-card">
            <p className="text-lg font-bold">
              {at === 'home'
                ? 'Nothing goes home yet.'
                : 'No level is in force yet: confirm one first, then there is a card.'}
            </p>
            <p className="mt-2">
              <ButtonLink href={`/people/${personId}/levels`}>To the levels</ButtonLink>
            </p>
          </div>
        )}
        {stays.length > 0 && (
          <ul className="mt-2" aria-label="What does not go home yet">
            {stays.map((c) => (
              <li key={c.pattern}>
                <b>{c.pattern}</b> stays in class: {c.why}.
              </li>
            ))}
          </ul>
        )}
        {otherPaper !== null && (
          <p className="mt-2 font-semibold" data-testid="other-paper">
            No card on {otherPaper.slice(0, 12).toUpperCase()}: letters of 16 pt need A5, two on a sheet of A4, or A4.
            Below it stands as A5.
          </p>
        )}
        {noHeight && cards.length > 0 && (
          <p className="mt-2 font-semibold">
            No height is noted: the figures are drawn for {sentenceIn(`${usualHeightCm} cm`, units)}.{' '}
            <Link href={`/people/${personId}/intake`} className="text-squat underline underline-offset-4">
              Note the height
            </Link>
          </p>
        )}
      </div>
      <CardSheets {...{ cards, words, units, paper: at === 'home' ? 'a5' : paper }} />
      {handed.length > 0 && (
        <section aria-labelledby="before" className="mt-6 print:hidden">
          <h2 id="before" className="border-b-2 border-ink pb-1 text-lg font-bold">
            Handed out before
          </h2>
          <ul>
            {handed.map(({ id, card, newer }) => (
              <li key={id} className="border-b border-rule">
                <Link href={`/people/${personId}/card/${id}`} className="flex min-h-11 flex-wrap items-center gap-x-4">
                  <span className="num w-32">{dayWords(card.madeOn)}</span>
                  <span className="underline decoration-rule underline-offset-4">
                    {card.kind === 'my' ? 'My card' : 'Home card'}
                  </span>
                  {newer && <b>a newer level is in force</b>}
                </Link>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}

/** A card as it was handed out, whatever is in force by now. */
export function HandedCardScreen({
  personId,
  cards,
  newer,
  words,
  units,
}: {
  personId: string;
  cards: readonly Card[];
  newer: boolean;
  words: CardWords;
  units: UnitSystem;
}) {
  const [first] = cards;
  return (
    <div className="pt-3 print:pt-0">
      <div className="print:hidden">
        <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
          <PrintButton look="line">Print again</PrintButton>
          <h1 className="text-xl font-extrabold">As handed out on {dayWords(first?.madeOn ?? '')}</h1>
          <ButtonLink look="plain" href={`/people/${personId}/card`} className="ml-auto">
            The card of today
          </ButtonLink>
        </div>
        <p>{newer ? <b>A newer level is in force.</b> : 'It is what is in force now.'}</p>
      </div>
      <CardSheets {...{ cards, words, units, paper: 'a5' }} />
    </div>
  );
}

/** For whoever helps at a station: what to put up, where to stand, what to look at. No word of health. */
export function StationScreen({
  personId,
  name,
  panels,
  words,
  units,
}: {
  personId: string;
  name: string;
  panels: readonly StationPanel[];
  words: CardWords;
  units: UnitSystem;
}) {
  return (
    <div className="pt-3 print:pt-0">
      <div className="print:hidden">
        <BackToLevels personId={personId} name={name} />
        <h1 className="text-2xl font-extrabold">Station card of {name}</h1>
        <div className="mt-2 flex flex-wrap items-center gap-x-5 gap-y-2">
          {panels.length > 0 && <PrintButton />}
          <CardWays personId={personId} at="station" paper="a5" />
        </div>
        {panels.length === 0 && (
          <p className="mt-4 text-lg font-bold" data-testid="no-card">
            No level is in force yet: confirm one first, then there is a card.
          </p>
        )}
      </div>
      {panels.length > 0 && (
        <section
          data-sheet
          aria-label="Station card"
          data-paper="card"
          className="mt-4 max-w-[210mm] border-2 border-ink bg-board print:bg-transparent p-5 text-[16pt] leading-[1.2] text-ink print:mt-0 print:border-0 print:p-[12mm]"
        >
          {panels.map((panel) => (
            <section
              key={panel.name}
              aria-label={panel.name}
              className="mb-2 break-inside-avoid border-b-2 border-ink pb-2"
            >
              <h2 className="text-[20pt] font-extrabold">{panel.name}</h2>
              <div className="grid gap-x-5 sm:grid-cols-[58mm_1fr]">
                {panel.figure && (
                  <SolvedFigure
                    {...panel.figure}
                    pattern={panel.pattern}
                    title={`${panel.name}: start and end`}
                    className="h-[34mm] w-full"
                  />
                )}
                <div>
                  <p>{panel.setUp.map((line) => sentenceIn(line, units)).join(' ')}</p>
                  <p className="font-extrabold">{panel.stand}</p>
                  <ul>
                    {panel.look.map((l) => (
                      <li key={l.seen}>
                        <span className="inline-block first-letter:uppercase">{l.seen}</span>: “{l.cue}”
                        {l.ends && <b> Ends the set.</b>}
                      </li>
                    ))}
                  </ul>
                </div>
              </div>
            </section>
          ))}
          <ul className="list-disc pl-6">
            {words.spotter.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
          <p className="mt-2">
            <b>Stop and seat them:</b> {words.stop.join('. ')}. Eyes fixed, pale, stops answering.
          </p>
        </section>
      )}
    </div>
  );
}
