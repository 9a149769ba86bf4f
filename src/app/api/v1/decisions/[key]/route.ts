import { pathKey } from '../../../../../schemas/door';
import { keepDecision } from '../../../../../use-cases/keepDecision';
import { guarded, onlyAllows } from '../../../../doors';
import { keptOnce } from '../../../keptOnce';

/** Keeps the instructor's word on one ladder of somebody once. */
export const PUT = guarded(pathKey, (desk, { key }, request) =>
  keptOnce(desk, key, request, (json) => keepDecision(desk, key, json)),
);

const other = onlyAllows('PUT');
export { other as DELETE, other as GET, other as HEAD, other as OPTIONS, other as PATCH, other as POST };
