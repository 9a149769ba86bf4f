import { pathId } from '../../../../../schemas/door';
import { readRegisterId } from '../../../../../use-cases/places';
import { readOpened } from '../../../../../use-cases/station';
import { guarded, onlyAllows } from '../../../../doors';
import { problem } from '../../../problem';

/** For the station page alone: what a result opens, once it is in the register. */
export const GET = guarded(pathId, async (desk, { id }, request) => {
  const opened = await readOpened(desk, id, new URL(request.url).searchParams.get('attempt') ?? '');
  return opened
    ? Response.json({ registerId: await readRegisterId(desk), ...opened })
    : problem(404, 'Nobody in the register has this id.');
});

const other = onlyAllows('GET');
export { other as DELETE, other as HEAD, other as OPTIONS, other as PATCH, other as POST, other as PUT };
