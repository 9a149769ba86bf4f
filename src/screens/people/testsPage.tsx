import { cautions } from '../../catalogue/cautions/cautions';
import { sentenceIn } from '../../core/math/units';
import type { UnitSystem } from '../../core/shapes/person';
import type { TestOpen } from '../../core/intake/mayStart';
import { HazardMark } from '../drawing/hazardMark';
import { StateMark } from '../drawing/stateMark';
import { ButtonLink } from '../touch/button';

/** What may be tested today on the left, each with what to mind; on the right what may not, and why. */
export function TestsScreen({
  personId,
  tests,
  units,
}: {
  personId: string;
  tests: readonly TestOpen[];
  units: UnitSystem;
}) {
  const open = tests.filter((t) => t.closedBy.length === 0);
  const closed = tests.filter((t) => t.closedBy.length > 0);
  // One reason often closes many: it is said once, with all that it closes.
  const reasons = new Map<string, string[]>();
  for (const { protocol, closedBy } of closed) {
    const why = sentenceIn(closedBy.join('; '), units);
    reasons.set(why, [...(reasons.get(why) ?? []), protocol.short]);
  }
  return (
    <div className="mt-4 grid items-start gap-x-10 gap-y-6 lg:grid-cols-[1.25fr_1fr]">
      <section aria-labelledby="open">
        <Head id="open">
          Open today <span className="num ml-2 font-normal">{open.length}</span>
        </Head>
        <ul>
          {open.map(({ protocol }) => (
            <li key={protocol.id} className="flex min-h-12 items-center gap-3 border-b border-rule py-1.5">
              <div className="flex-1">
                <b>{protocol.title}</b>
                {(protocol.hazards ?? []).map((hazard) => (
                  <p key={hazard} className="flex items-center gap-2">
                    <HazardMark hazard={hazard} /> {cautions.byHazard[hazard]}
                  </p>
                ))}
                <p className="text-sm text-ink-soft">{sentenceIn(protocol.cautions.join(' '), units)}</p>
              </div>
              <ButtonLink look="line" href={`/test?test=${protocol.id}&person=${personId}`} hard>
                Set it up
              </ButtonLink>
            </li>
          ))}
          {open.length === 0 && <li className="py-2">None today.</li>}
        </ul>
      </section>
      <section aria-labelledby="closed">
        <Head id="closed">
          Left out today <span className="num ml-2 font-normal">{closed.length}</span>
        </Head>
        <ul>
          {[...reasons].map(([why, titles]) => (
            <li key={why} className="flex min-h-12 items-start gap-3 border-b border-rule py-2">
              <StateMark state="held" silent />
              <div>
                <b className="block first-letter:uppercase">{why}</b>
                <p>{titles.join(' · ')}</p>
              </div>
            </li>
          ))}
          {closed.length === 0 && <li className="py-2">Nothing is in the way.</li>}
        </ul>
        <p className="mt-4 text-sm">{cautions.defer}</p>
      </section>
    </div>
  );
}

function Head({ id, children }: { id: string; children: React.ReactNode }) {
  return (
    <h2 id={id} className="border-b-2 border-ink pb-1 text-lg font-bold">
      {children}
    </h2>
  );
}
