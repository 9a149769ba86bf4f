/** The order in which an instructor works; every list of steps, screen or folder follows it. */
export const steps = ['intake', 'test', 'scores', 'levels', 'train', 'retest'] as const;
export type Step = (typeof steps)[number];
