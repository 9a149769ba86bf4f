/** Runs once when the server starts, before the first request. */
export async function register(): Promise<void> {
  if (process.env['NEXT_RUNTIME'] === 'nodejs') {
    const { openOrExit } = await import('./database/openOrExit');
    await openOrExit();
  }
}
