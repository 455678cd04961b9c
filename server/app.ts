import { randomUUID } from 'node:crypto';
import { zValidator } from '@hono/zod-validator';
import { format } from 'date-fns';
import { Hono, type Context } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { createMiddleware } from 'hono/factory';
import { HTTPException } from 'hono/http-exception';
import { streamSSE } from 'hono/streaming';
import { z } from 'zod';
import { editSchema } from '../core/edits/index.js';
import { faultsOf, textFaults } from '../core/job/faults.js';
import type { Day } from '../core/job/days.js';
import type { Firm } from '../core/job/firm.js';
import type { Job } from '../core/job/schema.js';
import type { Offer } from '../core/offer/offer.js';
import type { KeptBackup } from './storage/backup.js';
import type { Digests } from './jobs/digests.js';
import type { FirmStore } from './jobs/firm.js';
import type { Photos } from './storage/photos.js';
import { offersOn, photoAnswer } from './jobs/offers.js';
import { markOurs, securely, servePages } from './pages.js';
import { problem } from './problem.js';
import type { ReelLink } from './reel.js';
import type { Shares } from './jobs/shares.js';
import type { Store, Written } from './jobs/store.js';
import type { Views } from './jobs/views.js';

const mostBody_bytes = 20 * 1024 * 1024;
const mostEdits = 5000;
const mostHistory = 1000;
const mostReelLine = 200;
/** Often enough that a lost connection is noticed and a proxy does not close it, ms. */
const keepAlive_ms = 20_000;

const editsSchema = z.strictObject({
  /** The sender's own id of this set, so that one sent twice goes in once. */
  sent: z.string().min(8).max(80),
  /** The version of the job that the edits were made on, to find what others did in the meantime. */
  base: z.number().int().min(0).optional(),
  /** Sets that this sender has put in since. */
  own: z.array(z.string().max(80)).max(2000).optional(),
  /** The set that this one takes back. */
  undoes: z.string().max(80).optional(),
  edits: z.array(editSchema).min(1).max(mostEdits),
});

/** What was changed in the firm, and what it was changed from: the store reads both. */
const firmChangeSchema = z.strictObject({ was: z.unknown(), set: z.unknown() });

/** What the server keeps and is connected to. */
export interface Parts {
  readonly store: Store;
  readonly firm: FirmStore;
  readonly digests: Digests;
  readonly views: Views;
  readonly shares: Shares;
  /** Works an offer out, beside the requests. */
  readonly offerOf: (job: Job, firm: Firm, today: Day) => Promise<Offer>;
  readonly photos: Photos;
  readonly backups: { list: () => Promise<KeptBackup[]>; make: () => Promise<KeptBackup> };
  /** Where customers reach their pages from outside, such as https://offers.example.com; undefined: here only. */
  readonly customersAt?: string | undefined;
  readonly reel?: ReelLink | undefined;
}

