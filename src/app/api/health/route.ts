import { storageFault } from '../../../database/faults';
import { proveKeeping, readRegisterId } from '../../../use-cases/places';
import { guarded, noPath } from '../../doors';
import { cannotKeep } from '../problem';

/**
 * Answers once the register is open; says which one it is and which day it is there, for pages left open overnight, and
 * whether it can be written, before somebody needs it.
 */
export const GET = guarded(noPath, async (desk) => {
  const now = { registerId: await readRegisterId(desk), today: desk.today() };
  try {
    await proveKeeping(desk);
  } catch (error) {
    const fault = storageFault(error);
    if (fault === null) throw error;
    return cannotKeep(fault, now);
  }
  return Response.json({ ok: true, ...now });
});
