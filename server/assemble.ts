import { join } from 'node:path';
import type { Firm } from '../core/job/firm.js';
import type { Job } from '../core/job/schema.js';
import type { Digest } from '../core/views/digest.js';
import { appOn, type Parts } from './app.js';
import { openDatabase } from './database.js';
import { digestsOn } from './digests.js';
import { firmOn } from './firm.js';
import { customersApp } from './offers.js';
import { photosIn } from './photos.js';
import type { ReelLink } from './reel.js';
import { sharesOn } from './shares.js';
import { storeOn } from './store.js';

/** What a server stands on, wherever it runs. */
export interface Ground extends Pick<Parts, 'offerOf' | 'customersAt'> {
  /** Where everything is kept. One process at a time. */
  readonly folder: string;
  readonly migrations: string;
  /** The built pages; without them only the interface answers, and customers find no page. */
  readonly pages?: string;
  readonly digestOf: (job: Job, firm: Firm) => Promise<Digest>;
  /** A mark of the program that works digests out: another one works them out again. */
  readonly program: string;
  /** Connects the reel, once the folder is ours. */
  readonly reel?: () => Promise<ReelLink | undefined>;
  readonly log: (error: unknown) => void;
}

/**
 * The whole server on a data folder, as production runs it and as the tests do; it listens to nothing yet.
 * @throws FolderTaken where another process has the folder.
 */
export async function assemble(ground: Ground) {
  const { folder, migrations, pages, offerOf, customersAt, log, digestOf, program } = ground;
  const { db, close } = await openDatabase(folder, migrations);
  const reel = await ground.reel?.();
  const store = storeOn(db);
  const firm = firmOn(db);
  const photos = photosIn(join(folder, 'photos'));
  const shares = sharesOn(db);
  const digests = digestsOn({ db, store, firm, digestOf, program, log });
  const app = appOn({ store, firm, digests, shares, photos, offerOf, customersAt, reel }, { log, pages });
  return {
    store,
    photos,
    digests,
    reel,
    app,
    customers: customersApp({ shares, photos, offerOf }, pages, log),
    close,
  };
}
