import type { Metadata } from 'next';
import { revalidatePath } from 'next/cache';
import { theRegister } from '../../../../database/theRegister';
import { CupboardScreen } from '../../../../screens/library/cupboard';
import { changePlace, readPlace } from '../../../../use-cases/places';

export const metadata: Metadata = { title: 'The cupboard' };

async function save(place: unknown, opened: unknown) {
  'use server';
  const answer = await changePlace(await theRegister(), place, opened);
  revalidatePath('/', 'layout');
  return answer;
}

export default async function CupboardPage() {
  return <CupboardScreen place={await readPlace(await theRegister())} save={save} />;
}
