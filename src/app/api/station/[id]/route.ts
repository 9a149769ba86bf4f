import { theRegister } from '../../../../database/theRegister';
import { readRegisterId } from '../../../../use-cases/places';
import { readStationRecord } from '../../../../use-cases/station';
import { today } from '../../../../use-cases/today';
import { guarded, onlyAllows, problem } from '../../problem';

interface Context {
  params: Promise<{ id: string }>;
}

/** For the station page alone: what was noted of somebody on any device, and which day it is, asked before each start. */
export const GET = guarded<Context>(async (_request, { params }) => {
  const db = await theRegister();
  const record = await readStationRecord(db, (await params).id);
  return record
    ? Response.json({ registerId: await readRegisterId(db), today: today(), record })
    : problem(404, 'Nobody in the register has this id.');
});

const other = onlyAllows('GET');
export { other as DELETE, other as HEAD, other as OPTIONS, other as PATCH, other as POST, other as PUT };
