import { pathKeyWriter } from '../../../../../../../schemas/door';
import { saveClassLog } from '../../../../../../../use-cases/classLog';
import { guarded, onlyAllows } from '../../../../../../doors';
import { keptOnce } from '../../../../../keptOnce';

/** Keeps the whole log of one tablet; sent again, or longer, what is there already stays. */
export const PUT = guarded(pathKeyWriter, (desk, { key, writer }, request) =>
  keptOnce(desk, key, request, (json) => saveClassLog(desk, key, writer, json)),
);

const other = onlyAllows('PUT');
export { other as DELETE, other as GET, other as HEAD, other as OPTIONS, other as PATCH, other as POST };
