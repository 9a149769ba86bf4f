import type { RegisterAnswer, RegisterQuestion } from '../../core/view/registerLine';

/** Asks the server for lines of the register; null where it does not answer. Throws only when given up on purpose. */
export async function fetchLines(
  question: Partial<RegisterQuestion>,
  signal?: AbortSignal,
): Promise<RegisterAnswer | null> {
  const query = new URLSearchParams();
  for (const [name, value] of Object.entries(question)) if (value !== null) query.set(name, String(value));
  try {
    const answer = await fetch(`/api/v1/people?${query.toString()}`, {
      cache: 'no-store',
      ...(signal ? { signal } : {}),
    });
    if (!answer.ok) return null;
    const { people, ...rest } = (await answer.json()) as Omit<RegisterAnswer, 'lines'> & {
      people: RegisterAnswer['lines'];
    };
    return { ...rest, lines: people };
  } catch (error) {
    if (signal?.aborted) throw error;
    return null;
  }
}
