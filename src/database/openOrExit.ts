import { theRegister } from './theRegister';

/** Opens the register at the start of the server; one that cannot be used ends it with one line and exit code 1. */
export async function openOrExit(): Promise<void> {
  try {
    await theRegister();
  } catch (error) {
    process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
    process.exit(1);
  }
}
