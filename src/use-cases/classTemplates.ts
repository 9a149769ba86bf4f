import { classTemplates } from '../catalogue/classes';
import { askedOf, blockBook } from '../core/train/lay';
import type { OwnTemplate, TemplateListed } from '../core/shapes/classPlan';
import { addTemplate, listTemplates, putTemplateAside } from '../database/classTemplates';
import { ownTemplateBody } from '../schemas/classPlan';
import { parse, type FieldError } from '../schemas/parse';
import { together, type Desk } from './desk';

/** The blocks there are, by the name they are asked for. */
export const theBlocks = blockBook(classTemplates);

/** Those of the hall first. A block that ships no more is left out of them. */
export async function readTemplates(desk: Desk): Promise<TemplateListed[]> {
  const own = (await listTemplates(desk.db)).map(({ id, title, minutes, from, blocks }): TemplateListed => {
    const made = classTemplates.find((t) => t.id === from)?.title;
    const says = made ? `Of our own, made from ${made}.` : 'Of our own.';
    return { id, title, says, minutes, own: true, blocks: blocks.filter((b) => theBlocks.has(b.of)) };
  });
  const shipped = classTemplates.map((t) => ({
    ...{ id: t.id, title: t.title, says: t.says, minutes: t.minutes, own: false, blocks: askedOf(t) },
  }));
  return [...own, ...shipped];
}

const mostOwn = 40;

export type KeepTemplate =
  | { readonly kind: 'kept'; readonly templates: readonly TemplateListed[]; readonly id: string }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

/** Keeps a plan as a class to plan from again, under a name nobody else has. @param key made when it was pressed */
export async function keepTemplate(desk: Desk, key: string, sent: unknown): Promise<KeepTemplate> {
  const parsed = parse(
    ownTemplateBody(
      classTemplates.map((t) => t.id),
      [...theBlocks.keys()],
    ),
    sent,
  );
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const template: OwnTemplate = { ...parsed.value, id: `own-${key}` };
  return together(desk, async (trx): Promise<KeepTemplate> => {
    const known = await readTemplates(trx);
    const message = known.some((t) => t.title === template.title && t.id !== template.id)
      ? `There is a class called ${template.title} already: another name.`
      : known.filter((t) => t.own).length >= mostOwn
        ? `At most ${mostOwn} of our own: put one aside first.`
        : null;
    if (message !== null) return { kind: 'rejected', errors: [{ path: '/title', message }] };
    await addTemplate(trx.db, template, desk.now().toISOString(), desk.who);
    return { kind: 'kept', id: template.id, templates: await readTemplates(trx) };
  });
}

/** One of the hall’s own is offered no more; plans made from it stay as they are. */
export async function dropTemplate(desk: Desk, id: string): Promise<readonly TemplateListed[]> {
  await putTemplateAside(desk.db, id, desk.now().toISOString());
  return readTemplates(desk);
}
