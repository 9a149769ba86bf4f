import Link from 'next/link';

/** An address that names nothing; says so and leads back. */
export function NothingHere() {
  return (
    <section className="max-w-xl py-16">
      <h1 className="text-2xl font-extrabold">Nothing is here</h1>
      <p className="mt-3 text-lg">
        This address names a person or page that is not in the register. Nothing was changed.
      </p>
      <Link
        href="/"
        className="mt-4 inline-flex min-h-11 items-center font-bold text-squat underline underline-offset-4"
      >
        Back to Today
      </Link>
    </section>
  );
}
