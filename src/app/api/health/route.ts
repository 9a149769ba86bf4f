import { theRegister } from '../../../database/theRegister';
import { guarded } from '../problem';

/** Answers once the register is open. */
export const GET = guarded(async () => {
  await theRegister();
  return Response.json({ ok: true });
});
