/**
 * Words that events were stored under before, as they are now. A browser may have waited since then to send what it
 * kept, so they are taken for ever: `hold` was the emergency, and what the page marked by itself was by a `device`, as
 * was a reader’s click. A real device says its `boot`.
 */
export function inNewWords(event: unknown): unknown {
  if (typeof event !== 'object' || event === null || Array.isArray(event)) return event;
  const told = event as Readonly<Record<string, unknown>>;
  const kind = told['kind'] === 'hold' ? 'halt' : told['kind'];
  const byItself = kind === 'end' || kind === 'gap';
  const by = told['by'] === 'device' && told['boot'] === undefined ? (byItself ? 'page' : 'key') : told['by'];
  return kind === told['kind'] && by === told['by'] ? event : { ...told, kind, by };
}
