import { countedIn } from '../../../../../core/measure/trial';
import { pathClientKey } from '../../../../../schemas/door';
import { readRegisterId } from '../../../../../use-cases/places';
import { saveAttempt } from '../../../../../use-cases/saveAttempt';
import { guarded, onlyAllows } from '../../../../doors';
import { invalidFields, problem, readJson } from '../../../problem';

export const PUT = guarded(pathClientKey, async (desk, { clientKey }, request) => {
  const read = await readJson(request);
  if ('problem' in read) return read.problem;
  const saved = await saveAttempt(desk, clientKey, read.json);
  switch (saved.kind) {
    case 'created':
    case 'known':
      return Response.json(
        {
          clientKey,
          registerId: await readRegisterId(desk),
          result: { ...saved.trial, counted: countedIn(saved.trial) },
        },
        { status: saved.kind === 'created' ? 201 : 200 },
      );
    case 'conflict':
      return problem(
        409,
        `Events ${saved.seqs.join(', ')} of this attempt are known with other content. Both were kept; the first counts.`,
      );
    case 'other-attempt':
      return problem(
        409,
        `This key belongs to an attempt of another ${saved.differs.join(', ')}. Nothing was changed.`,
      );
    case 'rejected':
      return invalidFields(saved.errors);
  }
});

const other = onlyAllows('PUT');
export { other as DELETE, other as GET, other as HEAD, other as OPTIONS, other as PATCH, other as POST };