/** The interface of the server: jobs in the open file's own words, changed by edits. */
function apiOn({ store, firm, digests, views, shares, offerOf, photos, backups, reel, customersAt }: Parts) {
  const changed = () => {
    digests.wakeSoon();
    views.wakeSoon();
  };
  return new Hono()
    .route('/offers', offersOn({ shares, photos, offerOf }))
    .get('/jobs', async (c) => c.json(await digests.list()))
    .post('/jobs', asJson, body(z.unknown()), async (c) => {
      const written = await store.add(randomUUID(), c.req.valid('json'), device(c));
      changed();
      return 'stored' in written ? c.json(written.stored, 201) : refusal(c, written);
    })
    .get('/jobs/:id', async (c) => {
      const stored = await store.read(c.req.param('id'));
      return stored ? c.json(stored) : problem(c, 404, 'No such job');
    })
    .delete('/jobs/:id', async (c) =>
      (await store.remove(c.req.param('id'))) ? c.body(null, 204) : problem(c, 404, 'No such job'),
    )
    .get('/deleted', async (c) => c.json(await store.deleted()))
    .post('/deleted/:id', async (c) => {
      const back = await store.bringBack(c.req.param('id'));
      changed();
      return back ? c.body(null, 204) : problem(c, 404, 'No such deleted job');
    })
    .get('/jobs/:id/view', async (c) => {
      const kept = await views.read(c.req.param('id'));
      return kept ? c.json(kept) : problem(c, 404, 'No view of this job is kept');
    })
    .get('/jobs/:id/history', async (c) => c.json(await store.history(c.req.param('id'), mostHistory)))
    .get('/jobs/:id/changes', (c) => follow(c, store, c.req.param('id')))
    .route('/jobs', sharesOfJobs({ store, firm, shares, customersAt }))
    .get('/changes', (c) => followAll(c, store))
    .route('/backups', backupsOn(backups))
    .get('/firm', async (c) => c.json(await firm.read()))
    .get('/spent', async (c) => c.json(await firm.spent()))
    .put('/firm', asJson, body(firmChangeSchema), async (c) => {
      const { was, set } = c.req.valid('json');
      const written = await firm.write(was, set);
      changed();
      if ('firm' in written) return c.json(written.firm);
      return 'clash' in written
        ? problem(c, 409, 'Somebody else changed this in the meantime', {
            detail: `Somebody else changed this in the meantime: ${written.clash.join(', ')}`,
          })
        : problem(c, 422, 'That cannot be taken as it is', { errors: written.faults });
    })
    .route('/reel', reelOn(reel))
    .post('/photos', async (c) => {
      const kept = await photos.keep(new Uint8Array(await c.req.arrayBuffer()));
      return 'name' in kept ? c.json(kept, 201) : problem(c, 415, 'Not a photo', { detail: kept.refused });
    })
    .get('/photos/:name', (c) => photoAnswer(c, photos, c.req.param('name')))
    .post('/jobs/:id/edits', asJson, body(editsSchema), async (c) => {
      const written = await store.edit(c.req.param('id'), c.req.valid('json'), device(c));
      changed();
      return 'stored' in written ? c.json(written.stored) : refusal(c, written);
    });
}

/** Links by which the customer of a job reads its offer. */
const sharesOfJobs = ({
  store,
  firm,
  shares,
  customersAt,
}: Pick<Parts, 'store' | 'firm' | 'shares' | 'customersAt'>) =>
  new Hono()
    .get('/:id/shares', async (c) => c.json(await shares.list(c.req.param('id'))))
    .post('/:id/shares', async (c) => {
      const stored = await store.read(c.req.param('id'));
      if (!stored) return problem(c, 404, 'No such job');
      // The day in the time zone of the shop, not in UTC.
      const on = format(new Date(), 'yyyy-MM-dd');
      const made = await shares.make(stored.id, { on, job: stored.job, firm: await firm.read() });
      return c.json({ ...made, base: customersAt }, 201);
    })
    .delete('/:id/shares/:share', async (c) =>
      (await shares.close(c.req.param('id'), c.req.param('share')))
        ? c.body(null, 204)
        : problem(c, 404, 'No such open link'),
    );

/** What the reel says, and what is said to it. */
const reelOn = (reel: Parts['reel']) =>
  new Hono()
    .get('/', (c) => (reel ? listenToReel(c, reel) : problem(c, 404, 'No reel is connected')))
    .post('/', async (c) => {
      if (!reel) return problem(c, 404, 'No reel is connected');
      reel.send((await c.req.text()).slice(0, mostReelLine));
      return c.body(null, 204);
    });

/** Backups beside the data: which there are, and one made now. */
const backupsOn = (backups: Parts['backups']) =>
  new Hono()
    .get('/', async (c) => c.json(await backups.list()))
    .post('/', async (c) => c.json(await backups.make(), 201));

export type Api = ReturnType<typeof apiOn>;

const device = (c: Context) => (c.req.header('x-device') ?? 'unknown').slice(0, 80);

