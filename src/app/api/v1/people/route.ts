import { askPeople, postPerson } from '../../../../use-cases/openApi';
import { guarded, noPath, onlyAllows } from '../../../doors';
import { invalidFields, problem, readJson } from '../../problem';

/** Lines of the register, found, filtered and sorted by what the address asks. */
export const GET = guarded(noPath, async (desk, _path, request) => {
  const answer = await askPeople(desk, new URL(request.url).searchParams);
  return answer.kind === 'answered' ? Response.json(answer.body) : invalidFields(answer.errors);
});

/** Adds a person; what is left out waits as "to complete". */
export const POST = guarded(noPath, async (desk, _path, request) => {
  const read = await readJson(request);
  if ('problem' in read) return read.problem;
  const saved = await postPerson(desk, read.json);
  switch (saved.kind) {
    case 'saved':
      return Response.json({ id: saved.id }, { status: 201, headers: { location: `/api/v1/people/${saved.id}` } });
    case 'double':
      return problem(
        409,
        `Perhaps in the register already: ${saved.doubles.map((d) => `${d.name}, born ${d.birthDate} (${d.id})`).join('; ')}. Send evenSo: true to add somebody else.`,
      );
    case 'conflict':
      return problem(409, `This externalId was sent before with other content (${saved.id}). Nothing was changed.`);
    case 'rejected':
      return invalidFields(saved.errors);
    case 'not-found':
    case 'changed':
      throw new RangeError(`POST people: adding somebody was answered with ${saved.kind}`);
  }
});

const other = onlyAllows('GET, POST');
export { other as DELETE, other as HEAD, other as OPTIONS, other as PATCH, other as PUT };
