/** The order in which an instructor works; every list of steps, screen or folder follows it. */
export const steps = ['intake', 'test', 'scores', 'levels', 'train', 'retest'] as const;
export type Step = (typeof steps)[number];

export const stepTitles: Readonly<Record<Step, string>> = {
  intake: 'Intake',
  test: 'Test',
  scores: 'Scores',
  levels: 'Levels',
  train: 'Class',
  retest: 'Retest',
};
