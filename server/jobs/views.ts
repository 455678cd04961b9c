import { eq } from 'drizzle-orm';
import { underFirm, type Firm } from '../../core/job/firm.js';
import { markOf } from '../../core/job/mark.js';
import type { KeptView } from '../../core/views/kept-view.js';
import type { Database } from '../storage/database.js';
import { views } from '../storage/tables.js';
import type { StoredJob } from './store.js';
import { workedOutOn, type WorkedOut, type WorkedOutParts } from './worked-out.js';

export interface Views extends Pick<WorkedOut, 'wake' | 'wakeSoon'> {
  /** The view of a job as it was worked out last; undefined where none is kept. */
  read: (id: string) => Promise<KeptView | undefined>;
  /** The view of a job as it stands: the kept one where it is of this very job, else worked out now. */
  of: (stored: StoredJob, firm: Firm) => Promise<KeptView>;
}

/** Long enough that whoever types on a job has its view already, ms. */
const quiet_ms = 60_000;
/** A view is for opening a job at once: old jobs are worked out where they are opened. */
const newest = 50;

/** Keeps the whole view of the jobs changed last, so that a page shows it at once on whatever device it is opened. */
export function viewsOn(parts: Omit<WorkedOutParts<KeptView>, 'table' | 'quiet_ms' | 'newest'>): Views {
  return {
    ...workedOutOn({ ...parts, table: views, quiet_ms, newest }),
    read: (id) => readView(parts.db, id),
    async of({ id, job }, firm) {
      const kept = await readView(parts.db, id);
      const isOfThis = kept?.program === parts.program && kept.mark === markOf(underFirm(job, firm));
      return isOfThis ? kept : parts.work(job, firm);
    },
  };
}

async function readView(db: Database, id: string): Promise<KeptView | undefined> {
  const [row] = await db.select({ said: views.said }).from(views).where(eq(views.job, id));
  return row?.said ?? undefined;
}
