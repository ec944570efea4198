import { Observable } from 'rxjs';
import { locksOfBrowser } from '../device/open-tabs';

/**
 * One event of a stream of the server. `open`: the line stands, and everything from now on is heard. `error`:
 * it does not.
 */
interface StreamEvent {
  readonly name: string;
  readonly data: string;
  readonly id: string;
}

const AGAIN_MS = 1500;
const ASKED = 'does the line stand?';

/**
 * A stream of the server that all tabs of this browser share: browsers keep few lines to one server. One tab
 * holds it and tells the others; when that tab goes, another takes over where it was.
 * @param names of events that are wanted, beside `message`
 */
export function sharedStream(address: string, names: readonly string[] = []): Observable<StreamEvent> {
  return new Observable((out) => {
    const channel =
      typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(`yellow-pane ${address}`);
    let last = '';
    let end = (): void => undefined;
    const hear = (event: StreamEvent): void => {
      if (event.id !== '') last = event.id;
      out.next(event);
    };
    const hold = (): Promise<void> =>
      new Promise((done) => {
        const line = heldLine(address, names, channel, { last: () => last, hear });
        end = () => {
          line();
          done();
        };
      });
    channel?.addEventListener('message', ({ data }: MessageEvent<StreamEvent | string>) => {
      if (typeof data !== 'string') hear(data);
    });
    const leaving = new AbortController();
    const locks = locksOfBrowser();
    if (locks === undefined) void hold();
    else
      void locks.request(`yellow-pane ${address}`, { signal: leaving.signal }, hold).catch(() => undefined);
    channel?.postMessage(ASKED);
    return () => {
      leaving.abort();
      end();
      channel?.close();
    };
  });
}

/**
 * The line to the server, held by this tab: what comes is heard here and told to the other tabs.
 * @returns closes it
 */
function heldLine(
  address: string,
  names: readonly string[],
  channel: BroadcastChannel | undefined,
  { last, hear }: { readonly last: () => string; readonly hear: (event: StreamEvent) => void },
): () => void {
  let again: ReturnType<typeof setTimeout> | undefined;
  let source: EventSource | undefined;
  let isStanding = false;
  const tell = (event: StreamEvent): void => {
    hear(event);
    channel?.postMessage(event);
  };
  const connect = (): void => {
    const own = new EventSource(last() === '' ? address : `${address}?since=${last()}`);
    source = own;
    for (const name of ['message', ...names])
      own.addEventListener(name, (event: MessageEvent<string>) => {
        tell({ name, data: event.data, id: event.lastEventId });
      });
    own.addEventListener('open', () => {
      isStanding = true;
      tell({ name: 'open', data: '', id: '' });
    });
    own.addEventListener('error', () => {
      isStanding = false;
      tell({ name: 'error', data: '', id: '' });
      if (own.readyState === EventSource.CLOSED) again = setTimeout(connect, AGAIN_MS);
    });
  };
  channel?.addEventListener('message', ({ data }: MessageEvent<unknown>) => {
    if (data === ASKED && isStanding)
      channel.postMessage({ name: 'open', data: '', id: last() } satisfies StreamEvent);
  });
  connect();
  return () => {
    clearTimeout(again);
    source?.close();
  };
}
