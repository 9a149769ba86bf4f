import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { moveOf } from '../../../../../catalogue/ladders/moves';
import { posesOf } from '../../../../../catalogue/ladders/poses';
import { MovePage } from '../../../../../screens/library/movePage';
import { coachedOn } from '../../../../../core/level/coaching';
import { readCoached } from '../../../../../use-cases/coaching';
import { theDeviceCoaching } from '../../../../deviceCoaching';
import { theDesk } from '../../../../../use-cases/desk';
import { readPlace } from '../../../../../use-cases/places';
import { readRules } from '../../../../../use-cases/rules';

export const metadata: Metadata = { title: 'A movement' };

interface Params {
  readonly params: Promise<{ rung: string }>;
}

export default async function OneMovePage({ params }: Params) {
  const { rung: asked } = await params;
  const desk = await theDesk();
  const rules = (await readRules(desk)).levels;
  const [, pattern = '', nth = ''] = /^([A-Z])([1-9])$/.exec(asked) ?? [];
  const ladder = [...rules.ladders, ...rules.accessories].find((l) => l.pattern === pattern);
  const rung = ladder?.rungs.find((r) => r.rung === Number(nth));
  if (!ladder || !rung) notFound();
  const { units } = await readPlace(desk);
  const coached = coachedOn(await readCoached(desk, await theDeviceCoaching()), ladder.pattern, rung.rung);
  return (
    <MovePage
      {...{ rules, ladder, rung, units }}
      move={moveOf(ladder.pattern, rung.rung) ?? null}
      poses={posesOf(ladder.pattern, rung.rung) ?? null}
      coached={coached}
    />
  );
}
