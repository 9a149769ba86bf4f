import { pathId } from '../../../../../schemas/door';
import { describePerson } from '../../../../../use-cases/openApi';
import { guarded, onlyAllows } from '../../../../doors';
import { problem } from '../../../problem';

/** One person: who, what is known today, results and levels. */
export const GET = guarded(pathId, async (desk, { id }) => {
  const body = await describePerson(desk, id);
  return body ? Response.json(body) : problem(404, 'Nobody in the register has this id.');
});

const other = onlyAllows('GET');
export { other as DELETE, other as HEAD, other as OPTIONS, other as PATCH, other as POST, other as PUT };
