import Link from 'next/link';
import type { HistoryEntry, HistoryStep, LadderStory } from '../../core/level/history';
import { sentenceIn, sentencesIn } from '../../core/math/units';
import type { Ladder } from '../../core/shapes/ladder';
import type { UnitSystem } from '../../core/shapes/person';
import type { PersonView } from '../../core/view/personView';
import { HistoryBars } from '../drawing/historyBars';
import { lookOf } from '../drawing/patterns';
import { doWords } from '../levels/levelDetail';
import { Heading } from '../touch/heading';
import { dayWords, limiterLine } from '../words';
import { BackLink } from '../touch/backLink';

interface Props {
  readonly view: PersonView;
  readonly stories: readonly LadderStory[];
  /** The ladder, or the item of a set, that is told; `null` where nothing was decided. */
  readonly on: string | null;
}

/** Every level ever in force on one ladder, as pegs with their days and as a story to take over from. */
export function HistoryScreen({ view, stories, on }: Props) {
  const { person, units } = view;
  const { ladder, entries: story = [] } = stories.find((s) => s.key === on) ?? {};
  const last = story.at(-1);
  return (
    <div className="pt-3">
      <p>
        <BackLink href={`/people/${person.id}/levels`}>Levels of {person.name}</BackLink>
      </p>
      <h1 className="text-2xl font-extrabold">History of {person.name}</h1>
      {stories.length > 0 && (
        <nav aria-label="Ladders" className="mt-2 flex flex-wrap gap-2">
          {stories.map(({ key, ladder: { pattern, title } }) => (
            <Link
              key={key}
              href={`/people/${person.id}/history?on=${encodeURIComponent(key)}`}
              aria-current={key === on ? 'page' : undefined}
              className="inline-flex min-h-12 items-center gap-2 rounded-md border-2 border-rule bg-board px-4 font-bold aria-[current=page]:border-ink"
            >
              <span className={lookOf(pattern).words}>{pattern}</span> {title}
            </Link>
          ))}
        </nav>
      )}
      {!ladder || !last ? (
        <p className="mt-4 text-lg">No level was ever confirmed or set: there is no story yet.</p>
      ) : (
        <>
          <div className="mt-4">
            <HistoryBars
              ladder={ladder}
              pegs={story.map((e) => ({
                rung: e.level.rung,
                day: dayWords(e.day).replace(/ \d\d(\d\d)$/, ' $1'),
                out: e.step === 'left-out',
              }))}
            />
          </div>
          <section aria-labelledby="to-take-over" className="mt-4 border-l-8 border-wood bg-board p-4">
            <h2 id="to-take-over" className="text-lg font-bold">
              To take over from here
            </h2>
            <p className="mt-1">{takeOver(last, ladder, units)}</p>
          </section>
          <section aria-labelledby="story" className="mt-5">
            <Heading id="story">As it went, the newest first</Heading>
            <ol className="divide-y divide-rule">
              {[...story].reverse().map((e, i) => (
                <li
                  key={`${e.day} ${story.length - i}`}
                  className="grid gap-x-6 gap-y-1 py-3 lg:grid-cols-[9rem_1fr_1.2fr]"
                >
                  <b>{dayWords(e.day)}</b>
                  <div>
                    <p>
                      <b>
                        {e.level.pattern}
                        {e.level.rung} {e.level.name}
                      </b>
                      {stepWords(e)}. <span className="num text-sm text-ink-soft">{e.level.code}</span>
                    </p>
                    <p className="first-letter:uppercase">{whoWords(e)}.</p>
                  </div>
                  <p className="text-sm">{factWords(e, units)}</p>
                </li>
              ))}
            </ol>
          </section>
        </>
      )}
    </div>
  );
}

const steps: Readonly<Record<HistoryStep, string>> = {
  first: ', the first',
  'left-out': ', left out',
  'taken-up': ', taken up again',
  up: ', up',
  down: ', down',
  freer: ', the hands freer',
  held: ', more support',
  'lower-seat': ', a lower height',
  'higher-seat': ', a higher height',
  same: ', as before',
};

const stepWords = ({ step, from, level }: HistoryEntry): string =>
  `${steps[step]}${from === null || step === 'left-out' ? '' : ` from ${level.pattern}${from}`}`;

/** By whom and why. */
function whoWords({ kind, by, level: { byHand } }: HistoryEntry): string {
  if (kind === 'class') return `shown in class, ${by}`;
  if (kind === 'swap') return `swapped for the day, ${by}`;
  if (!byHand) return `as the rules gave it, confirmed by ${by}`;
  const did = {
    lower: 'set lower by hand',
    higher: 'set higher by hand',
    kept: 'the old one kept',
    'not-this': 'left out',
  }[byHand.word];
  const why = byHand.why === '' ? 'no reason written' : `“${byHand.why}”`;
  return `${did} by ${by}: ${why}${byHand.from === '' ? '' : `; the rules gave ${byHand.from}`}`;
}

/** What was known that day, and what it was decided by. */
function factWords({ facts, level }: HistoryEntry, units: UnitSystem): string {
  const minded = facts.limiters.filter((l) => !l.unasked).map(limiterLine);
  const falls = facts.falls12m > 0 ? [`${facts.falls12m} ${facts.falls12m === 1 ? 'fall' : 'falls'} in the year`] : [];
  const reasons = level.reasons.map((r) => sentenceIn(r.text, units));
  return [
    ...(minded.length + falls.length > 0 ? [`Known then: ${[...minded, ...falls].join(', ')}.`] : []),
    ...(reasons.length > 0 ? [`Decided by: ${reasons.join('; ')}.`] : []),
  ].join(' ');
}

/** What somebody else needs to go on: since when, what is done, by whose word, what to mind. */
function takeOver(last: HistoryEntry, ladder: Ladder, units: UnitSystem): string {
  const { level, day, step } = last;
  if (step === 'left-out') return `Left out since ${dayWords(day)}: ${whoWords(last)}.`;
  const name = `${level.pattern}${level.rung} ${level.name}`;
  const mind = [...(level.sides ?? []), ...(level.doneSo ?? [])];
  const minding = mind.length > 0 ? ` Mind: ${mind.map((m) => sentenceIn(m, units)).join('; ')}.` : '';
  return `${name} since ${dayWords(day)}. ${doWords(sentencesIn(level, units), ladder, units)}${minding} It stands ${whoWords(last)}.`;
}
