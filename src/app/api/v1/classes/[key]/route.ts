import { pathKey } from '../../../../../schemas/door';
import { readClass, saveClass } from '../../../../../use-cases/classes';
import { guarded, onlyAllows } from '../../../../doors';
import { keptOnce } from '../../../keptOnce';
import { problem } from '../../../problem';

/** Keeps the plan of a class once; it may be planned anew until it begins. */
export const PUT = guarded(pathKey, (desk, { key }, request) =>
  keptOnce(desk, key, request, (json) => saveClass(desk, key, json)),
);

/** A class with its plan and all that was logged of it, by every tablet. */
export const GET = guarded(pathKey, async (desk, { key }) => {
  const found = await readClass(desk, key);
  return found ? Response.json(found) : problem(404, 'There is no class with a plan under this key.');
});

const other = onlyAllows('GET and PUT');
export { other as DELETE, other as HEAD, other as OPTIONS, other as PATCH, other as POST };
