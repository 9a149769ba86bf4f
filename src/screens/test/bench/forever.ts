/**
 * Does a round again and again, a pause between; whatever goes wrong in one, the next one comes.
 * @param failed told of a round that broke off
 * @returns ends it: no round begins after that
 */
export function forever(round: () => Promise<void>, everyMs: number, failed: (error: unknown) => void): () => void {
  let live = true;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const go = async () => {
    await round().catch(failed);
    if (live) timer = setTimeout(() => void go(), everyMs);
  };
  void go();
  return () => {
    live = false;
    clearTimeout(timer);
  };
}
