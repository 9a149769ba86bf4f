import type { Metadata } from 'next';
import { PlanClass } from '../../../../screens/class/planClass';
import { readTemplates, theBlocks } from '../../../../use-cases/classTemplates';
import { makePlan, peopleToChoose, proposeClass } from '../../../../use-cases/classes';
import { theDesk } from '../../../../use-cases/desk';
import { readGroups } from '../../../../use-cases/groups';
import { readHelpers } from '../../../../use-cases/helpers';
import { readPlace } from '../../../../use-cases/places';
import { dropClassTemplate, keepClassPlan, keepClassTemplate, makeClassPlan } from '../actions';

export const metadata: Metadata = { title: 'Plan a class' };

interface Asked {
  readonly searchParams: Promise<{ readonly group?: string }>;
}

export default async function PlanPage({ searchParams }: Asked) {
  const { group: wanted } = await searchParams;
  const desk = await theDesk();
  const group = (await readGroups(desk)).find((g) => g.id === wanted) ?? null;
  const asked = await proposeClass(desk, group?.id ?? null);
  return (
    <PlanClass
      asked={asked}
      shown={await makePlan(desk, asked)}
      title={group ? `A class for ${group.name}` : 'A class for who sits in today'}
      units={(await readPlace(desk)).units}
      templates={await readTemplates(desk)}
      blockTitles={Object.fromEntries([...theBlocks].map(([name, b]) => [name, b.title]))}
      people={await peopleToChoose(desk, asked.people)}
      helpers={(await readHelpers(desk)).map((h) => ({ id: h.id, name: h.name, maySpot: h.may.spot !== null }))}
      make={makeClassPlan}
      save={keepClassPlan}
      keepTemplate={keepClassTemplate}
      dropTemplate={dropClassTemplate}
    />
  );
}
