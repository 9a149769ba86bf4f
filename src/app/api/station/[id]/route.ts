import { pathId } from '../../../../schemas/door';
import { readRegisterId } from '../../../../use-cases/places';
import { readStationRecord } from '../../../../use-cases/station';
import { guarded, onlyAllows } from '../../../doors';
import { problem } from '../../problem';

/** For the station page alone: what was noted of somebody on any device, and which day it is, asked before each start. */
export const GET = guarded(pathId, async (desk, { id }) => {
  const record = await readStationRecord(desk, id);
  return record
    ? Response.json({ registerId: await readRegisterId(desk), today: desk.today(), record })
    : problem(404, 'Nobody in the register has this id.');
});

const other = onlyAllows('GET');
export { other as DELETE, other as HEAD, other as OPTIONS, other as PATCH, other as POST, other as PUT };
