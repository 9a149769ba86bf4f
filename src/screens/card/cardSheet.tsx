import type { ReactNode } from 'react';
import type { Card, CardPanel, HomeCard, MyCard } from '../../core/card/cards';
import { sentenceIn, shortLengthWords, unitsOf } from '../../core/math/units';
import type { CardWords } from '../../core/shapes/card';
import type { UnitSystem } from '../../core/shapes/person';
import { SolvedFigure } from '../drawing/solvedFigure';
import { dayWords } from '../words';
import { HomePicture } from './homePicture';

/** Two on a sheet of A4 across, or one large on A4. */
export type CardPaper = 'a5' | 'a4';

interface Props {
  readonly cards: readonly Card[];
  readonly words: CardWords;
  readonly units: UnitSystem;
  readonly paper: CardPaper;
}

/** Cards as they go to the printer: sides of A5 two to a sheet, or sides of A4. */
export function CardSheets({ cards, words, units, paper }: Props) {
  const sides = cards.flatMap((card) =>
    card.kind === 'my' ? mySides(card, words, units, paper) : [homeSide(card, words, units)],
  );
  if (paper === 'a4')
    return sides.map((side, i) => (
      <section
        key={i}
        data-sheet
        aria-label={`Page ${i + 1}`}
        data-paper="card"
        className="mt-5 border-2 border-ink bg-board print:bg-transparent text-[16pt] leading-[1.2] text-ink print:mt-0 print:h-[296.5mm] print:w-[210mm] print:overflow-hidden print:border-0 print:p-[12mm] max-w-[210mm] p-5"
      >
        {side}
      </section>
    ));
  const sheets = Array.from({ length: Math.ceil(sides.length / 2) }, (_, i) => sides.slice(2 * i, 2 * i + 2));
  return sheets.map((pair, i) => (
    <div
      key={i}
      data-paper="two-up"
      className={`${i > 0 ? 'break-before-page ' : ''}mt-5 grid gap-5 lg:grid-cols-2 print:mt-0 print:h-[209.5mm] print:w-[297mm] print:grid-cols-[148.5mm_148.5mm] print:gap-0 print:overflow-hidden`}
    >
      {pair.map((side, j) => (
        <section
          key={j}
          data-sheet
          aria-label={`Side ${2 * i + j + 1}`}
          className="border-2 border-ink bg-board print:bg-transparent p-4 text-[16pt] leading-[1.18] text-ink print:h-[209.5mm] print:w-[148.5mm] print:overflow-hidden print:border-0 print:p-[8mm]"
        >
          {side}
        </section>
      ))}
    </div>
  ));
}

function mySides(card: MyCard, words: CardWords, units: UnitSystem, paper: CardPaper): ReactNode[] {
  const each = paper === 'a4' ? 4 : 2;
  const fronts = Array.from({ length: Math.ceil(card.panels.length / each) }, (_, i) =>
    card.panels.slice(i * each, (i + 1) * each),
  );
  return [
    ...fronts.map((panels, i) => (
      <>
        <Head card={card} title={i === 0 ? 'My card' : 'My card, other side'} />
        <div className={paper === 'a4' ? 'grid gap-x-[8mm] sm:grid-cols-2' : ''}>
          {panels.map((panel) => (
            <Panel key={panel.code} panel={panel} units={units} stacked={paper === 'a5'} />
          ))}
        </div>
      </>
    )),
    <Back key="back" card={card} words={words} />,
  ];
}

function Head({ card, title }: { card: Card; title: string }) {
  return (
    <header className="flex items-baseline justify-between gap-4 border-b-4 border-ink pb-1">
      <h2 className="text-[20pt] leading-tight font-extrabold">{card.who}</h2>
      <p className="text-right">
        {title}, {dayWords(card.madeOn)}
      </p>
    </header>
  );
}

