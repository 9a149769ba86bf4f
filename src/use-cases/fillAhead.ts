import { theRegister } from '../database/theRegister';
import { fillLines } from './everybody';
import { today } from './today';

/** Has the register ready before somebody looks: at the start, and when many people came at once. */
export async function fillAhead(): Promise<void> {
  try {
    await fillLines(await theRegister(), today());
  } catch (error) {
    // The next question does the same work and says what is wrong to whoever asked it.
    console.error('The lines of the register could not be worked out ahead:', error);
  }
}
