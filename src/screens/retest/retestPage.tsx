import { shortLengthWords, unitsOf } from '../../core/math/units';
import { PersonHead, personHrefs } from '../people/personHead';
import { leadOf } from '../scores/lead';
import { changeWords, ScoreRail, resultMark, shortly } from '../scores/rail';
import { resultWords } from '../scores/testWords';
import type { PersonView } from '../../core/view/personView';
import { ButtonLink } from '../touch/button';
import { aidWords, dayWords, longDay } from '../words';

/** When to test again, under which conditions, and what the results so far say. */
export function RetestScreen({ view, today }: { view: PersonView; today: string }) {
  const { due } = view;
  const lead = leadOf(view);
  const latest = lead?.results[0];
  const hrefs = personHrefs(view.person.id);
  if (!due || !latest)
    return (
      <>
        <PersonHead {...view} here="retest" />
        <p className="py-8 text-lg">The date of the retest follows from the first result.</p>
        <ButtonLink href={hrefs.test} hard>
          Set up the test
        </ButtonLink>
      </>
    );
  const { protocol, results } = lead;
  const { conditions } = latest;
  const isDue = due.on <= today;
  return (
    <>
      <PersonHead {...view} here="retest" />
      <div className="mt-5 grid gap-10 lg:grid-cols-[1fr_1.5fr]">
        <section aria-labelledby="when">
          <h2 id="when" className="border-b-2 border-ink pb-1 text-lg font-bold">
            {isDue ? 'Due since' : 'Test again on'}
          </h2>
          <p className="mt-2 text-3xl font-extrabold" data-testid="due-on">
            {longDay(due.on)}
          </p>
          <p className="text-lg">
            {due.weeks === 0
              ? due.why.charAt(0).toUpperCase() + due.why.slice(1)
              : `${due.weeks} weeks after the last test: ${due.why}`}
            . <span className="text-sm text-ink-soft">Common practice, no published source.</span>
          </p>
          <h2 className="mt-6 border-b-2 border-ink pb-1 text-lg font-bold">Under the same conditions</h2>
          <ul className="mt-2 space-y-1 text-lg">
            <li>
              Seat{' '}
              <b className="num">
                {conditions.seatHeightCm === undefined
                  ? 'not written down'
                  : shortLengthWords(conditions.seatHeightCm, unitsOf[view.units].length)}
              </b>
              , the same chair, its back to the wall
            </li>
            <li>Aid in the test: {aidWords[conditions.aid ?? 'none']}</li>
            <li>Shoes: {conditions.shoes ?? 'flat'}</li>
            <li>The same words, one practice, one try</li>
          </ul>
          <div className="mt-6 flex flex-wrap gap-4">
            <ButtonLink href={hrefs.test} hard hotkey="T" look={isDue ? 'main' : 'line'}>
              {isDue ? 'Set up the retest' : 'Test already today'}
            </ButtonLink>
            <ButtonLink look={isDue ? 'line' : 'main'} href={`/people/${view.person.id}`} hotkey="P">
              Back to the person
            </ButtonLink>
          </div>
        </section>
        <section aria-labelledby="so-far">
          <h2 id="so-far" className="border-b-2 border-ink pb-1 text-lg font-bold">
            So far
          </h2>
          <div className="mt-2">
            <ScoreRail
              score={latest.score}
              protocol={protocol}
              on={latest.on}
              earlier={results.slice(1, 7).map((s) => resultMark(protocol, s))}
              start={700}
            />
          </div>
          <table className="mt-2 w-full text-left max-md:cards">
            <thead className="text-sm text-ink-soft">
              <tr>
                <th className="py-1 font-semibold">Day</th>
                <th className="pr-5 font-semibold">Age</th>
                <th className="pr-5 font-semibold">{protocol.short}</th>
                <th className="font-semibold">Change</th>
              </tr>
            </thead>
            <tbody>
              {results.map((scored) => (
                <tr key={scored.key} className="border-t border-rule">
                  <td className="py-1.5 max-md:font-bold">{dayWords(scored.on)}</td>
                  <td className="num pr-5" data-head="Age">
                    {scored.ageYears}
                  </td>
                  <td className="num pr-5" data-head={protocol.short}>
                    {resultWords(protocol, scored)}
                  </td>
                  <td data-head="Change">
                    <span>
                      <b>{changeWords(scored.change).verdict}</b>{' '}
                      <span className="text-sm text-ink-soft">{shortly(changeWords(scored.change).size)}</span>
                    </span>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      </div>
    </>
  );
}
