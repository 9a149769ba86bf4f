'use server';
import { theRegister } from '../../../database/theRegister';
import { addPerson, changePerson, type SavePerson } from '../../../use-cases/addPerson';
import { confirmLevel, type ConfirmLevel } from '../../../use-cases/readPeople';
import { enterPaperResult, type SaveAttempt } from '../../../use-cases/saveAttempt';
import { today } from '../../../use-cases/today';

export async function savePerson(id: string | null, form: unknown): Promise<SavePerson> {
  const db = await theRegister();
  return id === null ? addPerson(db, form, today()) : changePerson(db, id, form, today());
}

export async function saveConfirmedLevel(id: string): Promise<ConfirmLevel> {
  return confirmLevel(await theRegister(), id, today());
}

export async function savePaperResult(id: string, form: unknown): Promise<SaveAttempt> {
  return enterPaperResult(await theRegister(), id, form, today());
}
