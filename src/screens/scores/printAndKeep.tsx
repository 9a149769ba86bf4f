'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { PrintButton } from '../touch/printButton';

export type KeepPage<P extends object> = (personId: string, page: P) => Promise<{ readonly kind: string }>;

const words: Readonly<Record<string, string>> = {
  kept: 'The page is kept as printed.',
  changed: 'Something new was noted meanwhile. This is the page of now: print it again.',
  failed: 'The server did not answer: the paper is good, but the page was not kept. Print again to keep it.',
};

/** Prints, by this button or the browser’s own way, and keeps what was printed with the figures it was made by. */
export function PrintAndKeep<P extends object>({
  personId,
  page,
  keep,
}: {
  personId: string;
  page: P;
  keep: KeepPage<P>;
}) {
  const router = useRouter();
  const [said, setSaid] = useState('');
  const sent = JSON.stringify(page);
  useEffect(() => {
    const onPrint = () => {
      void keep(personId, JSON.parse(sent) as P)
        .catch(() => ({ kind: 'failed' }))
        .then(({ kind }) => {
          setSaid(words[kind] ?? words['failed'] ?? '');
          if (kind === 'changed' || kind === 'kept') router.refresh();
        });
    };
    window.addEventListener('beforeprint', onPrint);
    return () => window.removeEventListener('beforeprint', onPrint);
  }, [personId, sent, keep, router]);
  return (
    <>
      <PrintButton />
      <p role="status" className="order-last basis-full font-semibold empty:hidden">
        {said}
      </p>
    </>
  );
}
