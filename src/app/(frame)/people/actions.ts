'use server';
import { theRegister } from '../../../database/theRegister';
import { addPerson, changePerson, type SavePerson } from '../../../use-cases/addPerson';
import { confirmLevel, type ConfirmLevel } from '../../../use-cases/readPeople';
import { enterPaperResult, type SaveAttempt } from '../../../use-cases/saveAttempt';
import { today } from '../../../use-cases/today';

/** @param id made when the form was opened, so that a form sent twice adds one person */
export async function saveNewPerson(form: unknown, id: string): Promise<SavePerson> {
  return addPerson(await theRegister(), form, today(), { id });
}

export async function savePerson(id: string, form: unknown): Promise<SavePerson> {
  return changePerson(await theRegister(), id, form, today());
}

export async function saveConfirmedLevel(id: string): Promise<ConfirmLevel> {
  return confirmLevel(await theRegister(), id, today());
}

export async function savePaperResult(id: string, form: unknown, key: string): Promise<SaveAttempt> {
  return enterPaperResult(await theRegister(), id, form, today(), key);
}
