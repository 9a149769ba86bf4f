import { notFound, redirect } from 'next/navigation';
import type { PersonView } from '../../../../core/view/personView';
import { readPerson, Unreadable } from '../../../../use-cases/readPeople';
import { theDesk } from '../../../../use-cases/desk';

export interface PersonParams {
  readonly params: Promise<{ id: string }>;
}

/**
 * The person named in the address, or the page that says there is none. A record that cannot be worked out leads to
 * its intake, where it is put right.
 */
export async function thePerson({ params }: PersonParams): Promise<PersonView> {
  const { id } = await params;
  const view = await readPerson(await theDesk(), id).catch((error: unknown) => {
    if (error instanceof Unreadable) return 'unreadable' as const;
    throw error;
  });
  if (view === 'unreadable') redirect(`/people/${id}/intake?look=again`);
  return view ?? notFound();
}
