import { deviceIds, type DeviceNews } from '../../../core/shapes/device';
import { isRun, runHere } from '../bench/pages';

/** As an attempt is, the line is held by one page of a browser: six of them would block all its requests. */
const lineKey = 'the line to the devices';
const lookEveryMs = 2000;

/** Hears all devices, over a line of this page or that of another page of this browser; the answer ends it. */
export function openLine(tell: (news: DeviceNews) => void): () => void {
  const pages = new BroadcastChannel('ready-stool-devices');
  pages.addEventListener('message', ({ data }: MessageEvent<DeviceNews>) => tell(data));
  let source: EventSource | null = null;
  let release: () => void = () => undefined;
  let ended = false;
  const hangUp = () => {
    source?.close();
    source = null;
    release();
  };
  const look = async () => {
    // A line the server ended for good is opened anew; one that broke off comes back by itself.
    if (source?.readyState === EventSource.CLOSED) hangUp();
    if (source || (await isRun(lineKey)) || ended) return;
    release = runHere(lineKey);
    source = new EventSource(`/api/v1/stream?devices=${deviceIds.join(',')}`);
    source.addEventListener('message', ({ data }: MessageEvent<string>) => {
      const news = JSON.parse(data) as DeviceNews;
      tell(news);
      pages.postMessage(news);
    });
  };
  void look();
  const again = setInterval(() => void look(), lookEveryMs);
  return () => {
    ended = true;
    clearInterval(again);
    hangUp();
    pages.close();
  };
}
