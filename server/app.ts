import { Hono, type Context } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { HTTPException } from 'hono/http-exception';
import * as z from 'zod';
import type { Day } from '../core/days.js';
import type { Firm } from '../core/job/firm.js';
import type { Job } from '../core/job/schema.js';
import type { Offer } from '../core/offer/offer.js';
import { asJson, body } from './body.js';
import { followAll, listenToReel } from './events.js';
import type { Digests } from './jobs/digests.js';
import type { FirmStore } from './jobs/firm.js';
import { offersOn, photoAnswer } from './jobs/offers.js';
import { deletedJobs, jobsOn, sharesOfJobs, recomputeSoon } from './jobs/routes.js';
import type { Shares } from './jobs/shares.js';
import type { Store } from './jobs/store.js';
import type { Views } from './jobs/views.js';
import { nameProgram, securely, servePages } from './pages.js';
import {
  requireSignIn,
  onlyPublicAddress,
  type RequestEnv,
  type PublicAddress,
} from './people/public-address.js';
import { firmFor } from './people/for-reader.js';
import type { People } from './people/people.js';
import { peopleRoutes, signInRoutes, type Note } from './people/routes.js';
import type { Sessions } from './people/sessions.js';
import { problem } from './problem.js';
import type { ReelLink } from './reel.js';
import type { KeptBackup } from './storage/backup.js';
import type { Photos } from './storage/photos.js';
import { isAway } from './storage/postgres.js';

const mostBody_bytes = 20 * 1024 * 1024;
const mostReelLine = 200;

/** A change of the company: the new values and the old ones, both checked by the store. */
const firmChangeSchema = z.strictObject({ was: z.unknown(), set: z.unknown() });

/** The stores and devices behind the interface. */
export interface Parts {
  readonly store: Store;
  readonly firm: FirmStore;
  readonly digests: Digests;
  readonly views: Views;
  readonly shares: Shares;
  /** Computes an offer in the worker thread. */
  readonly offerOf: (job: Job, firm: Firm, today: Day) => Promise<Offer>;
  readonly photos: Photos;
  readonly people: People;
  readonly sessions: Sessions;
  /** Logs sign-in events. */
  readonly note: Note;
  readonly backups: { list: () => Promise<KeptBackup[]>; make: () => Promise<KeptBackup> };
  /** Public address of the customer pages, such as https://offers.example.com; undefined: this machine only. */
  readonly customersAt?: string | undefined;
  readonly reel?: ReelLink | undefined;
}

/** The HTTP interface; everyone signed in is shown what their role may see. */
function apiOn(parts: Parts, publicAddress: PublicAddress | undefined) {
  const { store, firm, shares, offerOf, photos, backups, reel } = parts;
  return new Hono<RequestEnv>()
    .route('/', signInRoutes(parts, publicAddress))
    .route('/people', peopleRoutes(parts))
    .route('/offers', offersOn({ shares, photos, offerOf }))
    .route('/', jobsOn(parts))
    .route('/deleted', deletedJobs(parts))
    .route('/jobs', sharesOfJobs(parts))
    .route('/', firmRoutes(parts))
    .get('/changes', (c) => followAll(c, store))
    .route('/backups', backupsOn(backups))
    .get('/spent', async (c) => c.json(await firm.spent()))
    .route('/reel', reelOn(reel))
    .post('/photos', async (c) => {
      const kept = await photos.keep(new Uint8Array(await c.req.arrayBuffer()));
      return 'name' in kept ? c.json(kept, 201) : problem(c, 415, 'Not a photo', { detail: kept.refused });
    })
    .get('/photos/:name', (c) => photoAnswer(c, photos, c.req.param('name')));
}

export type Api = ReturnType<typeof apiOn>;

/** The company's settings. */
const firmRoutes = ({ firm, digests, views }: Pick<Parts, 'firm' | 'digests' | 'views'>) =>
  new Hono<RequestEnv>()
    .get('/firm', async (c) => c.json(firmFor(c.get('person'), await firm.read())))
    .put('/firm', asJson, body(firmChangeSchema), async (c) => {
      const { was, set } = c.req.valid('json');
      const written = await firm.write(was, set);
      recomputeSoon({ digests, views });
      if ('firm' in written) return c.json(written.firm);
      return 'clash' in written
        ? problem(c, 409, 'Somebody else changed this in the meantime', {
            detail: `Somebody else changed this in the meantime: ${written.clash.join(', ')}`,
          })
        : problem(c, 422, 'This cannot be accepted as it is', { errors: written.faults });
    });

/** Messages from the reel, and commands to it. */
const reelOn = (reel: Parts['reel']) =>
  new Hono()
    .get('/', (c) => (reel ? listenToReel(c, reel) : problem(c, 404, 'No reel is connected')))
    .post('/', async (c) => {
      if (!reel) return problem(c, 404, 'No reel is connected');
      reel.send((await c.req.text()).slice(0, mostReelLine));
      return c.body(null, 204);
    });

/** Backups beside the data: listing them, and making one now. */
const backupsOn = (backups: Parts['backups']) =>
  new Hono()
    .get('/', async (c) => c.json(await backups.list()))
    .post('/', async (c) => c.json(await backups.make(), 201));

export interface AppOptions {
  readonly log: (error: unknown) => void;
  /** The built pages. */
  readonly pages?: string | undefined;
  /** Sign-in; without it only this machine is answered, without sign-in. */
  readonly publicAddress?: PublicAddress | undefined;
}

/** The whole application: the interface under /api, the built pages under everything else. */
export function appOn(parts: Parts, { log, pages, publicAddress }: AppOptions) {
  const app = new Hono<RequestEnv>();
  app.use(securely);
  app.use(nameProgram);
  if (publicAddress) app.use(onlyPublicAddress(publicAddress));
  else app.use('/api/*', sameSite);
  app.use(
    '/api/*',
    bodyLimit({
      maxSize: mostBody_bytes,
      onError: (c) => problem(c, 413, 'Too large', { detail: 'a job file is at most 20 MB' }),
    }),
  );
  if (publicAddress) app.use('/api/*', requireSignIn(parts.sessions));
  app.route('/api', apiOn(parts, publicAddress));
  app.all('/api/*', (c) => problem(c, 404, 'No such address'));
  if (pages !== undefined) servePages(app, pages);
  app.onError((error, c) => {
    if (error instanceof HTTPException) {
      const notJson = error.status === 400 ? { errors: [{ path: '', message: 'not JSON' }] } : {};
      return problem(c, error.status, error.message, notJson);
    }
    log(error);
    if (isAway(error)) return problem(c, 503, 'The database cannot be reached: nothing was changed');
    return isDiskFull(error)
      ? problem(
          c,
          507,
          'The disk of the server is full: nothing was changed. Make room on it, and it will be saved.',
        )
      : problem(c, 500, 'Something went wrong here; nothing was changed');
  });
  return app;
}

/** The error's PostgreSQL code, wherever in the chain of causes. */
function isDiskFull(error: unknown): boolean {
  if (typeof error !== 'object' || error === null) return false;
  return ('code' in error && error.code === '53100') || ('cause' in error && isDiskFull(error.cause));
}

/** Only this server's own pages may change anything: a request from a foreign page has a foreign Origin or Host. */
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
