import { guarded, noPath } from '../../doors';
import { problem } from '../problem';

const nothing = guarded(noPath, (_desk, _path, request) =>
  Promise.resolve(problem(404, `There is nothing at ${new URL(request.url).pathname}.`)),
);
export {
  nothing as DELETE,
  nothing as GET,
  nothing as HEAD,
  nothing as OPTIONS,
  nothing as PATCH,
  nothing as POST,
  nothing as PUT,
};
