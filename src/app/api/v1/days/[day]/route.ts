import { pathDay } from '../../../../../schemas/dayNote';
import { boardsOn } from '../../../../../use-cases/boards';
import { readRegisterId } from '../../../../../use-cases/places';
import { readDay } from '../../../../../use-cases/testingDay';
import { guarded, onlyAllows } from '../../../../doors';

/** A testing day as it stands, for every board that is open on it; `board` names who asks. */
export const GET = guarded(pathDay, async (desk, { day }, request) => {
  const board = new URL(request.url).searchParams.get('board');
  return Response.json({
    registerId: await readRegisterId(desk),
    today: desk.today(),
    ...(await readDay(desk, day)),
    boards: boardsOn(day, board, desk.now().getTime()),
  });
});

const other = onlyAllows('GET');
export { other as DELETE, other as HEAD, other as OPTIONS, other as PATCH, other as POST, other as PUT };
