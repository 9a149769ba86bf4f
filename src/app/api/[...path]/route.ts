import { guarded, problem } from '../problem';

const nothing = guarded((request) =>
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
