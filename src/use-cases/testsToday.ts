import { limiterRows } from '../catalogue/limiters/limiters';
import { protocols } from '../catalogue/protocols';
import { testsOpen, type TestOpen } from '../core/intake/testsOpen';
import type { PersonView } from '../core/view/personView';
import { readPlace } from './places';
import { type Desk } from './desk';

/** Every test with what closes it for this person in this hall today. */
export async function testsToday(desk: Desk, { known }: PersonView): Promise<TestOpen[]> {
  return testsOpen(protocols, known, limiterRows, (await readPlace(desk)).cupboard);
}
