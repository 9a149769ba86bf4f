'use server';
import { theRegister } from '../../../database/theRegister';
import { changeNorms, type ChangeNorms } from '../../../use-cases/norms';

/**
 * @param id made when the form was sent first, so that a form sent twice is one change
 * @param seen the newest change when the form was opened
 */
export async function saveNorms(test: string, id: string, form: unknown, seen: string | null): Promise<ChangeNorms> {
  return changeNorms(await theRegister(), test, id, form, new Date(), seen);
}
