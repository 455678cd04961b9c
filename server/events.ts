import type { Context } from 'hono';
import { streamSSE } from 'hono/streaming';
import type { Store } from './jobs/store.js';
import type { ReelLink } from './reel.js';

/** Often enough that a lost connection is noticed and a proxy does not close it, ms. */
const keepAlive_ms = 20_000;

/** Sends a page every new version of a job, as server-sent events, until the page disconnects. */
export function follow(c: Context, store: Store, id: string): Response {
  return events(c, async (send) => {
    const end = store.listen(id, (version) => {
      send('version', String(version));
    });
    // Versions made before the page connected are seen from the first event.
    send('hello', String((await store.version(id)) ?? 0));
    return end;
  });
}

/** Sends a page every new version of any job, as `[job, version]`, until the page disconnects. */
export function followAll(c: Context, store: Store): Response {
  return events(c, (send) => {
    const end = store.listenToAll((job, version) => {
      send('version', JSON.stringify([job, version]));
    });
    send('hello', '');
    return end;
  });
}

/** Passes on the reel's messages as server-sent events. */
export function listenToReel(c: Context, reel: ReelLink): Response {
  return events(c, (send) =>
    reel.listen((line) => {
      send('line', line);
    }),
  );
}

/** Server-sent events until the page disconnects; `begin` starts listening and returns what stops it. */
function events(
  c: Context,
  begin: (send: (event: string, data: string) => void) => (() => void) | Promise<() => void>,
): Response {
  return streamSSE(c, async (stream) => {
    const end = await begin((event, data) => void stream.writeSSE({ event, data }));
    if (stream.aborted) end();
    else stream.onAbort(end);
    while (!stream.aborted) {
      await stream.sleep(keepAlive_ms);
      await stream.writeSSE({ event: 'alive', data: '' });
    }
  });
}
