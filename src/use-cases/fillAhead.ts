import { theRegister } from '../database/theRegister';
import { fillLines } from './everybody';
import { bringResultsUpToDate } from './saveAttempt';
import { today } from './today';

/** Before the first question: results that an earlier version derived are derived anew. */
export async function bringUpToDate(): Promise<void> {
  await bringResultsUpToDate(await theRegister());
}

/** Has the register ready before somebody looks: at the start, and when many people came at once. */
export async function fillAhead(): Promise<void> {
  try {
    const db = await theRegister();
    await fillLines(db, today());
  } catch (error) {
    // The next question does the same work and says what is wrong to whoever asked it.
    console.error('The lines of the register could not be worked out ahead:', error);
  }
}
