/** How it stands at home: the back of the chair to the wall, a counter to hold, how high the seat is. */
export function HomePicture({ className }: { className: string }) {
  const wood = { fill: 'var(--color-wood-pale)', stroke: 'var(--color-wood)', strokeWidth: 1.6 } as const;
  const line = { stroke: 'var(--color-ink)', strokeWidth: 1.6, fill: 'none' } as const;
  return (
    <svg
      viewBox="0 0 150 104"
      role="img"
      aria-label="A chair with its back to the wall, a kitchen counter beside it; measure from the floor to the seat"
      className={className}
    >
      <rect x="2" y="2" width="7" height="100" fill="var(--color-rule)" />
      <path d="M9 2V102H148" {...line} />
      {/* The chair. */}
      <path d="M15 10V102M55 56V102" stroke="var(--color-wood)" strokeWidth="5" strokeLinecap="round" />
      <rect x="13" y="52" width="46" height="6" rx="1.5" {...wood} />
      {/* From the floor to the seat. */}
      <path d="M70 53V101M66 59l4-6 4 6M66 95l4 6 4-6" {...line} />
      {/* What one holds. */}
      <rect x="98" y="12" width="48" height="7" rx="1.5" {...wood} />
      <rect x="102" y="19" width="42" height="83" {...wood} />
      <path d="M123 19V102M118 48v10M128 48v10" {...line} />
    </svg>
  );
}
