import type { ClassBlock } from '../../core/shapes/class';

/** What every class begins and ends with. Common practice, no published source. */
export const roomCheck: ClassBlock = {
  ...{ id: 'check', kind: 'check', title: 'Room check', minutes: 3 },
  cues: [
    'Anybody ill, dizzy, short of breath? A fall or new tablets since last time?',
    'Worse than usual the next day? Where?',
  ],
};

export const warmUp: ClassBlock = {
  ...{ id: 'warm-up', kind: 'warm-up', title: 'Warm-up', minutes: 5 },
  cues: [
    'March, arms swing easily. Tall. Easy. You can talk.',
    'Heels up, toes up, eight each. Weight on the big toes.',
    'Five half stands from your own seat. Nose over toes.',
    'Side steps, shoulder rolls. Wide base, quiet feet.',
    'Three slow ones of what comes first. Say a sentence.',
  ],
};

/** Never dropped and never shortened. */
export const coolDown: ClassBlock = {
  ...{ id: 'cool-down', kind: 'cool-down', title: 'Cool-down', minutes: 4 },
  cues: [
    'Walk, slower and slower, near the hold.',
    'Hand on the hold. Slow heel raises, long breath out.',
    'Sit. Ankle pumps, shoulders, hands open and shut.',
    'Sit and breathe. Read the faces, row by row.',
  ],
};

/** The seated minute with its two questions. */
export const logMinute: ClassBlock = {
  ...{ id: 'log', kind: 'log', title: 'Two questions', minutes: 1 },
  cues: ['Who could not have said a sentence at the hardest part?', 'Does anything hurt now that did not before?'],
};

export const start = [roomCheck, warmUp] as const;
export const end = [coolDown, logMinute] as const;

/** Seated, with water. */
export const water = (id: string, minutes: number): ClassBlock => ({
  ...{ id, kind: 'rest', title: 'Seated, water', minutes },
});
