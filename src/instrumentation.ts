/** Opens the register before the first request, so that a file that cannot be used stops the start with one line. */
export async function register(): Promise<void> {
  if (process.env['NEXT_RUNTIME'] !== 'nodejs') return;
  const { theRegister } = await import('./database/theRegister');
  try {
    await theRegister();
  } catch (error) {
    process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
    process.exit(1);
  }
}
