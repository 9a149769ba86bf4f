import { theRegister } from './theRegister';

/**
 * Opens the register at the start of the server; one that cannot be used, or anything else that the start was given
 * wrongly, ends it with one line and exit code 1.
 * @param given looks at what else was given, and throws what is wrong with it
 */
export async function openOrExit(given: () => unknown): Promise<void> {
  try {
    given();
    await theRegister();
  } catch (error) {
    process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
    process.exit(1);
  }
}
