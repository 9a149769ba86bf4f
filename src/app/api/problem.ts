import { tooMuch } from '../../schemas/measure';
import type { StorageFault } from '../../database/faults';
import type { FieldError } from '../../schemas/parse';

const titles: Readonly<Record<number, string>> = {
  400: 'Not JSON',
  403: 'Not from this machine',
  404: 'Nothing here',
  405: 'Method not allowed',
  408: 'Too slow',
  409: 'Conflict',
  413: 'Too large',
  415: 'Wrong kind of content',
  421: 'Another register',
  422: 'Some fields need another look',
  500: 'Something broke here',
  503: 'Busy',
  507: 'Cannot be kept',
};

/** An answer of RFC 9457 that says what happened and, for fields, where. */
export function problem(
  status: number,
  detail: string,
  more: {
    errors?: readonly FieldError[];
    headers?: Record<string, string>;
    members?: Readonly<Record<string, string>>;
  } = {},
): Response {
  const title = titles[status] ?? 'Problem';
  const type = `urn:ready-stool:problem:${title.toLowerCase().replace(/ /g, '-')}`;
  const body = { type, title, status, detail, ...more.members, ...(more.errors ? { errors: more.errors } : {}) };
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/problem+json', ...more.headers },
  });
}

const storage: Readonly<Record<StorageFault, readonly [status: number, detail: string]>> = {
  busy: [503, 'Another program holds the register at the moment. Nothing was changed: try again in a moment.'],
  full: [
    507,
    'The disk of this computer is full: nothing new can be kept. Free some space, then save again; results that wait in a browser are sent by themselves.',
  ],
  unwritable: [
    507,
    'The register cannot be written: the disk or the rights to the file are at fault. Nothing was changed; results that wait in a browser are sent once it can.',
  ],
  damaged: [
    500,
    'The register is damaged. Stop Ready Stool and take the newest good copy back: npm run restore -- FILE. Results that wait in a browser stay there.',
  ],
};

/** What is wrong with the file, and what to do. */
export function cannotKeep(fault: StorageFault, more: Readonly<Record<string, string>> = {}): Response {
  const [status, detail] = storage[fault];
  return problem(status, detail, { members: more });
}

export const invalidFields = (errors: readonly FieldError[]): Response =>
  problem(
    422,
    `${errors.length === 1 ? 'One field needs' : `${errors.length} fields need`} another look; nothing was kept.`,
    { errors },
  );

export const mostBytes = 5_000_000;
const longestBodyMs = 30_000;

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
  // Whoever sends drop by drop, or falls silent, keeps nobody waiting for ever.
  const given = new AbortController();
  const end = setTimeout(() => {
    given.abort();
    void reader?.cancel();
  }, longestBodyMs);
  for (let part = await reader?.read(); part && !part.done; part = await reader?.read()) {
    bytes += part.value.byteLength;
    if (bytes > mostBytes) {
      clearTimeout(end);
      await reader?.cancel();
      return { problem: problem(413, 'At most 5 MB in one request.') };
    }
    parts.push(part.value);
  }
  clearTimeout(end);
  if (given.signal.aborted) return { problem: problem(408, 'The body took over 30 seconds to come: send it again.') };
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
    const json = JSON.parse(read.text) as unknown;
    const excess = tooMuch(json);
    return excess === null ? { json } : { problem: problem(413, excess) };
  } catch (error) {
    return {
      problem: problem(400, `The body is not JSON: ${error instanceof Error ? error.message : String(error)}.`),
    };
  }
}
