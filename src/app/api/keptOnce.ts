import type { FieldError } from '../../schemas/parse';
import type { Desk } from '../../use-cases/desk';
import { readRegisterId } from '../../use-cases/places';
import { invalidFields, problem, readJson } from './problem';

type Saved =
  | { readonly kind: 'created' | 'known' | 'conflict' }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

/** Keeps what was sent once under its own key: 201 first, 200 after, 409 for other content, and says what is wrong with it. */
export async function keptOnce(
  desk: Desk,
  key: string,
  request: Request,
  save: (json: unknown) => Promise<Saved>,
): Promise<Response> {
  const read = await readJson(request);
  if ('problem' in read) return read.problem;
  const saved = await save(read.json);
  switch (saved.kind) {
    case 'created':
    case 'known':
      return Response.json(
        { id: key, registerId: await readRegisterId(desk) },
        { status: saved.kind === 'created' ? 201 : 200 },
      );
    case 'conflict':
      return problem(409, 'This key was noted with other content. Nothing was changed.');
    case 'rejected':
      return invalidFields(saved.errors);
  }
}
