import type { PersonView } from '../../core/view/personView';
import type { Place } from '../../core/shapes/person';
import { cautions } from '../../catalogue/cautions/cautions';
import { ButtonLink } from '../touch/button';
import { dayWords, limiterLine } from '../words';
import { leadOf } from '../scores/lead';
import { resultWords } from '../scores/testWords';
import { PrintButton } from '../touch/printButton';

/** One page to a licensed professional: what is asked, what was found, and room for the answer. Black on white. */
export function NoteScreen({ view, place, today }: { view: PersonView; place: Place; today: string }) {
  const { person, known } = view;
  const asks = known.readiness.reasons.filter((r) => r.outcome === 'ask-first' && r.id !== 'to-ask');
  const lead = leadOf(view);
  const latest = lead?.results[0];
  return (
    <div className="mx-auto max-w-3xl pt-5">
      <div className="mb-4 flex flex-wrap gap-4 print:hidden">
        <PrintButton />
        <ButtonLink look="plain" href={`/people/${person.id}/readiness`}>
          Note the answer
        </ButtonLink>
      </div>
      <article className="border-2 border-ink bg-board p-4 text-lg sm:p-8 print:border-0 print:bg-transparent print:p-0">
        <p className="flex justify-between gap-6">
          <b>{[place.name, place.town].filter((w) => w !== '').join(', ')}</b>
          <span>{dayWords(today)}</span>
        </p>
        <h1 className="mt-5 text-2xl font-extrabold">A question before exercise</h1>
        <p className="mt-3">
          {person.name}, born {dayWords(person.birthDate)}, would like to take part in a fitness class for older people:
          standing up from a chair, balance held near a rail, stepping in place, and later squats, lunges, hip bends and
          bridges with a chair or rail at hand, at light to moderate effort.
        </p>
        <h2 className="mt-5 font-bold">Why we ask</h2>
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
        {(known.limiters.length > 0 || latest) && (
          <>
            <h2 className="mt-4 font-bold">Noted with us</h2>
            <p>
              {[
                ...known.limiters.filter((l) => !l.unasked).map(limiterLine),
                ...known.falls.map((f) => `a fall on ${dayWords(f.content.fellOn)}`),
                ...(latest
                  ? [`${lead.protocol.title}: ${resultWords(lead.protocol, latest)} on ${dayWords(latest.on)}`]
                  : []),
              ].join('; ')}
              .
            </p>
          </>
        )}
        <h2 className="mt-5 font-bold">Your answer</h2>
        <ul className="mt-1 space-y-2">
          {['may take part', 'may take part with these limits:', 'not for now'].map((line) => (
            <li key={line} className="flex items-center gap-3">
              <span aria-hidden className="inline-block size-5 border-2 border-ink" /> {line}
            </li>
          ))}
        </ul>
        <p className="mt-3 border-b-2 border-rule pb-7">Limits (bend, load, pulse, effort):</p>
        <p className="mt-4 flex flex-wrap justify-between gap-x-8 gap-y-3">
          <span className="min-w-40 flex-1 border-t-2 border-ink pt-1">Name and profession</span>
          <span className="min-w-40 flex-1 border-t-2 border-ink pt-1">Date, holds until</span>
          <span className="min-w-40 flex-1 border-t-2 border-ink pt-1">Signature</span>
        </p>
        <p className="mt-5 text-base">{cautions.defer}</p>
      </article>
    </div>
  );
}
