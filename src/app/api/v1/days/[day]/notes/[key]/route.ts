import { pathDayNote } from '../../../../../../../schemas/dayNote';
import { saveDayNote } from '../../../../../../../use-cases/testingDay';
import { guarded, onlyAllows } from '../../../../../../doors';
import { keptOnce } from '../../../../../keptOnce';

/** Notes something of a testing day once: a plan, a call, who left. */
export const PUT = guarded(pathDayNote, (desk, { day, key }, request) =>
  keptOnce(desk, key, request, (json) => saveDayNote(desk, day, key, json)),
);

const other = onlyAllows('PUT');
export { other as DELETE, other as GET, other as HEAD, other as OPTIONS, other as PATCH, other as POST };
