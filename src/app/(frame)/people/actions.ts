'use server';
import { revalidatePath } from 'next/cache';
import { theRegister } from '../../../database/theRegister';
import {
  endGroup,
  erasePerson,
  saveGroup,
  withPeople,
  type ErasePerson,
  type PeopleDeed,
  type SaveGroup,
} from '../../../use-cases/groups';
import { keepPrinted, type KeepPrinted } from '../../../use-cases/printedPages';
import { confirmLevels, type ConfirmLevels } from '../../../use-cases/readPeople';
import { enterSheet, type EnterSheet } from '../../../use-cases/enterSheet';
import { noteToday, type SaveEntry } from '../../../use-cases/saveEntry';
import { addPerson, addWalkIn, changePerson, type SavePerson } from '../../../use-cases/savePerson';
import { today } from '../../../use-cases/today';

/** @param id made when the form was opened, so that a form sent twice adds one person */
export async function saveNewPerson(form: unknown, id: string, { evenSo }: { evenSo: boolean }): Promise<SavePerson> {
  return addPerson(await theRegister(), form, today(), { id, evenSo });
}

export async function saveWalkIn(form: unknown, id: string, { evenSo }: { evenSo: boolean }): Promise<SavePerson> {
  return addWalkIn(await theRegister(), form, today(), { id, evenSo });
}

/** @param opened what the form showed when it was opened: what was changed elsewhere since is kept */
export async function savePerson(
  id: string,
  form: unknown,
  key: string,
  { opened }: { opened: unknown },
): Promise<SavePerson> {
  return changePerson(await theRegister(), id, form, today(), { key, opened });
}

export async function noteOfPerson(id: string, content: unknown, key: string): Promise<SaveEntry> {
  return noteToday(await theRegister(), id, content, today(), key);
}

/** @param seen the codes that stood on the screen */
export async function saveConfirmedLevel(id: string, seen: readonly string[]): Promise<ConfirmLevels> {
  return confirmLevels(await theRegister(), id, seen, today());
}

export async function saveSheet(form: unknown): Promise<EnterSheet> {
  return enterSheet(await theRegister(), form, today());
}

export async function doWithPeople(ids: readonly string[], deed: PeopleDeed): Promise<readonly string[]> {
  return withPeople(await theRegister(), ids, deed, today());
}

export async function saveTheGroup(id: string, form: unknown, opened: unknown): Promise<SaveGroup> {
  return saveGroup(await theRegister(), id, form, opened);
}

export async function endTheGroup(id: string): Promise<void> {
  await endGroup(await theRegister(), id);
  revalidatePath('/people/groups');
}

export async function setAside(id: string, aside: boolean): Promise<void> {
  await withPeople(await theRegister(), [id], { kind: aside ? 'archive' : 'restore' }, today());
}

export async function eraseForGood(id: string, typedName: string): Promise<ErasePerson> {
  return erasePerson(await theRegister(), id, typedName);
}

export async function keepPrintedPage(id: string, page: unknown): Promise<KeepPrinted> {
  return keepPrinted(await theRegister(), id, page, today(), new Date());
}
