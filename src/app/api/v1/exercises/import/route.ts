import { importOwn } from '../../../../../use-cases/ownExercises';
import { guarded, noPath, onlyAllows } from '../../../../doors';
import { invalidFields, readJson } from '../../../problem';

/** Takes in a file of movements, all or nothing. */
export const POST = guarded(noPath, async (desk, _path, request) => {
  const read = await readJson(request);
  if ('problem' in read) return read.problem;
  const answer = await importOwn(desk, read.json);
  return answer.kind === 'taken' ? Response.json(answer, { status: 201 }) : invalidFields(answer.errors);
});

const other = onlyAllows('POST');
export { other as DELETE, other as GET, other as HEAD, other as OPTIONS, other as PATCH, other as PUT };
