import { pathKey } from '../../../../../schemas/door';
import { saveEntry } from '../../../../../use-cases/saveEntry';
import { guarded, onlyAllows } from '../../../../doors';
import { keptOnce } from '../../../keptOnce';

/** Notes something of a person once: a check of the day, an incident, a fall. */
export const PUT = guarded(pathKey, (desk, { key }, request) =>
  keptOnce(desk, key, request, (json) => saveEntry(desk, key, json)),
);

const other = onlyAllows('PUT');
export { other as DELETE, other as GET, other as HEAD, other as OPTIONS, other as PATCH, other as POST };
