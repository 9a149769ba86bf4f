import type { ReactNode } from 'react';
import { cautions } from '../../catalogue/cautions/cautions';
import type { Blocker, Level } from '../../core/level/answer';
import { coachedOn, type Coached } from '../../core/level/coaching';
import { hazardsAt } from '../../core/level/hazards';
import { sentenceIn, shortLengthWords, unitsOf } from '../../core/math/units';
import { ladderKey, setPatterns } from '../../core/shapes/facts';
import type { HouseRules, Ladder } from '../../core/shapes/ladder';
import type { UnitSystem } from '../../core/shapes/person';
import { HazardMark } from '../drawing/hazardMark';
import { lookOf } from '../drawing/patterns';
import { Stool } from '../drawing/stool';
import { ButtonLink } from '../touch/button';
import { doseWords } from './bayWords';
import { loadWords } from './levelWords';

/** What to put up and do, why this rung, and what opens the next. */
export function Detail({
  ladder,
  level,
  house,
  units,
  personId,
  coached,
  figure,
  children,
}: {
  ladder: Ladder;
  level: Level;
  house: HouseRules;
  units: UnitSystem;
  personId: string;
  /** How they are coached, question by question. */
  coached: readonly Coached[];
  /** How it looks for this body; nothing of a movement of the hall's own. */
  figure: ReactNode;
  /** What is said of it by hand. */
  children: ReactNode;
}) {
  const [main] = coachedOn(coached, level.pattern, level.rung);
  return (
    <div className="grid grid-cols-1 gap-x-8 gap-y-4 lg:grid-cols-[1.2fr_1.25fr_1fr] xl:grid-cols-1 xl:gap-y-2">
      <div className="min-w-0">
        {figure}
        <div className="flex items-start gap-4">
          {level.targetCm !== null && (
            <Stool heightCm={level.targetCm} support={level.support} units={units} size={104} />
          )}
          <div className="min-w-0 flex-1">
            <h2 className={`text-xl font-extrabold ${lookOf(level.pattern).words}`}>{level.name}</h2>
            <p>{doWords(level, ladder, units)}</p>
            <p className="num text-sm text-ink-soft" data-testid="level-code">
              {level.code}
            </p>
          </div>
        </div>
        {hazardsAt(ladder, level.rung).map((hazard) => (
          <p key={hazard} className="mt-2 flex items-center gap-3 font-semibold">
            <HazardMark hazard={hazard} /> {cautions.byHazard[hazard]}
          </p>
        ))}
        {holdsOn(level, ladder) && <p className="mt-2 text-sm font-semibold">{cautions.holding}</p>}
        {level.sides?.map((words) => (
          <p key={words} className="mt-2 font-semibold first-letter:uppercase">
            {words}.
          </p>
        ))}
        {level.doneSo?.map((words) => (
          <p key={words} className="mt-2 font-semibold first-letter:uppercase">
            {sentenceIn(words, units)}.
          </p>
        ))}
        {(level.firmStepCm ?? 0) > 0 && (
          <p className="mt-2 font-semibold">
            A firm step of {shortLengthWords(level.firmStepCm ?? 0, unitsOf[units].length)} under both feet: the seat is
            high for these legs.
          </p>
        )}
        {level.missing && <p className="mt-2 font-semibold">Missing here: {level.missing}</p>}
      </div>
      <div className="xl:order-2">
        <Lines title="Why this one">
          {level.reasons.map((r) => (
            <li key={r.text} className="first-letter:uppercase">
              {r.text}
              {r.byHand && <b> (by hand)</b>}
              {r.source !== house.source.cite && (
                <span className="text-sm text-ink-soft"> ({r.source}, from memory)</span>
              )}
            </li>
          ))}
          {level.reasons.length === 0 && <li>Nothing is asked for.</li>}
        </Lines>
        <p className="text-sm text-ink-soft">Thresholds without a name are house rules: {house.source.cite}.</p>
        {main && (
          <p className="mt-3">
            <b>Coached {main.option.name.toLowerCase()}:</b> “{main.option.cue}”{' '}
            {main.proposed && `Proposed: ${main.proposed.option.name.toLowerCase()}, for ${main.proposed.because}.`}
          </p>
        )}
      </div>
      <div className="xl:order-1">
        <NextRung from={level.rung} blockers={level.blockers} ladder={ladder} />
      </div>
      <div className="lg:col-span-3 xl:order-3 xl:col-span-1">
        <p className="mt-3 flex flex-wrap gap-3">
          {!(level.own && setPatterns.has(level.pattern)) && (
            <ButtonLink look="line" href={`/people/${personId}/swap?level=${level.pattern}${level.rung}`}>
              This hurts
            </ButtonLink>
          )}
          {!level.own && (
            <ButtonLink look="line" href={`/library/moves/${level.pattern}${level.rung}`}>
              How it is taught
            </ButtonLink>
          )}
          <ButtonLink look="line" href={`/people/${personId}/history?on=${ladderKey(level)}`}>
            History
          </ButtonLink>
          {main && (
            <ButtonLink look="line" href={`/people/${personId}/coaching`}>
              Coach it otherwise
            </ButtonLink>
          )}
          {hovers(level, ladder) && (
            <ButtonLink look="line" href={`/library/seat?person=${personId}`}>
              How this seat is found
            </ButtonLink>
          )}
        </p>
        {children}
      </div>
    </div>
  );
}

