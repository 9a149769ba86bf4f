import { exportOwn } from '../../../../use-cases/ownExercises';
import { guarded, noPath, onlyAllows } from '../../../doors';

/** The movements of the hall's own, as a file to take elsewhere. */
export const GET = guarded(noPath, async (desk) =>
  Response.json(await exportOwn(desk), {
    headers: { 'content-disposition': 'attachment; filename="own-exercises.json"' },
  }),
);

const other = onlyAllows('GET');
export { other as DELETE, other as HEAD, other as OPTIONS, other as PATCH, other as POST, other as PUT };
