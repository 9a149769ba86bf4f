import Link from 'next/link';
import type { HallNeeds } from '../../core/card/needs';
import { isOpen, levelsOfToday, trainedLevel, waitingLevel, waitingLevels } from '../../core/level/standing';
import type { Pattern } from '../../core/shapes/facts';
import type { Ladder } from '../../core/shapes/ladder';
import type { UnitSystem } from '../../core/shapes/person';
import type { PersonView } from '../../core/view/personView';
import { lookOf } from '../drawing/patterns';
import { ShortBars } from '../drawing/shortBars';
import { StateWord } from '../drawing/stateMark';
import { Pages, type HallPage } from '../frame/pages';
import type { GroupChoice } from '../people/forGroup';
import { ButtonLink } from '../touch/button';
import { ConfirmRows, type ConfirmOf } from './confirmRows';
import { HallFilter } from './hallFilter';
import { levelWords } from './levelWords';
import { needsWords } from './needsWords';

interface Props extends HallPage {
  readonly ladders: readonly Pick<Ladder, 'pattern' | 'title' | 'rungs'>[];
  readonly needs: HallNeeds;
  readonly units: UnitSystem;
  readonly groups: readonly GroupChoice[];
  readonly groupId: string | null;
  /** The one ladder that is looked at; all where none is chosen. */
  readonly pattern: Pattern | null;
  readonly confirm: ConfirmOf;
  /** The same people as a sheet to print. */
  readonly sheetPath: string;
}

/** The board of the hall: people down, patterns across, a peg on small bars, what it becomes and what waits for a yes on top. */
export function HallLevels(props: Props) {
  const { people, pages, ladders, needs, units, groups, groupId, pattern, confirm, sheetPath } = props;
  const shown = pattern === null ? ladders : ladders.filter((l) => l.pattern === pattern);
  const rows = people.filter((p) => levelsOfToday(p).length > 0 || p.levels.refused !== null);
  const waiting = rows.flatMap((p) => {
    const seen = waitingLevels(p.standings).map((l) => l.code);
    return seen.length > 0 && p.levels.refused === null ? [{ id: p.person.id, name: p.person.name, seen }] : [];
  });
  const group = groups.find((g) => g.id === groupId);
  return (
    <div className="pt-5 print:pt-0">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <h1 className="text-2xl font-extrabold">Levels{group ? ` of ${group.name}` : ''}</h1>
        <HallFilter
          {...{ groups, groupId, pattern }}
          ladders={ladders.map(({ pattern: p, title }) => ({ pattern: p, title }))}
        />
        <div className="ml-auto flex flex-wrap items-center gap-3 print:hidden">
          {rows.length > 0 && (
            <ButtonLink look="line" href={sheetPath}>
              Sheet for whoever helps
            </ButtonLink>
          )}
          {waiting.length > 1 && (
            <ConfirmRows rows={waiting} confirm={confirm} words={`Confirm all ${waiting.length}`} />
          )}
        </div>
      </div>
      {rows.length === 0 ? (
        <p className="py-8 text-lg">Levels follow from the first test.</p>
      ) : (
        <>
          <p className="mt-2" data-testid="hall-needs">
            <b>To carry out for these {rows.length}:</b> {needsWords(needs, units)}.
          </p>
          <table className="mt-3 w-full text-left max-lg:screen:cards">
            <thead>
              <tr className="border-b-2 border-ink">
                <th scope="col" className="py-1 pr-3">
                  Who
                </th>
                {shown.map((l) => (
                  <th key={l.pattern} scope="col" className={`py-1 pr-3 ${lookOf(l.pattern).words}`}>
                    {l.pattern} {l.title}
                  </th>
                ))}
                <th scope="col" className="py-1 print:hidden">
                  Waits
                </th>
              </tr>
            </thead>
            <tbody>
              {rows.map((p) => (
                <Row key={p.person.id} view={p} ladders={shown} confirm={confirm} />
              ))}
            </tbody>
          </table>
        </>
      )}
      <Pages {...pages} />
    </div>
  );
}

function Row({ view, ladders, confirm }: { view: PersonView; ladders: Props['ladders']; confirm: ConfirmOf }) {
  const { person, units, standings, levels } = view;
  const seen = waitingLevels(standings).map((l) => l.code);
  return (
    <tr className="break-inside-avoid border-b border-rule align-top">
      <th scope="row" className="py-2 pr-3 font-bold">
        <Link
          href={`/people/${person.id}/levels`}
          className="inline-flex min-h-11 items-center underline decoration-rule underline-offset-4"
        >
          {person.name}
        </Link>
      </th>
      {ladders.map((ladder) => {
        const standing = standings.find((s) => s.pattern === ladder.pattern);
        const ceiling = standing && isOpen(standing.ceiling) && levels.refused === null ? standing.ceiling : null;
        const waits = standing && ceiling ? waitingLevel(standing) : null;
        const level = standing && ceiling ? (waits ?? trainedLevel(standing)) : null;
        const was = waits && standing?.inForce ? standing.inForce.level : null;
        return (
          <td key={ladder.pattern} data-head={`${ladder.pattern} ${ladder.title}`} className="py-2 pr-3">
            {level ? (
              <span className="flex items-start gap-2">
                <span className="max-xl:hidden print:hidden">
                  <ShortBars rungs={ladder.rungs.length} at={level.rung} low />
                </span>
                <span className="min-w-0 leading-5">
                  <span className="block">
                    <b className="num">{level.rung}</b> {levelWords(level, units)}
                  </span>
                  {was && was.code !== level.code && (
                    <span className="block text-sm">
                      {was.rung === level.rung ? 'changed' : level.rung > was.rung ? 'up' : 'down'} from{' '}
                      <span className="num">{was.code}</span>
                    </span>
                  )}
                  {level.byHand && <span className="block text-sm">set by hand</span>}
                </span>
              </span>
            ) : (
              <span className="text-ink-soft">none today</span>
            )}
          </td>
        );
      })}
      <td data-head="Waits" className="py-2 print:hidden">
        {levels.refused ? (
          <StateWord state="not-today" />
        ) : seen.length > 0 ? (
          <ConfirmRows
            rows={[{ id: person.id, name: person.name, seen }]}
            confirm={confirm}
            words={`Confirm ${seen.length}`}
            of={person.name}
          />
        ) : (
          <span className="text-ink-soft">nothing</span>
        )}
      </td>
    </tr>
  );
}
