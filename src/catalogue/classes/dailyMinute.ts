import type { ClassBlock, ClassTemplate, Part } from '../../core/shapes/class';
import { end, start } from './frame';

const minute = (pattern: Part['pattern'], codes: readonly string[], aSide?: true): Part => ({
  ...{ pattern, scheme: '30/0x2', shelves: { A: codes, B: codes, C: codes }, freest: '2' },
  ...(aSide ? { aSide } : {}),
});
const four: readonly (readonly [id: string, title: string, part: Part, cue: string])[] = [
  ['s', 'Stand and sit', minute('S', ['S1-4']), 'Back of the chair to the wall'],
  ['a', 'Heels and toes', minute('A', ['A1']), 'Both hands'],
  ['h', 'Seated bow', minute('H', ['H1']), 'Long back'],
  ['l', 'Step stance', minute('L', ['L1'], true), 'Two lanes'],
];

/** Four movements, a minute each; what is practised here goes home. */
export const dailyMinute: ClassTemplate = {
  ...{ id: 'daily-minute', title: 'The daily minute, taught for home', minutes: 30 },
  says: 'Four movements, one minute each, as long as nothing hurts during or after. Ends with the home cards.',
  blocks: [
    ...start,
    ...four.map(([id, title, part, cue]): ClassBlock => ({
      ...{ id, kind: 'work', title, minutes: 2, showS: 40, parts: [part], cues: [cue] },
    })),
    {
      ...{ id: 'again', kind: 'work', title: 'Again, without words', minutes: 5.3 },
      ...{ parts: four.map(([, , part]) => part), cues: four.map(([, , , cue]) => cue) },
    },
    { id: 'teach', kind: 'talk', title: 'Teach back in pairs', minutes: 3, cues: ['Show me your stop sign'] },
    { id: 'cards', kind: 'talk', title: 'Cards handed out, boxes to tick', minutes: 0.7 },
    ...end,
  ],
};