function Panel({ panel, units, stacked }: { panel: CardPanel; units: UnitSystem; stacked: boolean }) {
  const { figure, name, pattern } = panel;
  const lines: readonly (readonly [string, string | null])[] = [
    [
      'My chair',
      panel.chair.length > 0 ? `My chair: ${panel.chair.map((line) => sentenceIn(line, units)).join(' ')}` : null,
    ],
    ['My hands', [panel.hands, panel.helper].filter(Boolean).join(' ')],
    ['How many', panel.dose],
    ['How far', panel.much === null ? null : sentenceIn(panel.much, units)],
    ['How slowly', panel.tempo],
    ['Breath', panel.breath],
    ['Weight', panel.load === null ? null : sentenceIn(panel.load, units)],
    ['Which leg', panel.leg],
    ['Look after', panel.lookAfter],
  ];
  return (
    <section aria-label={name} className="mt-2 break-inside-avoid border-b border-rule pb-2 last:border-0">
      <h3 className="text-[22pt] leading-tight font-extrabold">{name}</h3>
      <div className={`mt-1 grid gap-x-4 ${stacked ? 'sm:grid-cols-[36mm_minmax(0,1fr)]' : ''}`}>
        {figure && (
          <SolvedFigure
            {...figure}
            pattern={pattern}
            title={`${name}: start and end`}
            stacked={stacked}
            className={stacked ? 'max-h-[66mm] w-full' : 'h-[36mm] w-full'}
          />
        )}
        <dl className="min-w-0">
          {lines.map(([what, words]) =>
            words === null || words === '' ? null : (
              <div key={what}>
                <dt className="sr-only">{what}</dt>
                <dd className={what === 'How many' ? 'font-extrabold' : what === 'Look after' ? 'font-semibold' : ''}>
                  {words}
                </dd>
              </div>
            ),
          )}
        </dl>
      </div>
    </section>
  );
}

/** When to stop and whom to call; codes small, at the foot. */
function Back({ card, words }: { card: MyCard; words: CardWords }) {
  return (
    <div className="flex h-full flex-col">
      <Head card={card} title="Back" />
      <section aria-label="Stop">
        <h3 className="mt-3 text-[22pt] font-extrabold">Stop and sit down</h3>
        <ul className="mt-1 list-disc pl-6 text-[18pt]">
          {words.stop.map((sign) => (
            <li key={sign}>{sign}</li>
          ))}
        </ul>
        <p className="mt-2 text-[18pt]">{words.then.join(' ')}</p>
        <p className="mt-1 text-[18pt]">
          Ring <b className="num text-[40pt]">{card.emergencyNumber}</b>
        </p>
      </section>
      <p className="mt-3">
        {words.warmUp} {words.effort}
      </p>
      <p className="mt-3">{words.notToday}</p>
      <p className="mt-3">{words.aches}</p>
      {card.nextTestOn && <p className="mt-3 font-extrabold">Next test: {dayWords(card.nextTestOn)}</p>}
      <p className="mt-auto pt-4">
        {[card.place, card.by].filter((w) => w !== '').join(', ')}. Instruction, not treatment: your doctor comes first.
      </p>
      <p className="num pt-2 text-sm print:text-[9pt]" data-small>
        {card.panels.map((p) => p.code).join('  ')} · rules {card.rulesVersion}
      </p>
    </div>
  );
}

/** At home: at most three movements, the home chair, and boxes for the days. */
function homeSide(card: HomeCard, words: CardWords, units: UnitSystem): ReactNode {
  const { home } = words;
  return (
    <div key="home">
      <Head card={card} title="Home card" />
      <p className="mt-1 font-extrabold">{home.title}</p>
      <div>
        {card.panels.map((panel) => (
          <section
            key={panel.code}
            aria-label={panel.name}
            className="mt-1 grid grid-cols-[44mm_minmax(0,1fr)] items-center gap-x-3 border-b border-rule pb-1"
          >
            {panel.figure && (
              <SolvedFigure
                {...panel.figure}
                pattern={panel.pattern}
                title={`${panel.name}: start and end`}
                className="h-[22mm] w-full"
              />
            )}
            <div>
              <h3 className="leading-tight font-extrabold">{panel.name}</h3>
              <p>{[panel.hands, panel.dose].filter(Boolean).join(' ')}</p>
            </div>
          </section>
        ))}
      </div>
      <div className="mt-1 grid grid-cols-[32mm_minmax(0,1fr)] items-center gap-x-3">
        <HomePicture className="w-full" />
        <p>
          {home.seat} My chair at home: <span className="inline-block w-[16mm] border-b-2 border-ink" /> cm
          {card.seatCm !== null && `, in class ${shortLengthWords(card.seatCm, unitsOf[units].length)}`}. {home.hold}
        </p>
      </div>
      <p className="mt-1">{home.rules.join(' ')}</p>
      <table className="mt-2 w-full border-collapse text-left">
        <caption className="text-left font-extrabold">{home.daysCount}</caption>
        <tbody>
          {Array.from({ length: home.weeks }, (_, week) => (
            <tr key={week}>
              <th scope="row" className="border-2 border-ink px-2 font-normal">
                Week {week + 1}
              </th>
              {Array.from({ length: home.days }, (_day, day) => (
                <td key={day} className="h-[7mm] w-[24%] border-2 border-ink" />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1">How was it: {home.how.join(' / ')}?</p>
    </div>
  );
}
