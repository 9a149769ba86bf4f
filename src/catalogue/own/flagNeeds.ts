import type { OwnFlagNeeds } from '../../core/shapes/ladder';
import { getsUp, here, hold, mat, noAidIndoors, noFalls, positions, practice, stands, steadyS } from '../ladders/needs';

/** What a movement of a hall's own asks for by its stance and flags, whatever else it is said to ask. House rules. */
export const ownFlagNeeds: OwnFlagNeeds = {
  'two-foot': [positions(1), hold],
  split: [positions(1), hold],
  'one-leg': [positions(3), hold],
  floor: [getsUp, mat],
  slides: [here('floorSlides', 'a floor that slides')],
  weight: [],
  // As the hop of the squat, but for what leads up to it.
  impact: [
    stands(15),
    steadyS(20),
    { kind: 'person', seen: 'impactCleared', why: 'impact cleared and switched on', ...practice },
    ...noFalls,
    noAidIndoors,
  ],
};
