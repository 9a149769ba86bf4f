const singulars: Readonly<Record<string, string>> = {
  stands: 'stand',
  steps: 'step',
  curls: 'curl',
  lifts: 'lift',
  rounds: 'round',
  raises: 'raise',
  positions: 'position',
  touches: 'touch',
  people: 'person',
  chairs: 'chair',
  lanes: 'lane',
  'firm steps': 'firm step',
  pads: 'pad',
  mats: 'mat',
  straps: 'strap',
  bands: 'band',
  'pads under a knee': 'pad under a knee',
  weights: 'weight',
  'raised surfaces': 'raised surface',
  'boxes to lift': 'box to lift',
};

/** The unit as it stands after a figure: `1 stand`, `2 stands`, `1 s`. */
export const unitAfter = (figure: number, unit: string): string => (figure === 1 ? (singulars[unit] ?? unit) : unit);

/** A figure with its unit: `1 stand`, `2 stands`, `7.4 s`. */
export const amount = (figure: number, unit: string): string => `${figure} ${unitAfter(figure, unit)}`;
