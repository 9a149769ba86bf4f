import type { Metadata } from 'next';
import { GroupSheet } from '../../../../screens/levels/groupSheet';
import { readGroupSheet } from '../../../../use-cases/groupSheet';
import { theDesk } from '../../../../use-cases/desk';

export const metadata: Metadata = { title: 'Sheet for whoever helps' };

interface Asked {
  readonly searchParams: Promise<{ readonly group?: string; readonly pattern?: string; readonly page?: string }>;
}

export default async function Page({ searchParams }: Asked) {
  const asked = await searchParams;
  const { group, ...sheet } = await readGroupSheet(await theDesk(), asked);
  const query = new URLSearchParams(Object.entries(asked)).toString();
  return (
    <GroupSheet
      {...sheet}
      title={group ? `Who does what: ${group.name}` : 'Who does what'}
      back={`/levels${query && `?${query}`}`}
    />
  );
}
