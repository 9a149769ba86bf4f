'use server';
import { args, form, id } from '../../../schemas/door';
import { confirmProposals, takeBackProposals } from '../../../use-cases/classLog';
import { saveClass, tryPlan } from '../../../use-cases/classes';
import { seqs } from '../../../schemas/classLog';
import { action } from '../../doors';

/** The plan as it would be, while it is changed; nothing is kept. */
export const makeClassPlan = action(args([form()]), tryPlan);

export const keepClassPlan = action(args([id(), form()]), saveClass, [['/class']]);

export const confirmClass = action(args([id(), seqs()]), confirmProposals);

export const takeBackClass = action(args([id(), seqs()]), takeBackProposals);
