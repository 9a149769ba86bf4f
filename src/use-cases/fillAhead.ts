import { fillLines } from './everybody';
import { bringResultsUpToDate } from './saveAttempt';
import { theDesk } from './desk';

/** Before the first question: results that an earlier version derived are derived anew. */
export async function bringUpToDate(): Promise<void> {
  await bringResultsUpToDate(await theDesk());
}

/** Has the register ready before somebody looks: at the start, and when many people came at once. */
export async function fillAhead(): Promise<void> {
  try {
    await fillLines(await theDesk());
  } catch (error) {
    // The next question does the same work and says what is wrong to whoever asked it.
    console.error('The lines of the register could not be worked out ahead:', error);
  }
}
