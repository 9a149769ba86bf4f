import { revalidatePath } from 'next/cache';
import { headers } from 'next/headers';
import { notFound } from 'next/navigation';
import { mixed, type InferType, type Schema } from 'yup';
import { storageFault } from '../database/faults';
import type { args } from '../schemas/door';
import { tooMuch } from '../schemas/measure';
import { parse } from '../schemas/parse';
import { theDesk, type Desk } from '../use-cases/desk';
import { isOwnHost } from '../use-cases/ownHost';
import { readRegisterId } from '../use-cases/places';
import { cannotKeep, invalidFields, problem } from './api/problem';

/**
 * The only two ways in: `action` for what a screen of ours does, `guarded` for what is asked over HTTP. Both look
 * at who asks, parse what is asked, and hand a desk to the use case.
 */

/** Why a request may not be answered: until there is sign-in only this machine may ask, and no page of another site. */
function foreign(sent: Pick<Headers, 'get'>): string | null {
  const [host, origin] = [sent.get('host'), sent.get('origin')];
  if (!isOwnHost(host ?? '')) return `Requests for the host ${host ?? '(none)'} are refused.`;
  // A browser says so itself, also where it names no origin.
  if (sent.get('sec-fetch-site') === 'cross-site') return 'Requests from a page of another site are refused.';
  return origin === null || origin === `http://${host ?? ''}` ? null : `Requests from ${origin} are refused.`;
}

/**
 * A server action. One that is called by a page of somebody else, or with arguments no page of ours sends, finds
 * nothing here: forms are parsed field by field in their use case, and told so.
 * @param schema of the list of arguments
 * @param fresh pages that show what it changes and are not drawn by the screen that called it
 */
export function action<A extends [unknown, ...unknown[]], R>(
  schema: ReturnType<typeof args<A>>,
  useCase: (desk: Desk, ...args: A) => Promise<R>,
  fresh: readonly (readonly [path: string, what?: 'layout' | 'page'])[] = [],
): (...args: A) => Promise<R> {
  return async (...args) => {
    const sent = await headers();
    if (foreign(sent) !== null) notFound();
    const parsed = tooMuch(args) === null ? parse(schema, args) : ({ kind: 'bad', errors: [] } as const);
    if (parsed.kind === 'bad') {
      console.error('An action was called with other arguments than ours:', parsed.errors);
      notFound();
    }
    const answer = await useCase(await theDesk(), ...parsed.value);
    for (const [path, what] of fresh) revalidatePath(path, what);
    return answer;
  };
}

/** Names the register in a request, where the sender kept something for one, and in every answer. */
const registerHeader = 'register-id';

/** Nobody on the way keeps it, no browser guesses what it is, and no page of another site takes it in. */
function closed(answer: Response): Response {
  if (!answer.headers.has('cache-control')) answer.headers.set('cache-control', 'no-store');
  answer.headers.set('x-content-type-options', 'nosniff');
  answer.headers.set('cross-origin-resource-policy', 'same-origin');
  return answer;
}

interface Context {
  readonly params: Promise<unknown>;
}

/**
 * A handler of a request. Every answer names the register, so that one of another program at this address is never
 * taken for ours; what breaks is told as a problem too.
 * @param schema of what stands in the path
 */
export function guarded<S extends Schema>(
  schema: S,
  useCase: (desk: Desk, path: InferType<S>, request: Request) => Promise<Response>,
): (request: Request, context: Context) => Promise<Response> {
  return async (request, { params }) => {
    try {
      const why = foreign(request.headers);
      if (why !== null) return closed(problem(403, why));
      const desk = await theDesk();
      const own = await readRegisterId(desk);
      const meant = request.headers.get(registerHeader);
      const path = parse(schema, await params);
      const answer =
        meant !== null && meant !== own
          ? problem(421, 'This was kept for another register than the one open here. Nothing was changed.')
          : path.kind === 'bad'
            ? invalidFields(path.errors)
            : await useCase(desk, path.value, request);
      answer.headers.set(registerHeader, own);
      return closed(answer);
    } catch (error) {
      console.error(error);
      const fault = storageFault(error);
      if (fault) return closed(cannotKeep(fault));
      return closed(
        problem(500, 'This request could not be answered. Nothing was half-written; it can be sent again.'),
      );
    }
  };
}

/** For a path without a part of its own. */
export const noPath = mixed();

/** The other methods of a path. */
export function onlyAllows(allowed: string): ReturnType<typeof guarded> {
  return guarded(noPath, (_desk, _path, request) =>
    Promise.resolve(
      problem(405, `${request.method} is not possible here; ${allowed} is.`, { headers: { allow: allowed } }),
    ),
  );
}
