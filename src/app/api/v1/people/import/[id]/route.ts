import { theRegister } from '../../../../../../database/theRegister';
import { undoRoster } from '../../../../../../use-cases/importRoster';
import { guarded, onlyAllows, problem } from '../../../../problem';

interface Context {
  params: Promise<{ id: string }>;
}

/** Undoes a whole import; people of whom something was noted since stay. */
export const DELETE = guarded<Context>(async (_request, { params }) => {
  const answer = await undoRoster(await theRegister(), (await params).id);
  return answer.kind === 'undone'
    ? Response.json(answer)
    : problem(404, 'There is no such import, or it was undone already.');
});

const other = onlyAllows('DELETE');
export { other as GET, other as HEAD, other as OPTIONS, other as PATCH, other as POST, other as PUT };
