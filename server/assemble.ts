import { join } from 'node:path';
import type { Firm } from '../core/job/firm.js';
import type { Job } from '../core/job/schema.js';
import type { Digest } from '../core/views/digest.js';
import type { CachedView } from '../core/views/cached-view.js';
import { appOn, type Parts } from './app.js';
import { openDatabase } from './storage/database.js';
import { digestsOn } from './jobs/digests.js';
import { firmOn } from './jobs/firm.js';
import { backUp, keptBackups } from './storage/backup.js';
import { customersApp } from './jobs/offers.js';
import type { PublicAddress } from './people/public-address.js';
import { peopleOn } from './people/people.js';
import { sessionsOn } from './people/sessions.js';
import { madeFolder } from './storage/folder.js';
import { photosIn } from './storage/photos.js';
import { openPostgres, type PostgresOptions } from './storage/postgres.js';
import type { ReelLink } from './reel.js';
import { sharesOn } from './jobs/shares.js';
import { storeOn } from './jobs/store.js';
import { viewsOn } from './jobs/views.js';

/** Configuration of a server. */
export interface Ground extends Pick<Parts, 'offerOf' | 'customersAt' | 'note'> {
  /** The data folder. One process at a time. */
  readonly folder: string;
  /** A PostgreSQL server that stores the jobs instead; the folder then has photos and backups, and may be shared. */
  readonly databaseUrl?: string | undefined;
  readonly migrations: string;
  /** The built thread that runs the folder's own database. */
  readonly databaseThread?: string;
  /** The built pages; without them only the interface answers, and customers find no page. */
  readonly pages?: string;
  readonly digestOf: (job: Job, firm: Firm) => Promise<Digest>;
  readonly viewOf: (job: Job, firm: Firm) => Promise<CachedView>;
  /** Version mark of the program: another version computes views and digests again. */
  readonly program: string;
  /** Connects the reel, once the folder is claimed. */
  readonly reel?: () => Promise<ReelLink | undefined>;
  /** A lower scrypt cost N than the usual one: tests sign in dozens of times. */
  readonly passphraseCost?: number;
  readonly log: (error: unknown) => void;
  /** Ends the process with a message: reading or writing must stop. */
  readonly dead: (message: string) => void;
}

async function openShared(folder: string, options: PostgresOptions) {
  await madeFolder(folder);
  return openPostgres(options);
}

/**
 * The whole server on a data folder, as in production and in tests; not listening yet. @throws DatabaseRefused, or
 * FolderTaken where another process uses the folder, FolderRefused where it cannot be used as it is.
 */
export async function assemble(ground: Ground) {
  const { folder, migrations, pages, offerOf, customersAt, note, log, digestOf, viewOf, program, dead } =
    ground;
  const opened = await (ground.databaseUrl === undefined
    ? openDatabase({ folder, migrations, thread: ground.databaseThread, dead })
    : openShared(folder, { url: ground.databaseUrl, migrations, log }));
  const { db, close } = opened;
  const reel = await ground.reel?.();
  const store = storeOn(opened);
  const firm = firmOn(db);
  const photos = photosIn(join(folder, 'photos'));
  const shares = sharesOn(db);
  const digests = digestsOn({ db, store, firm, work: digestOf, program, log });
  const views = viewsOn({ db, store, firm, work: viewOf, program, log });
  const backups = {
    list: () => keptBackups(folder),
    make: () => backUp({ db, folder, migrations }),
  };
  const people = peopleOn(db, ground.passphraseCost);
  const sessions = sessionsOn(db);
  const all: Parts = {
    store,
    firm,
    digests,
    views,
    shares,
    photos,
    people,
    sessions,
    note,
    backups,
    offerOf,
    customersAt,
    reel,
  };
  return {
    store,
    photos,
    digests,
    views,
    backups,
    reel,
    people,
    app: appOn(all, { log, pages }),
    /** The same with sign-in, for the shop's own address. */
    shopApp: (publicAddress: PublicAddress) => appOn(all, { log, pages, publicAddress }),
    customers: customersApp({ shares, photos, offerOf }, pages, log),
    close,
  };
}
