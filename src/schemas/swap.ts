import { string, type InferType } from 'yup';
import { patterns } from '../core/shapes/facts';
import { loadedJoints } from '../core/shapes/ladder';
import { swapGrades, swapWheres } from '../core/shapes/swap';
import { exactly, listOf, oneOf, wholeIn, yesNo } from './building';

/** A movement that hurts, as it was tapped, and what was chosen instead. */
export const swapForm = exactly({
  pattern: oneOf(patterns).required('Choose a movement.'),
  rung: wholeIn(1, 9).required('Choose a movement.'),
  joint: oneOf(loadedJoints).required('Tap the joint.'),
  side: oneOf(['L', 'R']).nullable().defined(),
  grade: oneOf(swapGrades).required('Tap how much it hurts.'),
  sharp: yesNo().nullable().defined(),
  where: oneOf(swapWheres).nullable().defined(),
  sign: yesNo().required(),
  /** The code that was offered; `null` where nothing was. */
  instead: string().max(40).nullable().defined(),
  /** What was said to be changed with it. */
  changes: listOf(string().max(100).required(), 6).required(),
  /** Of nothing offered: how much it hurts, noted as pain. */
  pain: wholeIn(0, 10).nullable().defined(),
});

export type SwapForm = InferType<typeof swapForm>;