function refusal(c: Context, written: Exclude<Written, { stored: unknown }>): Response {
  if ('missing' in written) return problem(c, 404, 'No such job');
  return 'conflicts' in written
    ? problem(c, 409, 'Somebody else changed this in the meantime', {
        conflicts: written.conflicts,
        version: written.version,
      })
    : problem(c, 422, 'That cannot be taken as it is', { errors: written.faults });
}

/** Tells a page of every new version of a job, as server-sent events, until the page goes. */
function follow(c: Context, store: Store, id: string): Response {
  return events(c, async (send) => {
    const end = store.listen(id, (version) => {
      send('version', String(version));
    });
    // What was changed while nobody listened shows in the version.
    send('hello', String((await store.version(id)) ?? 0));
    return end;
  });
}

/** Tells a page of every new version of any job, as `[job, version]`, until the page goes. */
function followAll(c: Context, store: Store): Response {
  return events(c, (send) => {
    const end = store.listenToAll((job, version) => {
      send('version', JSON.stringify([job, version]));
    });
    send('hello', '');
    return end;
  });
}

/** Passes on what the reel says, as server-sent events. */
function listenToReel(c: Context, reel: ReelLink): Response {
  return events(c, (send) =>
    reel.listen((line) => {
      send('line', line);
    }),
  );
}

/** Server-sent events until the page goes; `begin` starts listening and answers with what ends it. */
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

/** The whole application: the interface under /api, the built pages under everything else. */
export function appOn(parts: Parts, options: { log: (error: unknown) => void; pages?: string | undefined }) {
  const app = new Hono();
  app.use(securely);
  app.use(markOurs);
  app.use('/api/*', sameSite);
  app.use(
    '/api/*',
    bodyLimit({
      maxSize: mostBody_bytes,
      onError: (c) => problem(c, 413, 'Too large', { detail: 'a job file is at most 20 MB' }),
    }),
  );
  app.route('/api', apiOn(parts));
  app.all('/api/*', (c) => problem(c, 404, 'No such address'));
  if (options.pages !== undefined) servePages(app, options.pages);
  app.onError((error, c) => {
    if (error instanceof HTTPException) {
      const notJson = error.status === 400 ? { errors: [{ path: '', message: 'not JSON' }] } : {};
      return problem(c, error.status, error.message, notJson);
    }
    options.log(error);
    return isDiskFull(error)
      ? problem(
          c,
          507,
          'The disk of the server is full: nothing was changed. Make room on it, and it goes in.',
        )
      : problem(c, 500, 'Something went wrong here; nothing was changed');
  });
  return app;
}

/** PostgreSQL's own code for it, wherever in the chain of causes. */
function isDiskFull(error: unknown): boolean {
  if (typeof error !== 'object' || error === null) return false;
  return ('code' in error && error.code === '53100') || ('cause' in error && isDiskFull(error.cause));
}

/** Only this server's own pages may change anything: a foreign page's request has a foreign Origin or Host. */
async function sameSite(c: Context, next: () => Promise<void>): Promise<Response | undefined> {
  const host = c.req.header('host') ?? '';
  const name = host.replace(/:\d+$/, '');
  const origin = c.req.header('origin');
  const local = name === '127.0.0.1' || name === 'localhost' || name === '[::1]';
  if (!local || (origin !== undefined && origin !== `http://${host}`)) {
    return problem(c, 403, 'Requests come from this server’s own pages only');
  }
  await next();
  return undefined;
}

/** Bodies are JSON and say so: a form on a foreign page cannot send that without asking first. */
const asJson = createMiddleware(async (c, next) => {
  if (!c.req.header('content-type')?.includes('json')) {
    return problem(c, 415, 'Send JSON', { detail: 'send the body as application/json' });
  }
  await next();
  return undefined;
});

/** A body by its schema: not JSON and every fault are told with what would be right. */
const body = <Schema extends z.ZodType>(schema: Schema) =>
  zValidator('json', schema, (result, c) => {
    const errors = result.success ? textFaults(result.data) : faultsOf(result.error, result.data);
    return errors.length > 0 ? problem(c, 422, 'That cannot be taken as it is', { errors }) : undefined;
  });
