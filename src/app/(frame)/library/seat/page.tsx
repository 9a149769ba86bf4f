import type { Metadata } from 'next';
import { SeatFinder } from '../../../../screens/library/seatFinder';
import { theDesk } from '../../../../use-cases/desk';
import { findSeat, seatTypedFor } from '../../../../use-cases/findSeat';
import { readPlace } from '../../../../use-cases/places';
import { readRules } from '../../../../use-cases/rules';

export const metadata: Metadata = { title: 'A seat to hover over' };

interface Params {
  readonly searchParams: Promise<Partial<Readonly<Record<'person' | 'height' | 'shown' | 'wall', string>>>>;
}

export default async function SeatPage({ searchParams }: Params) {
  const desk = await theDesk();
  const place = await readPlace(desk);
  const { person, ...typed } = await searchParams;
  const records = person === undefined ? null : await seatTypedFor(desk, person);
  const found = await findSeat(place, (await readRules(desk)).levels, { ...records, ...typed });
  return <SeatFinder found={found} units={place.units} fromRecords={records !== null} />;
}
