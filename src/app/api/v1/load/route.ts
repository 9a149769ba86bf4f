import { askSetUp } from '../../../../use-cases/askSetUp';
import { guarded, noPath, onlyAllows } from '../../../doors';
import { invalidFields, readJson } from '../../problem';

export const POST = guarded(noPath, async (_desk, _path, request) => {
  const read = await readJson(request);
  if ('problem' in read) return read.problem;
  const answer = askSetUp(read.json);
  return answer.kind === 'answered' ? Response.json(answer.body) : invalidFields(answer.errors);
});

const other = onlyAllows('POST');
export { other as DELETE, other as GET, other as HEAD, other as OPTIONS, other as PATCH, other as PUT };
