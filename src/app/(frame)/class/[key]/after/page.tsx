import type { Metadata } from 'next';
import { notFound, redirect } from 'next/navigation';
import { protocols } from '../../../../../catalogue/protocols';
import { presentIn, standing } from '../../../../../core/train/log';
import { AfterClass } from '../../../../../screens/class/afterClass';
import { dayWords } from '../../../../../screens/words';
import { readProposals } from '../../../../../use-cases/proposals';
import { readClass } from '../../../../../use-cases/classes';
import { theDesk } from '../../../../../use-cases/desk';
import { readPlace } from '../../../../../use-cases/places';
import { confirmClass, correctClass, takeBackClass } from '../../actions';

export const metadata: Metadata = { title: 'After the class' };

export default async function AfterPage({ params }: { params: Promise<{ key: string }> }) {
  const { key } = await params;
  const desk = await theDesk();
  const found = await readClass(desk, key);
  if (!found) notFound();
  if (found.closedAt === null) redirect(`/class/${key}`);
  const { plan, lines, day } = found;
  return (
    <AfterClass
      title={plan.title}
      when={dayWords(day)}
      late={lines.some((l) => l.content.kind === 'close' && l.content.late)}
      present={presentIn(plan.people, lines).length}
      units={(await readPlace(desk)).units}
      people={plan.who}
      proposals={await readProposals(desk, key)}
      testTitles={Object.fromEntries(protocols.map((p) => [p.id, p.title]))}
      lines={standing(lines)}
      correct={correctClass.bind(null, key)}
      confirm={confirmClass.bind(null, key)}
      takeBack={takeBackClass.bind(null, key)}
    />
  );
}
