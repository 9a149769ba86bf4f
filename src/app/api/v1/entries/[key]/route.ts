import { theRegister } from '../../../../../database/theRegister';
import { readRegisterId } from '../../../../../use-cases/places';
import { saveEntry } from '../../../../../use-cases/saveEntry';
import { today } from '../../../../../use-cases/today';
import { guarded, invalidFields, onlyAllows, problem, readJson } from '../../../problem';

interface Context {
  params: Promise<{ key: string }>;
}

/** Notes something of a person once: a check of the day, an incident, a fall. */
export const PUT = guarded<Context>(async (request, { params }) => {
  const read = await readJson(request);
  if ('problem' in read) return read.problem;
  const { key } = await params;
  const db = await theRegister();
  const saved = await saveEntry(db, key, read.json, today());
  switch (saved.kind) {
    case 'created':
    case 'known':
      return Response.json(
        { id: key, registerId: await readRegisterId(db) },
        { status: saved.kind === 'created' ? 201 : 200 },
      );
    case 'conflict':
      return problem(409, 'This key was noted with other content. Nothing was changed.');
    case 'rejected':
      return invalidFields(saved.errors);
  }
});

const other = onlyAllows('PUT');
export { other as DELETE, other as GET, other as HEAD, other as OPTIONS, other as PATCH, other as POST };
