import type { Metadata } from 'next';
import { SeatFinder } from '../../../../screens/library/seatFinder';
import { theDesk } from '../../../../use-cases/desk';
import { findSeat } from '../../../../use-cases/findSeat';
import { readPlace } from '../../../../use-cases/places';
import { readRules } from '../../../../use-cases/rules';

export const metadata: Metadata = { title: 'A seat to hover over' };

interface Params {
  readonly searchParams: Promise<Readonly<Record<string, string | undefined>>>;
}

export default async function SeatPage({ searchParams }: Params) {
  const desk = await theDesk();
  const place = await readPlace(desk);
  const found = await findSeat(place, (await readRules(desk)).levels, await searchParams);
  return <SeatFinder found={found} units={place.units} />;
}