/** Whether the seat of a level is worked out for the body. */
function hovers({ rung }: Level, ladder: Ladder): boolean {
  const target = ladder.rungs.find((r) => r.rung === rung)?.target;
  return target !== undefined && 'hovers' in target;
}

/** Whether balance asks for a hand on something. */
function holdsOn({ rung, support }: Level, ladder: Ladder): boolean {
  const fixed = ladder.rungs.find((r) => r.rung === rung)?.support !== undefined;
  return !fixed && (support === '2' || support === '1' || support === 'f');
}

/** What to put up and do, in one breath. */
export function doWords(level: Level, ladder: Ladder, units: UnitSystem): string {
  const rung = ladder.rungs.find((r) => r.rung === level.rung);
  const built = level.targetFrom && level.targetFrom.length > 1 ? ` (${level.targetFrom.join(' + ')})` : '';
  const lifts = rung?.target && 'lifts' in rung.target;
  const does =
    level.form === 'seated' ? rung?.seatedUnless?.does : level.form === 'mark' ? rung?.slides?.mark.does : rung?.does;
  const seat =
    level.targetCm === null
      ? ''
      : lifts
        ? ` It stands at ${shortLengthWords(level.targetCm, unitsOf[units].length)}, on something firm.`
        : ` Seat ${shortLengthWords(level.targetCm, unitsOf[units].length)}${built}, back to the wall.`;
  const load = level.loadKg === null ? '' : ` ${capital(loadWords({ ...level, loadKg: level.loadKg }, units))}.`;
  const much = level.within ? ` ${capital(sentenceIn(level.within.words, units))}.` : '';
  return `${sentenceIn(does ?? '', units)}${much}${seat} ${capital(level.supportWords)}.${load} ${capital(doseWords(level.dose, rung?.aSide))}.`;
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

interface Above {
  readonly from: number;
  readonly blockers: readonly Blocker[];
  readonly ladder: Ladder;
}

/** What opens the rung above one, and what keeps those higher up. */
export function NextRung({ from, blockers, ladder }: Above) {
  const above = ladder.rungs.filter((r) => r.rung > from);
  const [next, ...higher] = above;
  if (!next) return null;
  const of = (rung: number): readonly Blocker[] => blockers.filter((b) => b.rung === rung);
  return (
    <>
      <Lines title={`Opens the next: ${next.name}`}>
        {of(next.rung).length === 0 && <li>Open by the rules; by hand or by classes it stands lower.</li>}
        {of(next.rung).map((b) => (
          <li key={b.fact} className="first-letter:uppercase" data-testid="opens-next">
            {b.text}
          </li>
        ))}
      </Lines>
      {higher.length > 0 && (
        <details className="mt-3">
          <summary className="min-h-11 cursor-pointer py-2 font-semibold text-squat underline underline-offset-4">
            What keeps the rungs above that
          </summary>
          <ul className="space-y-1.5 text-sm">
            {higher.map((r) => (
              <li key={r.rung}>
                <b>
                  {r.rung} {r.name}:
                </b>{' '}
                {of(r.rung)
                  .map((b) => b.text)
                  .join('; ')}
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

function Lines({ title, children }: { title: string; children: ReactNode }) {
  return (
    <>
      <h3 className="border-b-2 border-ink pb-0.5 font-bold">{title}</h3>
      <ul className="mt-1.5 space-y-1">{children}</ul>
    </>
  );
}
