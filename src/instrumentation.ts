/** Runs once when the server starts, before the first request. */
export async function register(): Promise<void> {
  if (process.env['NEXT_RUNTIME'] === 'nodejs') {
    const { openOrExit } = await import('./database/openOrExit');
    const { pretendedToday } = await import('./use-cases/today');
    await openOrExit(pretendedToday);
    const { bringUpToDate, keepAhead } = await import('./use-cases/fillAhead');
    await bringUpToDate();
    // Not waited for: the server answers meanwhile, and a question that comes first waits for its lines only.
    keepAhead();
  }
}
