import type { FieldError } from '../../schemas/parse';
import { theRegister } from '../../database/theRegister';
import { isOwnHost } from '../../use-cases/ownHost';
import { readRegisterId } from '../../use-cases/places';

const titles: Readonly<Record<number, string>> = {
  400: 'Not JSON',
  403: 'Not from this machine',
  404: 'Nothing here',
  405: 'Method not allowed',
  409: 'Conflict',
  413: 'Too large',
  415: 'Wrong kind of content',
  421: 'Another register',
  422: 'Some fields need another look',
  500: 'Something broke here',
};

/** An answer of RFC 9457 that says what happened and, for fields, where. */
export function problem(
  status: number,
  detail: string,
  more: { errors?: readonly FieldError[]; headers?: Record<string, string> } = {},
): Response {
  const title = titles[status] ?? 'Problem';
  const type = `urn:ready-stool:problem:${title.toLowerCase().replace(/ /g, '-')}`;
  const body = { type, title, status, detail, ...(more.errors ? { errors: more.errors } : {}) };
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/problem+json', ...more.headers },
  });
}

export const invalidFields = (errors: readonly FieldError[]): Response =>
  problem(
    422,
    `${errors.length === 1 ? 'One field needs' : `${errors.length} fields need`} another look; nothing was kept.`,
    { errors },
  );

export const mostBytes = 5_000_000;

/** The body as text of the wanted kind, or the problem with it. Bytes are counted while reading. */
export async function readBody(
  request: Request,
  wanted: RegExp,
  name: string,
): Promise<{ text: string } | { problem: Response }> {
  const type = request.headers.get('content-type') ?? '';
  if (!wanted.test(type))
    return {
      problem: problem(415, `Send ${name}, not ${type === '' ? 'a body without a content type' : type}.`),
    };
  const parts: Uint8Array[] = [];
  let bytes = 0;
  const reader = request.body?.getReader();
  for (let part = await reader?.read(); part && !part.done; part = await reader?.read()) {
    bytes += part.value.byteLength;
    if (bytes > mostBytes) {
      await reader?.cancel();
      return { problem: problem(413, 'At most 5 MB in one request.') };
    }
    parts.push(part.value);
  }
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(Buffer.concat(parts)) };
  } catch {
    return { problem: problem(400, 'The body is not text in UTF-8: save the file as UTF-8 and send it again.') };
  }
}

/** The body as JSON, or the problem with it. */
export async function readJson(request: Request): Promise<{ json: unknown } | { problem: Response }> {
  const read = await readBody(request, /^application\/json\s*(;|$)/i, 'application/json');
  if ('problem' in read) return read;
  try {
    return { json: JSON.parse(read.text) as unknown };
  } catch (error) {
    return {
      problem: problem(400, `The body is not JSON: ${error instanceof Error ? error.message : String(error)}.`),
    };
  }
}

/** Until there is sign-in only this machine may ask, and no page of another site. */
export function refuseForeign(request: Request): Response | null {
  const host = request.headers.get('host') ?? '';
  if (!isOwnHost(host)) return problem(403, `Requests for the host ${host || '(none)'} are refused.`);
  const origin = request.headers.get('origin');
  if (origin !== null && origin !== `http://${host}`) return problem(403, `Requests from ${origin} are refused.`);
  return null;
}

type Handler<C> = (request: Request, context: C) => Promise<Response>;

/** Names the register in a request, where the sender kept something for one, and in every answer. */
export const registerHeader = 'register-id';

/**
 * A handler behind the check of who asks and of which register is meant; what breaks is told as a problem too. Every
 * answer names the register, so that one of another program at this address is never taken for ours.
 */
export function guarded<C>(handler: Handler<C>): Handler<C> {
  return async (request, context) => {
    try {
      const foreign = refuseForeign(request);
      if (foreign) return foreign;
      const own = await readRegisterId(await theRegister());
      const meant = request.headers.get(registerHeader);
      const answer =
        meant !== null && meant !== own
          ? problem(421, 'This was kept for another register than the one open here. Nothing was changed.')
          : await handler(request, context);
      answer.headers.set(registerHeader, own);
      return answer;
    } catch (error) {
      console.error(error);
      return problem(500, 'This request could not be answered. Nothing was half-written; it can be sent again.');
    }
  };
}

/** The other methods of a path. */
export function onlyAllows(allowed: string): Handler<unknown> {
  return guarded<unknown>((request) =>
    Promise.resolve(
      problem(405, `${request.method} is not possible here; ${allowed} is.`, { headers: { allow: allowed } }),
    ),
  );
}
