import type { ReactNode } from 'react';
import { cautions } from '../../catalogue/cautions/cautions';
import { sentenceIn } from '../../core/math/units';
import { agreedOn } from '../../core/intake/consent';
import type { EntryOf } from '../../core/shapes/intake';
import type { Place } from '../../core/shapes/person';
import type { PersonView } from '../../core/view/personView';
import { leadOf } from '../scores/lead';
import { cutoffWords, resultWords, sideName } from '../scores/testWords';
import { shownTest } from '../shownTest';
import { ButtonLink } from '../touch/button';
import { PrintButton } from '../touch/printButton';
import { aidWords, dayWords, limiterLine } from '../words';
import { Consents } from './consents';
import { scoredUnit } from '../../core/score/scoreResult';

interface Props {
  readonly view: PersonView;
  readonly place: Place;
  readonly today: string;
  readonly note: (content: unknown, key: string) => Promise<{ kind: string }>;
}

/** One page to a licensed professional that asks: what is open, what is asked of the body, and room for the answer. */
export function LetterThatAsks({ view, ...rest }: Props) {
  const { person, known } = view;
  const asks = known.readiness.reasons.filter((r) => r.outcome === 'ask-first' && r.id !== 'to-ask');
  return (
    <Letter
      title="A question before exercise"
      view={view}
      {...rest}
      beside={
        <ButtonLink look="plain" href={`/people/${person.id}/readiness`}>
          Note the answer
        </ButtonLink>
      }
    >
      <p className="mt-3">
        {person.name}, born {dayWords(person.birthDate)}, would like to take part in a fitness class for older people.
      </p>
      <h2 className="mt-4 font-bold">Why we ask</h2>
      {asks.length === 0 ? (
        <p>Nothing is open at the moment.</p>
      ) : (
        <ul className="list-disc pl-6">
          {asks.map((r) => (
            <li key={r.id}>
              {r.text}
              {r.source.fromMemory && <span className="text-base text-ink-soft"> ({r.source.cite})</span>}
            </li>
          ))}
        </ul>
      )}
      <h2 className="mt-4 font-bold">What is asked of the body</h2>
      <ul className="list-disc pl-6">
        {cautions.asksOfBody.map((line) => (
          <li key={line}>{sentenceIn(line, view.units)}</li>
        ))}
      </ul>
      <Noted view={view} />
      <h2 className="mt-4 font-bold">Your answer</h2>
      <ul className="mt-1 space-y-2">
        {['may take part', 'may take part with these limits:', 'not for now'].map((line) => (
          <li key={line} className="flex items-center gap-3">
            <span aria-hidden className="inline-block size-5 border-2 border-ink" /> {line}
          </li>
        ))}
      </ul>
      <p className="mt-2 border-b-2 border-rule pb-6">Limits (bend, load, pulse, effort):</p>
      <p className="mt-4 flex flex-wrap justify-between gap-x-8 gap-y-3">
        <span className="min-w-40 flex-1 border-t-2 border-ink pt-1">Name and profession</span>
        <span className="min-w-40 flex-1 border-t-2 border-ink pt-1">Date, holds until</span>
        <span className="min-w-40 flex-1 border-t-2 border-ink pt-1">Signature</span>
      </p>
    </Letter>
  );
}

