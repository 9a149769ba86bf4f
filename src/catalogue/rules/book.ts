import type { RuleBook } from '../../core/shapes/rules';
import { coreTests } from '../protocols';
import { readinessRules } from '../readiness/readiness';
import { levelRules } from '.';
import { compositeRules } from './composites';

export const shippedRules: RuleBook = {
  levels: levelRules,
  readiness: readinessRules,
  composites: compositeRules,
  coreTests,
  atOnceAgain: ['four-stage', 'chair-stand-30s'],
};
