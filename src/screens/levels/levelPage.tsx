import type { CardFigure } from '../../core/card/cards';
import type { Level } from '../../core/level/answer';
import type { Coached } from '../../core/level/coaching';
import { sentencesIn } from '../../core/math/units';
import { shownLevel, trainedLevels, waitingLevels } from '../../core/level/standing';
import { ofKind } from '../../core/intake/entries';
import type { Pattern } from '../../core/shapes/facts';
import type { LevelRules } from '../../core/shapes/ladder';
import { StateMark } from '../drawing/stateMark';
import { WallBars } from '../drawing/wallBars';
import { PersonHead, personHrefs } from '../people/personHead';
import type { PersonView } from '../../core/view/personView';
import { ButtonLink } from '../touch/button';
import { dayWords } from '../words';
import { ConfirmLevelsButton, type ConfirmAnswer } from './confirmLevel';
import { KeepingLevels, Lines as YesLines } from './keeping';
import { LastWord } from './lastWord';
import type { Say } from './saying';
import { linesOf, noteOn, wordProps, type WordsOn } from './bayWords';
import { besideBays, MoreBeside, type BesideOn } from './beside';
import { Figure } from './figure';
import { LevelBays, type Bay } from './levelBays';
import { Detail, NextRung } from './levelDetail';
import { SeenClean, type Note } from './seenClean';

interface Props {
  readonly view: PersonView;
  readonly rules: LevelRules;
  readonly words: readonly WordsOn[];
  /** Beside the four; empty where nobody may train today. */
  readonly beside: readonly BesideOn[];
  readonly coached: readonly Coached[];
  readonly confirm: (seen: readonly string[], keep: readonly Pattern[]) => Promise<ConfirmAnswer>;
  readonly say: Say;
  readonly note: Note;
  /** How a level looks for this body. */
  readonly figureOf: (level: Level) => CardFigure | null;
}

/** Four bays of wall bars with their pegs; under them, of the bay looked at, what to do, why, and what opens the next. */
export function LevelScreen({ view, rules, words, beside, coached, confirm, say, note, figureOf }: Props) {
  const { ladders, house } = rules;
  const { standings, decided, units } = view;
  const levels = sentencesIn(view.levels, units);
  const waiting = waitingLevels(standings);
  const trained = trainedLevels(standings);
  const hrefs = personHrefs(view.person.id);
  const tallest = Math.max(...ladders.map((l) => l.rungs.length));
  const last = decided.at(-1);
  const bays = ladders.map((ladder): Bay => {
    const standing = standings.find((s) => s.pattern === ladder.pattern);
    const ceiling = levels.levels.find((l) => l.pattern === ladder.pattern);
    // What somebody’s word holds under the rules stands on the bars, not what they could give.
    const shown = standing && shownLevel(standing);
    const level = ceiling && shown ? sentencesIn(shown, units) : ceiling;
    const blockers = ceiling?.blockers ?? levels.closed.find((c) => c.pattern === ladder.pattern)?.blockers ?? [];
    const earlier = decided.flatMap((c) => (c.level.pattern === ladder.pattern ? [c.level.rung] : []));
    const word = wordProps(words, standing, ladder, units);
    const lastWord = word && <LastWord key={word.seen} {...word} say={say} />;
    return {
      key: ladder.pattern,
      pattern: ladder.pattern,
      title: ladder.title,
      note: noteOn(standing, waiting),
      bars: <WallBars ladder={ladder} level={level} blockers={blockers} earlier={earlier} tallest={tallest} />,
      detail: level ? (
        <Detail
          {...{ ladder, level, house, units, coached }}
          personId={view.person.id}
          figure={<Figure of={figureOf} level={level} />}
        >
          {lastWord}
          {trained.some((l) => l.pattern === ladder.pattern) && (
            <SeenClean
              pattern={ladder.pattern}
              rung={trained.find((l) => l.pattern === ladder.pattern)?.rung ?? level.rung}
              ticks={ofKind(view.known.entries, 'shown').filter((e) => e.content.pattern === ladder.pattern)}
              note={note}
            />
          )}
        </Detail>
      ) : (
        <div className="grid gap-x-8 gap-y-4 lg:grid-cols-2">
          <div>
            <h2 className="py-1 text-lg font-bold">No rung is open here today.</h2>
            {lastWord}
          </div>
          {blockers.length > 0 && (
            <div>
              <NextRung from={0} blockers={blockers} ladder={ladder} />
            </div>
          )}
        </div>
      ),
    };
  });
  return (
    <>
      <PersonHead {...view} here="levels" />
      {levels.refused && (
        <p className="mt-6 flex items-center gap-3 border-l-8 border-stop bg-board p-5 text-lg font-bold">
          <StateMark state="not-today" silent /> {levels.refused.text}
        </p>
      )}
      {!levels.refused && view.lastTestedOn === null && (
        <div className="mt-4 flex flex-wrap items-center gap-4 border-l-8 border-squat bg-board p-4">
          <p className="flex-1">Not tested yet: only what asks for no test is open. One test opens more.</p>
          <ButtonLink href={hrefs.test} hard>
            Set up the test
          </ButtonLink>
        </div>
      )}
      <KeepingLevels waiting={waiting.map((l) => l.code).join()}>
        <LevelBays
          bays={bays}
          short={besideBays({ beside, view, rules, coached, say, note, figureOf })}
          more={beside.length > 0 && <MoreBeside {...{ beside, view, say, note }} />}
          lines={<YesLines lines={linesOf(standings, ladders, units)} />}
          aside={
            <>
              {waiting.length > 0 ? (
                <ConfirmLevelsButton confirm={confirm} seen={waiting.map((l) => l.code)} />
              ) : (
                last && (
                  <p className="font-bold" data-testid="confirmed">
                    Confirmed {dayWords(last.decidedOn)}
                  </p>
                )
              )}
              {trained.length > 0 && (
                <ButtonLink look="line" href={`/people/${view.person.id}/card`}>
                  Card
                </ButtonLink>
              )}
              <ButtonLink look="line" href={hrefs.retest} hotkey="R">
                Retest
              </ButtonLink>
            </>
          }
        />
      </KeepingLevels>
      <ul
        aria-label="Mind"
        className="mt-4 grid list-disc gap-x-10 gap-y-1 border-t-2 border-rule pt-2 pl-5 lg:grid-cols-2"
      >
        {levels.cautions.map((c) => (
          <li key={c.id + c.text}>{c.text}</li>
        ))}
      </ul>
    </>
  );
}
