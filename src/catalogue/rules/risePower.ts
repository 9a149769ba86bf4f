import type { RisePowerRule } from '../../core/shapes/norms';
import { sources } from '../sources';

export const risePowerRule: RisePowerRule = { limits: { female: 2.1, male: 2.6 }, source: sources.risePower };
