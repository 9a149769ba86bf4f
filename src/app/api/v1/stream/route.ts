import type { DeviceNews } from '../../../../core/shapes/device';
import { listenToDevices } from '../../../../use-cases/devices';
import { guarded, noPath, onlyAllows } from '../../../doors';
import { invalidFields, problem } from '../../problem';

/** A line so often, so that a dead line is noticed at both ends. */
const sayEveryMs = 1000;

/** What devices say, as it comes: server-sent events, one stream for all lanes of a browser. */
export const GET = guarded(noPath, (_desk, _path, request) => {
  const asked = (new URL(request.url).searchParams.get('devices') ?? '').split(',').filter(Boolean);
  const text = new TextEncoder();
  // What is told again before the stream is open waits for it.
  const waiting: DeviceNews[] = [];
  let tell = (news: DeviceNews): void => void waiting.push(news);
  let end: () => void = () => undefined;
  let leave: () => void = () => undefined;
  const listening = listenToDevices(
    asked,
    (news) => tell(news),
    () => end(),
  );
  if (listening.kind === 'too-many')
    return Promise.resolve(problem(503, 'As many pages listen as can be told at once. Close one and try again.'));
  if (listening.kind === 'unknown')
    return Promise.resolve(
      invalidFields([
        {
          path: '/devices',
          message:
            listening.devices.length > 0
              ? `there is no ${listening.devices.join(', ')}; write such as seat-1,seat-2`
              : 'write which, such as seat-1,seat-2',
        },
      ]),
    );
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const say = (line: string) => controller.enqueue(text.encode(line));
      const beat = setInterval(() => say(': still here\n\n'), sayEveryMs);
      let open = true;
      leave = () => {
        open = false;
        clearInterval(beat);
        listening.end();
      };
      end = () => {
        if (!open) return;
        leave();
        controller.close();
      };
      tell = (news) => say(`data: ${JSON.stringify(news)}\n\n`);
      say('retry: 1000\n\n');
      for (const news of waiting) tell(news);
      request.signal.addEventListener('abort', () => end());
    },
    // Whoever listened went away: there is nothing left to close.
    cancel: () => leave(),
  });
  return Promise.resolve(
    new Response(body, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-cache, no-transform' } }),
  );
});

const other = onlyAllows('GET');
export { other as DELETE, other as HEAD, other as OPTIONS, other as PATCH, other as POST, other as PUT };
