import type { CompositeRules } from '../../core/shapes/norms';
import { batteryRule } from './battery';
import { risePowerRule } from './risePower';

export const compositeRules: CompositeRules = { battery: batteryRule, risePower: risePowerRule };
