/** One foot on the floor from above, toes up: its outline, `dash` where it is off the floor. */
function Foot({ x, y, turn = 0, off = false }: { x: number; y: number; turn?: number; off?: boolean }) {
  return (
    <path
      d="M0 -34 C10 -36 15 -28 14 -16 C13 -4 9 4 10 16 C11 30 6 36 0 36 C-6 36 -11 30 -9 16 C-7 4 -13 -4 -13 -16 C-13 -28 -9 -33 0 -34 Z"
      transform={`translate(${x} ${y}) rotate(${turn})`}
      strokeWidth="3"
      stroke="var(--color-ink)"
      fill={off ? 'none' : 'var(--color-wood)'}
      strokeDasharray={off ? '5 5' : undefined}
    />
  );
}

/** Where the two feet stand in each of the four positions, seen from above. */
const places: Readonly<Record<string, readonly { x: number; y: number; turn?: number; off?: boolean }[]>> = {
  sideBySide: [
    { x: 62, y: 75 },
    { x: 90, y: 75 },
  ],
  semiTandem: [
    { x: 62, y: 58 },
    { x: 90, y: 92 },
  ],
  tandem: [
    { x: 75, y: 38 },
    { x: 75, y: 112 },
  ],
  oneLeg: [
    { x: 62, y: 75 },
    { x: 100, y: 70, off: true },
  ],
};

/** How the feet stand, from above: the floor line under them, a foot that is lifted dashed. */
export function Feet({ position, size }: { position: string; size: number }) {
  return (
    <svg viewBox="0 0 150 150" width={size} height={size} aria-hidden className="shrink-0">
      <line x1="10" x2="140" y1="75" y2="75" stroke="var(--color-rule)" strokeWidth="2" strokeDasharray="3 6" />
      {(places[position] ?? []).map((foot) => (
        <Foot key={`${foot.x}-${foot.y}`} {...foot} />
      ))}
    </svg>
  );
}
