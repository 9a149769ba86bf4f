import { readRegisterId } from '../../../use-cases/places';
import { guarded, noPath } from '../../doors';

/** Answers once the register is open; says which one it is and which day it is there, for pages left open overnight. */
export const GET = guarded(noPath, async (desk) => {
  return Response.json({ ok: true, registerId: await readRegisterId(desk), today: desk.today() });
});
