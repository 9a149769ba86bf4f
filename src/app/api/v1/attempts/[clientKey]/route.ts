import { theRegister } from '../../../../../database/theRegister';
import { readRegisterId } from '../../../../../use-cases/places';
import { saveAttempt } from '../../../../../use-cases/saveAttempt';
import { today } from '../../../../../use-cases/today';
import { guarded, invalidFields, onlyAllows, problem, readJson } from '../../../problem';

interface Context {
  params: Promise<{ clientKey: string }>;
}

export const PUT = guarded<Context>(async (request, { params }) => {
  const read = await readJson(request);
  if ('problem' in read) return read.problem;
  const { clientKey } = await params;
  const db = await theRegister();
  const saved = await saveAttempt(db, clientKey, read.json, today());
  switch (saved.kind) {
    case 'created':
    case 'known':
      return Response.json(
        { clientKey, registerId: await readRegisterId(db), result: saved.trial },
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
