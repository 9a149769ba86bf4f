'use server';
import { args, form, id, pattern, rung } from '../../../schemas/door';
import { correctLine } from '../../../use-cases/classLog';
import { confirmProposals, takeBackProposals } from '../../../use-cases/proposals';
import { saveClass, tryPlan } from '../../../use-cases/classes';
import { keepPlaces } from '../../../use-cases/classSetUp';
import { isCupboardStill } from '../../../use-cases/places';
import { dropTemplate, keepTemplate } from '../../../use-cases/classTemplates';
import { swapsInClass } from '../../../use-cases/swaps';
import { seqs } from '../../../schemas/classLog';
import { action } from '../../doors';

/** The plan as it would be, while it is changed; nothing is kept. */
export const makeClassPlan = action(args([form()]), tryPlan);

export const keepClassPlan = action(args([id(), form()]), saveClass, [['/class']]);

/** Where people were put by hand in the hall of a class. */
export const keepClassPlaces = action(args([id(), form()]), keepPlaces);

/** Whether what a page was worked out from is still in the cupboard. */
export const isCupboardAsShown = action(args([form()]), isCupboardStill);

export const confirmClass = action(args([id(), seqs()]), confirmProposals);

export const correctClass = action(args([id(), form()]), correctLine);

export const takeBackClass = action(args([id(), seqs()]), takeBackProposals);

/** What somebody may do instead of a movement that hurts, while the class goes on. */
export const findClassSwaps = action(args([id(), pattern(), rung()]), swapsInClass);

export const keepClassTemplate = action(args([id(), form()]), keepTemplate);

export const dropClassTemplate = action(args([id()]), dropTemplate);
