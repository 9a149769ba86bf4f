import { fillAhead } from '../../../../../use-cases/fillAhead';
import { importPeople } from '../../../../../use-cases/openApi';
import { guarded, noPath, onlyAllows } from '../../../../doors';
import { invalidFields, problem, readBody } from '../../../problem';

/** A roster as CSV: looked at with `dry=true`, else its good rows are taken in one transaction. */
export const POST = guarded(noPath, async (desk, _path, request) => {
  const read = await readBody(request, /^text\/(csv|plain)\s*(;|$)/i, 'text/csv');
  if ('problem' in read) return read.problem;
  const answer = await importPeople(desk, new URL(request.url).searchParams, read.text);
  switch (answer.kind) {
    case 'preview':
      return Response.json(answer.preview);
    case 'taken':
      void fillAhead();
      return Response.json(answer, { status: 201 });
    case 'refused':
      return problem(422, `${answer.preview.stop ?? 'This file cannot be taken.'} Nothing was taken.`);
    case 'conflict':
      return problem(409, answer.why);
    case 'rejected':
      return invalidFields(answer.errors);
  }
});

const other = onlyAllows('POST');
export { other as DELETE, other as GET, other as HEAD, other as OPTIONS, other as PATCH, other as PUT };
