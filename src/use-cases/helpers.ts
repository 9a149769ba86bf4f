import type { Helper } from '../core/shapes/helper';
import { addHelper, listHelpers, removeHelper, sayMayDo } from '../database/helpers';
import { helperForm, type HelperDeed } from '../schemas/helper';
import { parse, type FieldError } from '../schemas/parse';
import { together, type Desk } from './desk';

export const readHelpers = (desk: Desk): Promise<Helper[]> => listHelpers(desk.db);

export type SaveHelper =
  | { readonly kind: 'saved'; readonly helpers: readonly Helper[] }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

const most = 40;

export async function noteHelper(desk: Desk, input: unknown): Promise<SaveHelper> {
  const parsed = parse(helperForm, input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const { name } = parsed.value;
  return together(desk, async (trx): Promise<SaveHelper> => {
    const known = await readHelpers(trx);
    const message = known.some((h) => h.name === name)
      ? `${name} is on the list already.`
      : known.length >= most
        ? `At most ${most} helpers. Take off who helps no more.`
        : null;
    if (message !== null) return { kind: 'rejected', errors: [{ path: '/name', message }] };
    await addHelper(trx.db, crypto.randomUUID(), name);
    return { kind: 'saved', helpers: await readHelpers(trx) };
  });
}

/** Says that a helper may do something from today on, on whose word, or no more; said again it keeps its first day. */
export async function tellOfHelper(desk: Desk, { id, task, may, gone }: HelperDeed): Promise<readonly Helper[]> {
  return together(desk, async (trx) => {
    const helper = (await readHelpers(trx)).find((h) => h.id === id);
    if (gone === true) await removeHelper(trx.db, id);
    else if (helper && task && (helper.may[task] !== null) !== (may === true))
      await sayMayDo(trx.db, id, task, may === true ? { day: desk.today(), by: desk.who } : null);
    return readHelpers(trx);
  });
}
