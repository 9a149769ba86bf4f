import { theRegister } from '../../../../../database/theRegister';
import { describePerson } from '../../../../../use-cases/openApi';
import { today } from '../../../../../use-cases/today';
import { guarded, onlyAllows, problem } from '../../../problem';

interface Context {
  params: Promise<{ id: string }>;
}

/** One person: who, what is known today, results and levels. */
export const GET = guarded<Context>(async (_request, { params }) => {
  const body = await describePerson(await theRegister(), (await params).id, today());
  return body ? Response.json(body) : problem(404, 'Nobody in the register has this id.');
});

const other = onlyAllows('GET');
export { other as DELETE, other as HEAD, other as OPTIONS, other as PATCH, other as POST, other as PUT };
