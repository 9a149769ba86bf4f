interface Props {
  readonly place: string;
  /** `null` while nobody has said. */
  readonly level: number | null;
  readonly say: (level: number) => void;
  readonly id?: string;
}

/** How much it hurts, 0 to 10, one press each; nothing is chosen before somebody says. */
export function PainKeys({ place, level, say, id }: Props) {
  return (
    <div
      id={id}
      tabIndex={-1}
      role="group"
      aria-label={`${place}: how much, 0 to 10`}
      className="grid grid-cols-6 gap-1"
    >
      {Array.from({ length: 11 }, (_, n) => (
        <button
          key={n}
          type="button"
          aria-pressed={level === n}
          onClick={() => say(n)}
          className={`num min-h-12 min-w-11 cursor-pointer rounded-md border-2 border-ink px-1 text-lg font-bold ${level === n ? 'bg-ink text-board' : 'bg-board'}`}
        >
          {n}
        </button>
      ))}
    </div>
  );
}
