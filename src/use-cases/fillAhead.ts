import { linesNow } from './lines';
import { copyOfTheDay } from './copies';
import { bringResultsUpToDate } from './saveAttempt';
import { theDesk } from './desk';

/** Before the first question: results that an earlier version derived are derived anew. */
export async function bringUpToDate(): Promise<void> {
  await bringResultsUpToDate(await theDesk());
}

/** So often it is looked whether a day has begun or the hall has changed, ahead of the first question. */
const lookEveryMs = 15_000;

/**
 * What is done before somebody asks for it, from the start on and after each midnight: the register is read, and copied
 * once a day.
 */
export function keepAhead(): void {
  const round = async (): Promise<void> => {
    await copyAhead();
    await fillAhead();
  };
  void round();
  setInterval(() => void round(), lookEveryMs).unref();
}

async function copyAhead(): Promise<void> {
  try {
    await copyOfTheDay(await theDesk());
  } catch (error) {
    // Tried again at the next look; a copy that is missing for a week is told of on Today.
    console.error(error instanceof Error ? error.message : error);
  }
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
