interface Props {
  readonly place: string;
  /** `null` while nobody has said. */
  readonly level: number | null;
  readonly say: (level: number) => void;
  readonly id?: string;
}

/**
 * How much it hurts, 0 to 10, one press each; nothing is chosen before somebody says. With the focus in it a digit says
 * so too, and T is ten.
 */
export function PainKeys({ place, level, say, id }: Props) {
  return (
    <div
      id={id}
      tabIndex={-1}
      role="group"
      aria-label={`${place}: how much, 0 to 10`}
      className="grid max-w-lg grid-cols-6 gap-1"
      onKeyDown={(event) => {
        // As in any other field of a form.
        if (event.key === 'Enter' && event.target === event.currentTarget) {
          event.preventDefault();
          event.currentTarget.closest('form')?.requestSubmit();
        }
        const said = painOf(event.key);
        if (said === null || event.ctrlKey || event.metaKey || event.altKey) return;
        event.preventDefault();
        event.stopPropagation();
        say(said);
      }}
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

/** What a key says of how much it hurts; `null` where it says nothing. */
export function painOf(key: string): number | null {
  return key.toLowerCase() === 't' ? 10 : /^\d$/.test(key) ? Number(key) : null;
}
