'use client';
import { useRef, useState } from 'react';
import type { PlanAsked, TemplateListed } from '../../core/shapes/classPlan';
import { newClientKey } from '../test/bench/store';
import { Button } from '../touch/button';
import { TextBox } from '../touch/field';
import { useOneAtATime } from '../touch/useOneAtATime';

export type KeepOwn = (
  key: string,
  sent: object,
) => Promise<
  | { readonly kind: 'kept'; readonly templates: readonly TemplateListed[]; readonly id: string }
  | { readonly kind: 'rejected'; readonly errors: readonly { readonly message: string }[] }
>;

/** A plan is kept as a class to plan from again; one of our own is put aside. */
export function OwnTemplates({
  asked,
  template,
  minutesPlanned,
  keep,
  drop,
  changed,
}: {
  asked: PlanAsked;
  template: TemplateListed | undefined;
  minutesPlanned: number;
  keep: KeepOwn;
  drop: (id: string) => Promise<readonly TemplateListed[]>;
  /** What there is by now, and which of them was just kept. */
  changed: (templates: readonly TemplateListed[], kept: string | null) => void;
}) {
  const [naming, setNaming] = useState(false);
  const [title, setTitle] = useState('');
  const [told, setTold] = useState('');
  const tried = useRef({ words: '', key: '' });
  const away = 'The server did not answer. Press again; nothing is kept twice.';
  const put = useOneAtATime(async () => {
    const from = template?.own ? (asked.blocks[0]?.of.split('/')[0] ?? '') : asked.template;
    const minutes = Math.min(120, Math.max(10, Math.ceil(minutesPlanned)));
    const sent = { title: title.trim(), minutes, from, blocks: asked.blocks };
    const words = JSON.stringify(sent);
    if (tried.current.words !== words) tried.current = { words, key: newClientKey() };
    const said = await keep(tried.current.key, sent).catch(() => null);
    if (said?.kind === 'kept') {
      setNaming(false);
      setTitle('');
      setTold(`Kept: ${sent.title}.`);
      changed(said.templates, said.id);
    } else setTold(said ? said.errors.map((e) => e.message).join(' ') : away);
    return true;
  });
  const aside = useOneAtATime(async () => {
    const said = template ? await drop(template.id).catch(() => null) : null;
    if (said) changed(said, null);
    setTold(said && template ? `${template.title} is offered no more.` : away);
    return true;
  });
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
      {naming ? (
        <form
          className="flex flex-wrap items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            put();
          }}
        >
          <label className="font-semibold">
            Its name
            <TextBox
              autoFocus
              className="mt-1 block w-64 max-w-full"
              maxLength={60}
              value={title}
              onChange={(e) => setTitle(e.target.value)}
            />
          </label>
          <Button type="submit">Keep it</Button>
          <Button look="plain" onClick={() => setNaming(false)}>
            No
          </Button>
        </form>
      ) : (
        <Button look="plain" onClick={() => setNaming(true)}>
          Keep these blocks as a class of ours
        </Button>
      )}
      {template?.own === true && !naming && (
        <Button look="plain" onClick={() => aside()}>
          Put {template.title} aside
        </Button>
      )}
      <p role="status">{told}</p>
    </div>
  );
}
