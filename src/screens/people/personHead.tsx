import type { Path } from '../../core/path';
import type { Step } from '../../core/steps';
import type { Intake, Person } from '../../core/shapes/person';
import { PathLine } from '../drawing/pathLine';
import { limiterLine, tableWords } from '../words';

interface Props {
  readonly person: Person;
  readonly intake: Intake;
  readonly ageYears: number;
  readonly path: Path;
  readonly here: Step | null;
}

export const personHrefs = (id: string): Readonly<Record<Step, string>> => ({
  intake: `/people/${id}/intake`,
  test: `/test?person=${id}`,
  scores: `/people/${id}/scores`,
  levels: `/people/${id}/levels`,
  train: `/people/${id}`,
  retest: `/people/${id}/retest`,
});

/** Who this is, in one line, and the court line of how far they are. */
export function PersonHead({ person, intake, ageYears, path, here }: Props) {
  const about = [
    String(ageYears),
    tableWords(person.normTable),
    ...(intake.heightCm === null ? [] : [`${intake.heightCm} cm`]),
    ...(intake.massKg === null ? [] : [`${intake.massKg} kg`]),
    ...intake.limiters.slice(0, 2).map(limiterLine),
  ];
  return (
    <div className="flex flex-wrap items-start gap-x-8 gap-y-3 border-b-2 border-rule pt-4 pb-2">
      <div className="w-80 max-w-full">
        <h1 className="text-2xl leading-tight font-extrabold">
          <a href={`/people/${person.id}`} className="flex min-h-11 items-center">
            {person.name}
          </a>
        </h1>
        <p className="text-ink-soft">{about.join(' · ')}</p>
      </div>
      <PathLine path={path} hrefs={personHrefs(person.id)} here={here} />
    </div>
  );
}
