import type { Path } from '../../core/view/path';
import type { Step } from '../../core/steps';
import { lengthWords, massWords, unitsOf } from '../../core/math/units';
import type { PersonView } from '../../core/view/personView';
import { PathLine } from '../drawing/pathLine';
import { limiterLine, tableWords } from '../words';

type Props = Pick<PersonView, 'person' | 'known' | 'ageYears' | 'path' | 'units' | 'archived'> & {
  readonly here: Step | null;
};

/** @param next what is next with them: it may be one page of a step, or one test */
export const personHrefs = (id: string, next?: Path['next']): Readonly<Record<Step, string>> => ({
  intake: `/people/${id}/${next?.at === 'questions' ? 'readiness' : 'intake'}`,
  test: `/test?person=${id}${next?.test === undefined ? '' : `&test=${next.test}`}`,
  scores: `/people/${id}/scores`,
  levels: `/people/${id}/levels`,
  train: `/people/${id}`,
  retest: `/people/${id}/retest`,
});

/** Who this is, in one line, and the court line of how far they are. */
export function PersonHead({ person, known, ageYears, path, units, archived, here }: Props) {
  const { intake, limiters } = known;
  const about = [
    String(ageYears),
    tableWords(person.normTable),
    ...(intake.heightCm === null ? [] : [lengthWords(intake.heightCm, unitsOf[units].length)]),
    ...(intake.massKg === null ? [] : [massWords(intake.massKg, unitsOf[units].mass)]),
    ...limiters
      .filter((l) => !l.unasked)
      .slice(0, 2)
      .map(limiterLine),
    ...(archived ? ['put aside'] : []),
  ];
  return (
    <div
      className="flex flex-col gap-x-8 gap-y-2 border-b-2 lg:flex-row lg:items-start border-rule pt-4 pb-2 print:hidden"
      data-person-id={person.id}
      data-person-name={person.name}
      data-blood-thinners={intake.bloodThinners ? 'yes' : undefined}
    >
      <div className="shrink-0 lg:w-72">
        <h1 className="text-2xl leading-tight font-extrabold">
          <a href={`/people/${person.id}`} className="flex min-h-11 items-center">
            {person.name}
          </a>
        </h1>
        <p className="text-ink-soft">{about.join(' · ')}</p>
      </div>
      <PathLine path={path} hrefs={personHrefs(person.id, path.next)} here={here} />
    </div>
  );
}
