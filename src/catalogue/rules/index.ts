import type { LevelRules } from '../../core/shapes/ladder';
import { accessories, ladders } from '../ladders';
import { offers } from '../ladders/offers';
import { limiterRows } from '../limiters/limiters';
import { ownFlagNeeds } from '../own/flagNeeds';
import { balanceRows, houseRules } from './house';
import { measuredFacts } from './margins';

/** The whole rule set from results to levels, as the engine takes it. The version rises with any change of it. */
export const levelRules: LevelRules = {
  version: '2026-12-2',
  ladders,
  accessories,
  offers,
  ownFlagNeeds,
  measured: measuredFacts,
  limiters: limiterRows,
  balance: balanceRows,
  house: houseRules,
};
