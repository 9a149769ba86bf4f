import Link from 'next/link';
import type { Known } from '../../core/intake/known';
import { lengthWords, massWords, unitsOf } from '../../core/math/units';
import type { UnitSystem } from '../../core/shapes/person';
import type { RuleBook } from '../../core/shapes/rules';
import { StateMark } from '../drawing/stateMark';
import { entryLine } from '../entryWords';
import { aidWords, dayWords, limiterLine, placeWords } from '../words';
import { states, stateOfReadiness } from '../states';

interface Props {
  readonly personId: string;
  readonly day: string;
  readonly days: readonly string[];
  readonly known: Known | undefined;
  readonly units: UnitSystem;
  readonly rules: RuleBook;
}

/** What was known at the end of a chosen day, in words; every earlier day can be asked again. */
export function RecordScreen({ personId, day, days, known, units, rules }: Props) {
  return (
    <div className="mt-4 grid items-start gap-x-10 gap-y-6 lg:grid-cols-[220px_1fr_1.2fr]">
      <nav aria-label="Days">
        <h2 className="border-b-2 border-ink pb-1 text-lg font-bold">Known on</h2>
        <ul className="max-h-[60vh] overflow-y-auto" tabIndex={0} aria-label="Days with something noted">
          {days.map((d) => (
            <li key={d}>
              <Link
                href={`/people/${personId}/record?on=${d}`}
                aria-current={d === day ? 'date' : undefined}
                className={`flex min-h-11 items-center border-b border-rule px-2 ${d === day ? 'bg-board font-bold' : ''}`}
              >
                {dayWords(d)}
              </Link>
            </li>
          ))}
        </ul>
      </nav>
      {known ? (
        <>
          <section aria-labelledby="stood">
            <h2 id="stood" className="border-b-2 border-ink pb-1 text-lg font-bold">
              As it stood on {dayWords(day)}
            </h2>
            <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-5 gap-y-1.5">
              {lines(known, units).map(([term, value]) => (
                <div key={term} className="contents">
                  <dt className="text-ink-soft">{term}</dt>
                  <dd>{value}</dd>
                </div>
              ))}
            </dl>
          </section>
          <section aria-labelledby="entries">
            <h2 id="entries" className="border-b-2 border-ink pb-1 text-lg font-bold">
              Noted up to then, newest first
            </h2>
            <ul>
              {[...known.entries].reverse().map((e) => (
                <li key={e.id} className="flex gap-3 border-b border-rule py-1.5">
                  <span className="num w-32 shrink-0 whitespace-nowrap">{dayWords(e.on)}</span>
                  <span>{entryLine(e.content, rules)}</span>
                </li>
              ))}
              {known.entries.length === 0 && <li className="py-2">Nothing.</li>}
            </ul>
          </section>
        </>
      ) : (
        <p className="lg:col-span-2">Nothing was noted by {dayWords(day)}.</p>
      )}
    </div>
  );
}

function lines({ intake, limiters, readiness, falls, pains }: Known, units: UnitSystem): [string, React.ReactNode][] {
  const state = stateOfReadiness(readiness.outcome, readiness.asked === 'current');
  return [
    [
      'Readiness',
      <span key="r" className="flex items-start gap-2">
        <StateMark state={state} silent />
        <span>
          {states[state].word}
          {readiness.reasons.map((r) => `; ${r.text}`)}
        </span>
      </span>,
    ],
    ['Height', intake.heightCm === null ? 'not known' : lengthWords(intake.heightCm, unitsOf[units].length)],
    ['Mass', intake.massKg === null ? 'not known' : massWords(intake.massKg, unitsOf[units].mass)],
    [
      'Hurts',
      pains.length === 0 ? 'nothing' : pains.map((p) => `${placeWords(p.joint, p.side)} ${p.reckoned}/10`).join(', '),
    ],
    [
      'Watched',
      limiters
        .filter((l) => !l.kind.endsWith('-pain'))
        .map(limiterLine)
        .join(', ') || 'nothing',
    ],
    ['Falls in 12 months', falls.length === 0 ? 'none' : falls.map((f) => dayWords(f.content.fellOn)).join(', ')],
    ['Walking aid', `${aidWords[intake.aidIndoors]} indoors, ${aidWords[intake.aidOutdoors]} outdoors`],
    ['Medicines', intake.medicines === '' ? 'none noted' : intake.medicines],
    ['Contact', `${intake.contact.name} ${intake.contact.phone}`.trim() || 'none noted'],
    ['Clinician', `${intake.clinician.name} ${intake.clinician.phone}`.trim() || 'none noted'],
    ['Intake of', dayWords(intake.notedOn)],
  ];
}
