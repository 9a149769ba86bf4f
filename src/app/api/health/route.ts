import { theRegister } from '../../../database/theRegister';
import { readRegisterId } from '../../../use-cases/places';
import { today } from '../../../use-cases/today';
import { guarded } from '../problem';

/** Answers once the register is open; says which one it is and which day it is there, for pages left open overnight. */
export const GET = guarded(async () => {
  return Response.json({ ok: true, registerId: await readRegisterId(await theRegister()), today: today() });
});
