import { pathDevice } from '../../../../../../schemas/device';
import { hearDevice } from '../../../../../../use-cases/devices';
import { guarded, onlyAllows } from '../../../../../doors';
import { invalidFields, readJson } from '../../../../problem';

/** What a device says, passed on to the pages that listen. */
export const POST = guarded(pathDevice, async (_desk, { id }, request) => {
  const read = await readJson(request);
  if ('problem' in read) return read.problem;
  const heard = hearDevice(id, read.json);
  if (heard.kind === 'rejected') return invalidFields(heard.errors);
  return Response.json({ device: id, fresh: heard.fresh, listening: heard.listening }, { status: 202 });
});

const other = onlyAllows('POST');
export { other as DELETE, other as GET, other as HEAD, other as OPTIONS, other as PATCH, other as PUT };
