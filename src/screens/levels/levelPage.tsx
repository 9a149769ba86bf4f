import type { ReactNode } from 'react';
import { cautions } from '../../catalogue/cautions/cautions';
import { ladders } from '../../catalogue/ladders';
import { houseRules } from '../../catalogue/rules/house';
import { hazardsAt } from '../../core/level/hazards';
import type { Blocker, Level } from '../../core/level/answer';
import type { Dose } from '../../core/shapes/dose';
import type { Ladder } from '../../core/shapes/ladder';
import { HazardMark } from '../drawing/hazardMark';
import { StateMark } from '../drawing/stateMark';
import { Stool } from '../drawing/stool';
import { WallBars } from '../drawing/wallBars';
import { PersonHead, personHrefs } from '../people/personHead';
import type { PersonView } from '../../core/personView';
import { ButtonLink } from '../touch/button';
import { dayWords } from '../words';
import { ConfirmLevelButton } from './confirmLevel';

interface Props {
  readonly view: PersonView;
  readonly confirm: () => Promise<{ kind: string }>;
}

/** One bay of wall bars with the peg, and beside it what to do, why this rung, and what opens the next. */
export function LevelScreen({ view, confirm }: Props) {
  const level = view.levels.levels[0];
  const ladder = ladders[0];
  const hrefs = personHrefs(view.person.id);
  const last = view.confirmed.at(-1);
  if (!ladder) return null;
  return (
    <>
      <PersonHead {...view} here="levels" />
      {view.levels.refused && (
        <p className="mt-6 flex items-center gap-3 border-l-8 border-stop bg-board p-5 text-lg font-bold">
          <StateMark mark="stop" silent /> {view.levels.refused.text}
        </p>
      )}
      {!view.levels.refused && view.sittings.length === 0 && (
        <div className="mt-6 border-l-8 border-squat bg-board p-4">
          <p>Not tested yet: only the first rung can be given. One chair stand test opens what is safe.</p>
          <ButtonLink href={hrefs.test} hard className="mt-3">
            Set up the test
          </ButtonLink>
        </div>
      )}
      <div className="mt-3 grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,600px)_1fr]">
        <section aria-labelledby="bay">
          <h2 id="bay" className="flex items-center gap-3 text-xl font-bold">
            <span className="text-2xl font-extrabold text-squat">S</span> {ladder.title}
          </h2>
          <div className="mb-1 h-1.5 bg-squat" />
          <WallBars ladder={ladder} level={level} earlier={view.confirmed.map((c) => c.level.rung)} />
        </section>
        {level && (
          <section aria-labelledby="level">
            <div className="flex flex-wrap items-center gap-5">
              <Stool heightCm={level.targetCm} support={level.support} size={128} />
              <div className="min-w-0 flex-1">
                <p className="num text-2xl font-bold text-squat" data-testid="level-code">
                  {level.code}
                </p>
                <h2 id="level" className="text-xl font-extrabold">
                  {level.name}
                </h2>
                <p>{doWords(level, ladder)}</p>
              </div>
            </div>
            {hazardsAt(ladder, level.rung).map((hazard) => (
              <p key={hazard} className="mt-2 flex items-center gap-3 font-semibold">
                <HazardMark hazard={hazard} /> {cautions.byHazard[hazard]}
              </p>
            ))}
            {level.missing && (
              <p className="mt-2 flex gap-3 font-semibold">
                <StateMark mark="watch" silent /> Missing here: {level.missing}
              </p>
            )}
            <div className="mt-3 flex flex-wrap items-center gap-4">
              {view.levelWaiting ? (
                <ConfirmLevelButton confirm={confirm} />
              ) : (
                <p className="flex items-center gap-2 font-bold" data-testid="confirmed">
                  <StateMark mark="ready" silent /> Confirmed {last ? dayWords(last.confirmedOn) : ''}
                </p>
              )}
              <ButtonLink look="line" href={hrefs.retest} hotkey="R">
                See the retest
              </ButtonLink>
            </div>
            <Lines title="Why this one">
              {level.reasons.map((r) => (
                <li key={r.text} className="first-letter:uppercase">
                  {r.text}
                  {r.source !== houseRules.source.cite && (
                    <span className="text-sm text-ink-soft"> ({r.source}, from memory)</span>
                  )}
                </li>
              ))}
            </Lines>
            <p className="text-sm text-ink-soft">
              Thresholds without a name are house rules: {houseRules.source.cite}.
            </p>
            <NextRung level={level} ladder={ladder} />
          </section>
        )}
      </div>
      <ul aria-label="Mind" className="mt-4 grid gap-x-10 gap-y-1 border-t-2 border-rule pt-2 lg:grid-cols-2">
        {view.levels.cautions.map((c) => (
          <li key={c.id + c.text} className="flex gap-3">
            <StateMark mark="watch" silent /> {c.text}
          </li>
        ))}
      </ul>
    </>
  );
}

/** What to put up and do, in one breath. */
function doWords(level: Level, ladder: Ladder): string {
  const rung = ladder.rungs.find((r) => r.rung === level.rung);
  const built = level.targetFrom && level.targetFrom.length > 1 ? ` (${level.targetFrom.join(' + ')})` : '';
  const seat = level.targetCm === null ? '' : ` Seat ${level.targetCm} cm${built}, back to the wall.`;
  const load = level.loadKg === null ? '' : ` ${level.loadKg} kg held close.`;
  return `${rung?.does ?? ''}${seat} ${capital(level.supportWords)}.${load} ${capital(doseWords(level.dose))}.`;
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

export function doseWords(dose: Dose): string {
  switch (dose.kind) {
    case 'reps':
      return `${dose.reps} ${dose.reps === 1 ? 'repetition' : 'repetitions'}, ${dose.sets === 1 ? 'one set' : `${dose.sets} sets`}`;
    case 'holds':
      return `hold ${dose.holdS} s, ${dose.sets} times`;
    case 'intervals':
      return `${dose.workS} s work, ${dose.restS} s rest, ${dose.rounds} rounds`;
    case 'half-minute':
      return `${dose.reps} every ${dose.everyS} s, ${dose.rounds} rounds`;
  }
}

function NextRung({ level, ladder }: { level: Level; ladder: Ladder }) {
  const above = ladder.rungs.filter((r) => r.rung > level.rung);
  const [next, ...higher] = above;
  if (!next) return null;
  const of = (rung: number): readonly Blocker[] => level.blockers.filter((b) => b.rung === rung);
  return (
    <>
      <Lines title={`Opens the next: ${next.name}`}>
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
      <h3 className="mt-4 border-b-2 border-ink pb-0.5 text-lg font-bold">{title}</h3>
      <ul className="mt-1.5 space-y-1">{children}</ul>
    </>
  );
}
