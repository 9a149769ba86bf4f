import { linesNow } from './lines';
import { bringResultsUpToDate } from './saveAttempt';
import { theDesk } from './desk';

/** Before the first question: results that an earlier version derived are derived anew. */
export async function bringUpToDate(): Promise<void> {
  await bringResultsUpToDate(await theDesk());
}

/** So often it is looked whether a day has begun or the hall has changed, ahead of the first question. */
const lookEveryMs = 15_000;

/** Has the register ready before somebody looks: from the start on, after each midnight and whatever else changed much. */
export function keepAhead(): void {
  void fillAhead();
  setInterval(() => void fillAhead(), lookEveryMs).unref();
}

/** The same at once, such as when many people came. */
export async function fillAhead(): Promise<void> {
  try {
    await linesNow(await theDesk());
  } catch (error) {
    // The next question does the same work and says what is wrong to whoever asked it.
    console.error('The lines of the register could not be worked out ahead:', error);
  }
}
