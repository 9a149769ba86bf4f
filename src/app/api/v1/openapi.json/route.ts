import { apiDescription } from '../../../../use-cases/apiDescription';
import { guarded, noPath, onlyAllows } from '../../../doors';

export const GET = guarded(noPath, () => Promise.resolve(Response.json(apiDescription())));

const other = onlyAllows('GET');
export { other as DELETE, other as HEAD, other as OPTIONS, other as PATCH, other as POST, other as PUT };
