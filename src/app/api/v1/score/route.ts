import { askScore } from '../../../../use-cases/askStateless';
import { readBook } from '../../../../use-cases/norms';
import { scoreCsv } from '../../../../use-cases/scoreCsv';
import { guarded, noPath, onlyAllows } from '../../../doors';
import { invalidFields, mostBytes, problem, readJson } from '../../problem';
import { type Desk } from '../../../../use-cases/desk';

/** Results that are kept nowhere: JSON in one piece, CSV row by row as it comes in. */
export const POST = guarded(noPath, async (desk, _path, request) => {
  if (/^text\/csv\s*(;|$)/i.test(request.headers.get('content-type') ?? '')) return answerCsv(desk, request);
  const read = await readJson(request);
  if ('problem' in read) return read.problem;
  const answer = askScore(read.json, desk.today(), await readBook(desk));
  return answer.kind === 'answered' ? Response.json(answer.body) : invalidFields(answer.errors);
});

async function answerCsv(desk: Desk, request: Request): Promise<Response> {
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes)
    return problem(413, 'At most 5 MB in one request.');
  if (!request.body) return problem(422, 'There is nothing in the body: send a head line and rows.');
  const answer = await scoreCsv(request.body, mostBytes, desk.today(), await readBook(desk));
  if (answer.kind === 'rejected') return problem(422, answer.message);
  const encoder = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    async pull(to) {
      const next = await answer.lines.next();
      if (next.done === true) to.close();
      else to.enqueue(encoder.encode(next.value));
    },
    async cancel() {
      await answer.lines.return(undefined);
    },
  });
  return new Response(stream, { headers: { 'content-type': 'text/csv; charset=utf-8' } });
}

const other = onlyAllows('POST');
export { other as DELETE, other as GET, other as HEAD, other as OPTIONS, other as PATCH, other as PUT };
