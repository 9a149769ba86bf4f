import { notFound } from 'next/navigation';
import type { PersonView } from '../../../../core/personView';
import { theRegister } from '../../../../database/theRegister';
import { readPerson } from '../../../../use-cases/readPeople';
import { today } from '../../../../use-cases/today';

export interface PersonParams {
  readonly params: Promise<{ id: string }>;
}

/** The person named in the address, or the page that says there is none. */
export async function thePerson({ params }: PersonParams): Promise<PersonView> {
  const { id } = await params;
  return (await readPerson(await theRegister(), id, today())) ?? notFound();
}
