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
  takenTogether: ['chair-stand-30s', 'up-and-go-8ft', 'up-and-go-3m', 'step-2min', 'reach-forward'],
  atOnceAgain: ['four-stage', 'chair-stand-30s'],
};
