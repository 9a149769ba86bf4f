import { pathDayNote } from '../../../../../../../schemas/dayNote';
import { readRegisterId } from '../../../../../../../use-cases/places';
import { saveDayNote } from '../../../../../../../use-cases/testingDay';
import { guarded, onlyAllows } from '../../../../../../doors';
import { invalidFields, problem, readJson } from '../../../../../problem';

/** Notes something of a testing day once: a plan, a call, who left. */
export const PUT = guarded(pathDayNote, async (desk, { day, key }, request) => {
  const read = await readJson(request);
  if ('problem' in read) return read.problem;
  const saved = await saveDayNote(desk, day, key, read.json);
  switch (saved.kind) {
    case 'created':
    case 'known':
      return Response.json(
        { id: key, registerId: await readRegisterId(desk) },
        { status: saved.kind === 'created' ? 201 : 200 },
      );
    case 'conflict':
      return problem(409, 'This key was noted with other content. Nothing was changed.');
    case 'rejected':
      return invalidFields(saved.errors);
  }
});

const other = onlyAllows('PUT');
export { other as DELETE, other as GET, other as HEAD, other as OPTIONS, other as PATCH, other as POST };
