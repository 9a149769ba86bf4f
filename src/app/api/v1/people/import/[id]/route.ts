import { pathId } from '../../../../../../schemas/door';
import { undoRoster } from '../../../../../../use-cases/importRoster';
import { guarded, onlyAllows } from '../../../../../doors';
import { problem } from '../../../../problem';

/** Undoes a whole import; people of whom something was noted since stay. */
export const DELETE = guarded(pathId, async (desk, { id }) => {
  const answer = await undoRoster(desk, id);
  return answer.kind === 'undone'
    ? Response.json(answer)
    : problem(404, 'There is no such import, or it was undone already.');
});

const other = onlyAllows('DELETE');
export { other as GET, other as HEAD, other as OPTIONS, other as PATCH, other as POST, other as PUT };