/** One page to their clinician that tells: falls, results past lines, and what is done about it. Nothing waits for it. */
export function LetterThatTells({ view, ...rest }: Props) {
  const { person, known, due } = view;
  const past = pastLines(view);
  return (
    <Letter title="For your information: falls and exercise" view={view} {...rest}>
      <p className="mt-3">
        {person.name}, born {dayWords(person.birthDate)}, takes part in a fitness class for older people. We tell you
        what we saw and what we do; you need not answer, and nothing waits for it. If you would rather have something
        done another way, please tell us.
      </p>
      <h2 className="mt-4 font-bold">Falls in the last twelve months</h2>
      {known.falls.length === 0 ? (
        <p>None that we know of.</p>
      ) : (
        <ul className="list-disc pl-6">
          {known.falls.map((f) => (
            <li key={f.id}>{fallWords(f)}</li>
          ))}
        </ul>
      )}
      <h2 className="mt-4 font-bold">Results past a watch line</h2>
      {past.length === 0 ? (
        <p>None.</p>
      ) : (
        <ul className="list-disc pl-6">
          {past.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      <h2 className="mt-4 font-bold">What we do</h2>
      <ul className="list-disc pl-6">
        {[
          ...cautions.doneWithCare,
          ...(known.intake.bloodThinners ? [cautions.onThinners] : []),
          ...(due
            ? [due.on > rest.today ? `We test again on ${dayWords(due.on)}.` : 'We test again at the next class.']
            : []),
        ].map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <Noted view={view} falls={false} />
    </Letter>
  );
}

/** A sheet of paper, black on white: hall and day on top, agreement and cautions at the foot. */
function Letter({
  title,
  view,
  place,
  today,
  note,
  beside,
  children,
}: Props & { title: string; beside?: ReactNode; children: ReactNode }) {
  const { person, known } = view;
  const agreed = agreedOn(known.entries, 'letter');
  const { clinician } = known.intake;
  return (
    <div className="mx-auto max-w-3xl pt-5">
      <div className="mb-4 flex flex-wrap items-center gap-4 print:hidden">
        <PrintButton />
        {beside}
      </div>
      <div className="mb-4">
        <Consents entries={known.entries} note={note} to={['letter']} />
      </div>
      <article className="border-2 border-ink bg-board p-4 text-lg leading-snug sm:p-8 print:border-0 print:bg-transparent print:p-0 print:text-[12pt]">
        <p className="flex justify-between gap-6">
          <b>{[place.name, place.town].filter((w) => w !== '').join(', ')}</b>
          <span>{dayWords(today)}</span>
        </p>
        {clinician.name !== '' && <p>To {clinician.name}</p>}
        <h1 className="mt-4 text-2xl font-extrabold">{title}</h1>
        {children}
        {agreed === null ? (
          <p className="mt-4 flex items-end gap-3">
            {person.name} agrees to this letter, day and signature:
            <span aria-hidden className="min-w-24 flex-1 border-b-2 border-ink" />
          </p>
        ) : (
          <p className="mt-4">
            {person.name} agreed to this letter on {dayWords(agreed)}.
          </p>
        )}
        <p className="mt-3 text-base">{cautions.defer}</p>
      </article>
    </div>
  );
}

/** What is known of them that a professional wants to know: what to mind, aid, thinner, falls and how they ended. */
function Noted({ view, falls = true }: { view: PersonView; falls?: boolean }) {
  const { known } = view;
  const { intake } = known;
  const lead = leadOf(view);
  const latest = lead?.results[0];
  const aids = [
    ...(intake.aidIndoors === 'none' ? [] : [`walks indoors with ${aidWords[intake.aidIndoors]}`]),
    ...(intake.aidOutdoors === 'none' ? [] : [`outdoors with ${aidWords[intake.aidOutdoors]}`]),
  ];
  const noted = [
    ...known.limiters.filter((l) => !l.unasked).map(limiterLine),
    ...(aids.length === 0 ? ['walks without an aid'] : aids),
    ...(intake.bloodThinners ? [] : ['no blood thinner noted']),
    ...(falls ? known.falls.map(fallWords) : []),
    ...(latest ? [`${lead.protocol.title}: ${resultWords(lead.protocol, latest)} on ${dayWords(latest.on)}`] : []),
  ];
  return (
    <>
      <h2 className="mt-4 font-bold">Noted with us</h2>
      <p className="first-letter:uppercase">{noted.join('; ')}.</p>
    </>
  );
}

/** How a fall ended, in a line. */
function fallWords({ content }: EntryOf<'fall'>): string {
  const { fellOn, hurt, lookedAt, headStruck, unexplained } = content;
  return [
    `a fall on ${dayWords(fellOn)}`,
    hurt ? 'hurt' : 'not hurt',
    ...(headStruck ? ['the head was struck'] : []),
    ...(unexplained ? ['nobody knows why'] : []),
    lookedAt ? 'looked at' : 'not looked at',
  ].join(', ');
}

/** Each newest result that is past a line that sets the date, with the line and its source. */
function pastLines({ tests, units }: PersonView): string[] {
  return tests.flatMap(({ test, series }) =>
    series.flatMap(({ side, results: [newest] }) => {
      const protocol = shownTest(test, units);
      const lines = newest?.score.cutoffs.filter((c) => c.past && c.setsDate) ?? [];
      if (!protocol || !newest || lines.length === 0) return [];
      const words = lines.map((c) => `${cutoffWords(c)} ${scoredUnit(protocol)} (${c.source.cite})`);
      const which = side ? `, ${sideName(side)}` : '';
      return [
        `${protocol.title}${which}: ${resultWords(protocol, newest)} on ${dayWords(newest.on)}; line ${words.join(', ')}`,
      ];
    }),
  );
}
