import type { Metadata } from 'next';
import { Suspense } from 'react';
import { ToBuyScreen } from '../../../../screens/library/toBuy';
import { theDesk } from '../../../../use-cases/desk';
import { readToBuy } from '../../../../use-cases/toBuy';

export const metadata: Metadata = { title: 'What to buy' };

export default async function BuyPage({
  searchParams,
}: {
  searchParams: Promise<{ readonly with?: string | readonly string[] }>;
}) {
  const tokens = [(await searchParams).with ?? []].flat();
  return (
    <div className="pt-5">
      <h1 className="text-2xl font-extrabold">What to buy</h1>
      <p className="mt-2 max-w-3xl">
        For all groups, each of them at once in the hall: seats at the height that the levels of everybody ask for, and
        something to hold on to. One thing at a time, worked out exactly.
      </p>
      <Suspense
        key={tokens.join()}
        fallback={
          <p role="status" className="mt-4">
            Trying every chair and pad in every group …
          </p>
        }
      >
        <Answer tokens={tokens} />
      </Suspense>
    </div>
  );
}

async function Answer({ tokens }: { tokens: readonly string[] }) {
  return <ToBuyScreen {...await readToBuy(await theDesk(), tokens)} />;
}
