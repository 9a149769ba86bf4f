'use client';

export default function Broken({ reset }: { error: Error; reset: () => void }) {
  return (
    <main className="mx-auto max-w-xl px-7 py-20">
      <h1 className="text-2xl font-extrabold">This page could not be shown</h1>
      <p className="mt-3 text-lg">
        What was saved is safe; results that were not sent yet wait in this browser. Try again, or go back to Today.
      </p>
      <button
        type="button"
        className="mt-4 min-h-12 cursor-pointer rounded-md bg-ink px-5 font-bold text-board"
        onClick={reset}
      >
        Try again
      </button>
    </main>
  );
}
