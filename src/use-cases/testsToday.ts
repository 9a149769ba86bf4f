import { protocols } from '../catalogue/protocols';
import { testsOpen, type TestOpen } from '../core/intake/mayStart';
import type { PersonView } from '../core/view/personView';
import { readPlace } from './places';
import { readRules } from './rules';
import { type Desk } from './desk';

/** Every test with what closes it for this person in this hall today. */
export async function testsToday(desk: Desk, { known }: PersonView): Promise<TestOpen[]> {
  return testsOpen(
    protocols,
    known,
    (await readRules(desk)).levels.limiters,
    (await readPlace(desk)).cupboard,
    desk.today(),
  );
}
