import { theRegister } from '../../../../database/theRegister';
import { askPeople, postPerson } from '../../../../use-cases/openApi';
import { today } from '../../../../use-cases/today';
import { guarded, invalidFields, onlyAllows, problem, readJson } from '../../problem';

/** Lines of the register, found, filtered and sorted by what the address asks. */
export const GET = guarded(async (request) => {
  const answer = await askPeople(await theRegister(), new URL(request.url).searchParams, today());
  return answer.kind === 'answered' ? Response.json(answer.body) : invalidFields(answer.errors);
});

/** Adds a person; what is left out waits as "to complete". */
export const POST = guarded(async (request) => {
  const read = await readJson(request);
  if ('problem' in read) return read.problem;
  const saved = await postPerson(await theRegister(), read.json, today());
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
