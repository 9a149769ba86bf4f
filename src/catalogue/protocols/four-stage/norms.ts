import type { Cutoff } from '../../../core/shapes/norms';
import { sources } from '../../sources';

export const fourStageCutoffs = [
  {
    id: 'four-stage-tandem',
    setsDate: true,
    pastIf: '<',
    limit: 3,
    label: 'watch line',
    meaning: 'heel-to-toe standing not held 10 s goes with more falls',
    source: sources.fourStage,
  },
] as const satisfies readonly Cutoff[];
